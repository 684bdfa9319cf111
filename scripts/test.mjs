/* Everything that must hold before a change lands: form, types, units, journeys in a real browser. */
import { spawn } from 'node:child_process';
import { once } from 'node:events';
import { mkdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { build, installChromium, installPackages, root, runTool } from './setup.mjs';

async function step(name, action) {
  const start = performance.now();
  console.log(`\n== ${name}`);
  await action();
  console.log(`== ${name}: ${((performance.now() - start) / 1000).toFixed(1)} s`);
}

installPackages();
installChromium();
const results = join(root, '.cache', 'test-results');
mkdirSync(results, { recursive: true });
const unitResults = join(results, 'unit.json');
const journeyResults = join(results, 'journeys.json');

await step('format', () =>
  runTool('prettier/bin/prettier.cjs', ['--check', '--log-level', 'warn', '.']),
);
// Linting takes longest and needs nothing of what follows: it runs beside it.
const lint = spawn(process.execPath, [join(root, 'node_modules/eslint/bin/eslint.js'), '.'], {
  cwd: root,
  stdio: 'inherit',
});
const linted = once(lint, 'exit');
await step('build', build);
await step('types', () => {
  for (const project of ['core/tsconfig.test.json', 'server/tsconfig.test.json', 'e2e'])
    runTool('typescript/bin/tsc', ['--noEmit', '-p', project]);
  runTool('vue-tsc/bin/vue-tsc.js', ['--noEmit', '-p', 'web']);
});
await step('lint', async () => {
  const [code] = await linted;
  if (code !== 0) process.exit(code ?? 1);
});
await step('units', () =>
  runTool('vitest/vitest.mjs', [
    'run',
    '--reporter=default',
    '--reporter=json',
    `--outputFile.json=${unitResults}`,
  ]),
);
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
