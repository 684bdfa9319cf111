/*
 * What takes too long for `npm test`: every route under hostile requests, a server that is killed in the midst
 * of writing, and the properties of all tests with other cases: as many rounds as are asked for.
 */
import { spawnSync } from 'node:child_process';
import { join } from 'node:path';
import { build, installAll, root } from './setup.mjs';

/** So often the two windows of the model are worked, with their network cut and their pages killed. */
const modelRuns = 2000;
const requests = 20_000;
const kills = 200;
const rounds = Number(process.argv[2] ?? 5);
const first = Number(process.argv[3] ?? Date.now() % 1_000_000_000);
const failed = [];

/** Runs a program with Node, and notes it under `again` when it fails. */
function attempt(args, again, env = {}) {
  const { status } = spawnSync(process.execPath, args, {
    cwd: root,
    env: { ...process.env, ...env },
    stdio: 'inherit',
  });
  if (status !== 0) failed.push(again);
  return status === 0;
}

await installAll();
build();
const soak = (name, ...words) => {
  const file = join('e2e', 'soak', name);
  attempt(
    ['--import', 'tsx', join(root, file), ...words],
    `node --import tsx ${file} ${words.join(' ')}`,
  );
};
soak('fuzz.ts', String(requests), String(first));
soak('kill.ts', String(kills));
for (let seed = first; seed < first + rounds; seed++) {
  const vitest = join(root, 'node_modules', 'vitest', 'vitest.mjs');
  const isWell = attempt([vitest, 'run', '--reporter=dot'], `SEED=${seed} npm run unit`, {
    SEED: String(seed),
    VITE_MODEL_RUNS: String(modelRuns),
  });
  console.log(`SEED=${seed}: ${isWell ? 'no failure' : 'FAILED'}`);
}
if (failed.length > 0) {
  console.log(`Failed. Again with: ${failed.join('; ')}`);
  process.exitCode = 1;
} else console.log(`${rounds} rounds without a failure, seeds from ${first}`);
