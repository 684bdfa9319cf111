/* Everything that must hold before a change lands: form, types, units, journeys in a real browser. */
import { mkdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { build, installChromium, installPackages, root, runTool } from './setup.mjs';

function step(name, action) {
  const start = performance.now();
  console.log(`\n== ${name}`);
  action();
  console.log(`== ${name}: ${((performance.now() - start) / 1000).toFixed(1)} s`);
}

installPackages();
installChromium();
const results = join(root, '.cache', 'test-results');
mkdirSync(results, { recursive: true });
const unitResults = join(results, 'unit.json');
const journeyResults = join(results, 'journeys.json');

step('format', () => runTool('prettier/bin/prettier.cjs', ['--check', '--log-level', 'warn', '.']));
step('lint', () => runTool('eslint/bin/eslint.js', ['.']));
step('build', build);
step('types', () => {
  for (const project of ['core/tsconfig.test.json', 'server/tsconfig.test.json', 'e2e'])
    runTool('typescript/bin/tsc', ['--noEmit', '-p', project]);
  runTool('vue-tsc/bin/vue-tsc.js', ['--noEmit', '-p', 'web']);
});
step('units', () =>
  runTool('vitest/vitest.mjs', [
    'run',
    '--reporter=default',
    '--reporter=json',
    `--outputFile.json=${unitResults}`,
  ]),
);
step('journeys', () =>
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
