/*
 * How much of the code is tests: `npm run count`. Code is what is written in TypeScript, in Vue's scripts and
 * templates and in scripts; style sheets and data are not counted. Tests are the tests, the journeys, and
 * `core/src/testing`, the reader among it, which only tests and benches import.
 */
import { execFileSync } from 'node:child_process';
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { root } from './setup.mjs';

const isTest = (file) =>
  /\.(?:test|spec)\.ts$/.test(file) ||
  file.startsWith('core/src/testing/') ||
  file.startsWith('e2e/');

/** Lines that say something. */
function linesOf(file) {
  const text = readFileSync(join(root, file), 'utf8').replaceAll(/<style[^]*?<\/style>/g, '');
  return text.split('\n').filter((line) => line.trim() !== '').length;
}

const files = execFileSync('git', ['ls-files', '*.ts', '*.vue', '*.mjs'], {
  cwd: root,
  encoding: 'utf8',
})
  .trim()
  .split('\n');
const counts = new Map();
for (const file of files) {
  const [place] = file.split('/');
  const count = counts.get(place) ?? { code: 0, tests: 0 };
  count[isTest(file) ? 'tests' : 'code'] += linesOf(file);
  counts.set(place, count);
}
const all = { code: 0, tests: 0 };
for (const [place, { code, tests }] of counts) {
  all.code += code;
  all.tests += tests;
  console.log(`${place}: ${code} lines of code, ${tests} of tests`);
}
const share = (all.tests / (all.code + all.tests)) * 100;
console.log(`${all.tests} of ${all.code + all.tests} lines are tests: ${share.toFixed(1)} %`);
