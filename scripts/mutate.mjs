/*
 * How many faults the tests of a room would see: the code is spoilt in one place at a time and the tests are run.
 * `npm run mutate -- ROOM [mutants] [seed]`: all mutants of a small room, a seeded sample of a large one.
 * `npm run mutate -- show ROOM` lists those of the last run that no test saw; `npm run mutate -- again ROOM [files]`
 * tries them once more, all or those in some files, after tests have been added.
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
  marks: [
    'core/src/marks/search-over.test.ts',
    'core/src/marks/**',
    'core/src/planning/approved.test.ts',
    'core/src/plan.test.ts',
  ],
  make: ['core/src/words/approved.test.ts', 'core/src/make/storyboard.test.ts', 'core/src/make/**'],
  words: ['core/src/words/approved.test.ts', 'core/src/words/**'],
  rescue: ['core/src/rescue/**'],
  fold: ['core/src/fold/approved.test.ts', 'core/src/fold/**', 'core/src/make/storyboard.test.ts'],
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

const reportOf = (room) => join(results, `${room}.json`);
const readReport = (room) => JSON.parse(readFileSync(reportOf(room), 'utf8'));
const isSeen = ({ status }) => status === 'Killed' || status === 'Timeout';
const isUnseen = ({ status }) => status === 'Survived' || status === 'NoCoverage';

/** What the last run of a room left unseen, by file and line. */
function show(room) {
  for (const [file, { source, mutants }] of Object.entries(readReport(room).files)) {
    const lines = source.split('\n');
    for (const { status, location, replacement, mutatorName } of mutants.filter(isUnseen)) {
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

/** Places that the last run left unseen, in files that are as they were then; only in some, where they are named. */
function unseenPlaces({ files }, names) {
  const isWanted = (file) => names.length === 0 || names.some((name) => file.includes(name));
  return Object.entries(files).flatMap(([file, { source, mutants }]) =>
    isWanted(file) && readFileSync(join(root, file), 'utf8') === source
      ? mutants
          .filter(isUnseen)
          .map(
            ({ location: { start, end } }) =>
              `${file}:${start.line}:${start.column - 1}-${end.line}:${end.column - 1}`,
          )
      : [],
  );
}

/** Takes over what was seen on trying again, and tells the score of the whole sample. */
function merge(room, before) {
  const again = readReport(`${room}-again`);
  const keyOf = ({ location, replacement, mutatorName }) =>
    JSON.stringify([location, replacement, mutatorName]);
  for (const [file, { mutants }] of Object.entries(before.files)) {
    const seen = new Map(
      (again.files[file]?.mutants ?? []).filter(isSeen).map((mutant) => [keyOf(mutant), mutant]),
    );
    for (const mutant of mutants.filter(isUnseen))
      mutant.status = seen.get(keyOf(mutant))?.status ?? mutant.status;
  }
  writeFileSync(reportOf(room), JSON.stringify(before));
  const all = Object.values(before.files).flatMap(({ mutants }) => mutants);
  const judged = all.filter((mutant) => isSeen(mutant) || isUnseen(mutant));
  const seen = judged.filter(isSeen).length;
  const share = ((seen / judged.length) * 100).toFixed(1);
  console.log(`${room}: ${seen} of ${judged.length} seen in all, ${share} %`);
}

/** Runs Stryker over some places of a room; its exit code. */
function run(room, mutate, report) {
  const settings = join(results, `${report}.config.json`);
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
      tempDirName: join('.cache', 'mutate', `sandbox-${report}`),
      reporters: ['json', 'clear-text', 'progress-append-only'],
      clearTextReporter: {
        allowColor: false,
        logTests: false,
        reportTests: false,
        reportMutants: false,
      },
      jsonReporter: { fileName: join('.cache', 'mutate', `${report}.json`) },
      concurrency: Number(process.env.WORKERS ?? 2),
      timeoutMS: 20_000,
      allowEmpty: false,
    }),
  );
  const stryker = join(root, 'node_modules', '@stryker-mutator', 'core', 'bin', 'stryker.js');
  const { status } = spawnSync(process.execPath, [stryker, 'run', settings], {
    cwd: root,
    stdio: 'inherit',
    env: {
      ...process.env,
      FIRST_FAILURE: '1',
      MUTATE_TESTS: testsOf[room]
        .map((test) => (test.endsWith('.ts') ? test : `${test}/*.test.ts`))
        .join(','),
    },
  });
  return status ?? 1;
}

const [command, ...args] = process.argv.slice(2);
if (command === 'show') {
  show(args[0]);
  process.exit();
}
const room = command === 'again' ? args[0] : command;
if (testsOf[room] === undefined) {
  console.error(`Name a room: ${Object.keys(testsOf).join(', ')}.`);
  process.exit(1);
}
if (command === 'again') {
  const before = readReport(room);
  const status = run(room, unseenPlaces(before, args.slice(1)), `${room}-again`);
  if (status === 0) merge(room, before);
  process.exit(status);
}
const wanted = Number(args[0] ?? 320);
const seed = Number(args[1] ?? 20261126);
const files = filesOf(room);
const mutants = await mutantsIn(files);
const all = mutants.length <= wanted * 1.5;
console.log(
  `${room}: ${mutants.length} mutants, ${all ? 'all of them' : `a sample of ${wanted}, seed ${seed}`}`,
);
process.exit(run(room, all ? files : sample(mutants, { wanted, seed }), room));
