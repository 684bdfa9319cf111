/*
 * How many faults the tests of a room would see: the code is spoilt in one place at a time and the tests are run.
 * `npm run mutate -- ROOM [mutants] [seed]`: all mutants of a small room, a seeded sample of a large one.
 * `npm run mutate -- show ROOM` lists those of the last run that no test saw.
 */
import { spawnSync } from 'node:child_process';
import { mkdirSync, readdirSync, readFileSync, writeFileSync } from 'node:fs';
import { join, relative } from 'node:path';
import { createInstrumenter } from '@stryker-mutator/instrumenter';
import { root } from './setup.mjs';

/** For each room the tests that concern it, the quick ones first. */
const testsOf = {
  length: ['core/src/length/**'],
  gaps: ['core/src/gaps/**', 'core/src/plan.test.ts'],
  marks: ['core/src/marks/**', 'core/src/plan.test.ts'],
  make: ['core/src/words/approved.test.ts', 'core/src/make/storyboard.test.ts', 'core/src/make/**'],
  words: ['core/src/words/approved.test.ts', 'core/src/words/**'],
  rescue: ['core/src/rescue/**'],
  fold: ['core/src/make/storyboard.test.ts', 'core/src/fold/**'],
};

const results = join(root, '.cache', 'mutate');
mkdirSync(results, { recursive: true });

/** All source files of a room, as paths from the root. */
function filesOf(room) {
  const folder = join(root, 'core', 'src', room);
  return readdirSync(folder, { recursive: true })
    .filter((file) => file.endsWith('.ts') && !file.endsWith('.test.ts'))
    .map((file) => relative(root, join(folder, file)))
    .sort();
}

/** Numbers from 0 to 1, the same for the same seed (a linear congruential generator, the constants of C11's example). */
function* numbersFrom(seed) {
  for (let state = seed >>> 0; ;) {
    state = (Math.imul(state, 1103515245) + 12345) >>> 0;
    yield (state >>> 8) / 2 ** 24;
  }
}

/** Every place that can be spoilt in these files. */
async function mutantsIn(files) {
  const quiet = { debug() {}, info() {}, warn() {}, isDebugEnabled: () => false };
  const injector = {
    resolve: () => quiet,
    provideValue: () => injector,
    injectClass: (Class) => new Class(quiet),
    injectFunction: (make) => make(injector),
  };
  const { mutants } = await createInstrumenter(injector).instrument(
    files.map((name) => ({
      name,
      mutate: true,
      content: readFileSync(join(root, name), 'utf8'),
    })),
    { excludedMutations: [], ignorers: [], plugins: null, noHeader: true },
  );
  return mutants;
}

const rangeOf = ({ fileName, location: { start, end } }) =>
  `${fileName}:${start.line + 1}:${start.column}-${end.line + 1}:${end.column}`;

const isWithin = (inner, outer) =>
  inner.fileName === outer.fileName &&
  (inner.location.start.line > outer.location.start.line ||
    (inner.location.start.line === outer.location.start.line &&
      inner.location.start.column >= outer.location.start.column)) &&
  (inner.location.end.line < outer.location.end.line ||
    (inner.location.end.line === outer.location.end.line &&
      inner.location.end.column <= outer.location.end.column));

/**
 * Places drawn at random until they hold so many mutants. A place takes along what lies in it, so whole
 * functions are never drawn: spoilt as a whole they would be seen anyway.
 */
function sample(mutants, { wanted, seed }) {
  const random = numbersFrom(seed);
  const rest = mutants.filter(({ location: { start, end } }) => end.line - start.line < 3);
  const drawn = new Set();
  const ranges = [];
  while (drawn.size < wanted && rest.length > 0) {
    const [mutant] = rest.splice(Math.floor(random.next().value * rest.length), 1);
    if (drawn.has(mutant)) continue;
    ranges.push(rangeOf(mutant));
    for (const other of mutants) if (isWithin(other, mutant)) drawn.add(other);
  }
  return ranges;
}

/** What the last run of a room left unseen, by file and line. */
function show(room) {
  const report = JSON.parse(readFileSync(join(results, `${room}.json`), 'utf8'));
  for (const [file, { source, mutants }] of Object.entries(report.files)) {
    const lines = source.split('\n');
    for (const { status, location, replacement, mutatorName } of mutants) {
      if (status !== 'Survived' && status !== 'NoCoverage') continue;
      const { start, end } = location;
      const was =
        start.line === end.line
          ? lines[start.line - 1].slice(start.column - 1, end.column - 1)
          : `${lines[start.line - 1].trim()} …`;
      const now = (replacement ?? '').replaceAll(/\s+/g, ' ').slice(0, 80);
      console.log(`${file}:${start.line} ${status} ${mutatorName}: ${was}  ->  ${now}`);
    }
  }
}

const [room, ...args] = process.argv.slice(2);
if (room === 'show') {
  show(args[0]);
  process.exit();
}
if (testsOf[room] === undefined) {
  console.error(`Name a room: ${Object.keys(testsOf).join(', ')}.`);
  process.exit(1);
}
const wanted = Number(args[0] ?? 320);
const seed = Number(args[1] ?? 20261126);
const files = filesOf(room);
const mutants = await mutantsIn(files);
const all = mutants.length <= wanted * 2;
const mutate = all ? files : sample(mutants, { wanted, seed });
console.log(
  `${room}: ${mutants.length} mutants, ${all ? 'all of them' : `a sample of ${wanted}, seed ${seed}`}`,
);

const settings = join(results, `${room}.config.json`);
writeFileSync(
  settings,
  JSON.stringify({
    testRunner: 'vitest',
    vitest: { configFile: 'vitest.mutate.config.ts', related: false },
    plugins: ['@stryker-mutator/vitest-runner'],
    coverageAnalysis: 'perTest',
    mutate,
    ignorePatterns: [
      '/web',
      '/server',
      '/e2e',
      '/docs',
      '/data',
      'dist',
      '.cache',
      '*.tsbuildinfo',
    ],
    tempDirName: join('.cache', 'mutate', `sandbox-${room}`),
    reporters: ['json', 'clear-text', 'progress-append-only'],
    clearTextReporter: {
      allowColor: false,
      logTests: false,
      reportTests: false,
      reportMutants: false,
    },
    jsonReporter: { fileName: join('.cache', 'mutate', `${room}.json`) },
    concurrency: Number(process.env.WORKERS ?? 2),
    timeoutMS: 20_000,
    allowEmpty: false,
  }),
);
const { status } = spawnSync(
  process.execPath,
  [join(root, 'node_modules', '@stryker-mutator', 'core', 'bin', 'stryker.js'), 'run', settings],
  {
    cwd: root,
    stdio: 'inherit',
    env: {
      ...process.env,
      FIRST_FAILURE: '1',
      MUTATE_TESTS: testsOf[room]
        .map((test) => (test.endsWith('.ts') ? test : `${test}/*.test.ts`))
        .join(','),
    },
  },
);
process.exit(status ?? 1);
