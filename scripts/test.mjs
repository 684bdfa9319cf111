/* Everything that must hold before a change lands: form, types, units, journeys in a real browser. */
import { spawn } from 'node:child_process';
import { once } from 'node:events';
import { mkdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { build, installAll, root, runTool } from './setup.mjs';

async function step(name, action) {
  const start = performance.now();
  console.log(`\n== ${name}`);
  await action();
  console.log(`== ${name}: ${((performance.now() - start) / 1000).toFixed(1)} s`);
}

await installAll();
const results = join(root, '.cache', 'test-results');
mkdirSync(results, { recursive: true });
const unitResults = join(results, 'unit.json');
const journeyResults = join(results, 'journeys.json');

// Form needs nothing of what follows and takes long: it is judged beside it.
const form = spawn(process.execPath, [join(root, 'scripts', 'form.mjs')], { stdio: 'inherit' });
const formed = once(form, 'exit');
await step('build', build);
await step('types', () => {
  for (const project of ['core/tsconfig.test.json', 'server/tsconfig.test.json', 'e2e'])
    runTool('typescript/bin/tsc', ['--noEmit', '-p', project]);
  runTool('vue-tsc/bin/vue-tsc.js', ['--noEmit', '-p', 'web']);
});
await step('units', () =>
  runTool('vitest/vitest.mjs', [
    'run',
    '--reporter=default',
    '--reporter=json',
    `--outputFile.json=${unitResults}`,
  ]),
);
// The journeys are timed, and have the machine to themselves.
await step('form, what is left of it', async () => {
  const [code] = await formed;
  if (code !== 0) process.exit(code ?? 1);
});
await step('journeys', () =>
  runTool('@playwright/test/cli.js', ['test'], {
    cwd: join(root, 'e2e'),
    env: { ...process.env, JOURNEY_RESULTS: journeyResults },
  }),
);

const units = JSON.parse(readFileSync(unitResults, 'utf8'));
const { stats } = JSON.parse(readFileSync(journeyResults, 'utf8'));
console.log(
  `\n${units.numPassedTests + stats.expected} passed, ${units.numFailedTests + stats.unexpected} failed`,
);
