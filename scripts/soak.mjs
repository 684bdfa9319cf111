/* The properties of all tests with other cases than `npm test` draws: as many rounds as are asked for. */
import { spawnSync } from 'node:child_process';
import { join } from 'node:path';
import { root } from './setup.mjs';

/** So often the two windows of the model are worked, with their network cut and their pages killed. */
const modelRuns = 2000;
const rounds = Number(process.argv[2] ?? 5);
const first = Number(process.argv[3] ?? Date.now() % 1_000_000_000);
const failed = [];
for (let seed = first; seed < first + rounds; seed++) {
  const vitest = join(root, 'node_modules', 'vitest', 'vitest.mjs');
  const { status } = spawnSync(process.execPath, [vitest, 'run', '--reporter=dot'], {
    cwd: root,
    env: { ...process.env, SEED: String(seed), VITE_MODEL_RUNS: String(modelRuns) },
    stdio: 'inherit',
  });
  console.log(`SEED=${seed}: ${status === 0 ? 'no failure' : 'FAILED'}`);
  if (status !== 0) failed.push(seed);
}
console.log(`${rounds - failed.length} rounds of ${rounds} without a failure, seeds from ${first}`);
if (failed.length > 0) {
  console.log(`Again with: ${failed.map((seed) => `SEED=${seed} npm run unit`).join('; ')}`);
  process.exitCode = 1;
}
