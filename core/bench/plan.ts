/* How long planning takes: each style over all shipped tools, all styles for one gift, posing. */
import fc from 'fast-check';
import {
  allStyles,
  compareStyles,
  foldingBox,
  genericCornerBoards,
  genericDiagonalBoards,
  millimetres,
  paperFor,
  planBox,
  planJob,
  sceneAt,
  usualRequest,
  type Kit,
  type PlanRequest,
} from '@rangoli/core';
import { withSixAdditions } from './six-additions.ts';
import { requestsIn, shippedKits, sundial, tableRequestsIn } from '../src/testing/requests.ts';

const seed = 20_261_125;

function percentile(times: readonly number[], share: number): string {
  const sorted = [...times].sort((a, b) => a - b);
  return (sorted[Math.min(sorted.length - 1, Math.floor(sorted.length * share))] ?? 0).toFixed(2);
}

function timed(action: () => void): number {
  const start = performance.now();
  action();
  return performance.now() - start;
}

/** So often everything is done, one round after the other: what else the machine does comes in waves. */
const rounds = 9;

/** What each action takes, clear of what else the machine does meanwhile: its quickest time of all rounds. */
function quickest(actions: readonly (() => void)[]): readonly number[] {
  const times = actions.map(() => Infinity);
  for (let round = 0; round < rounds; round++)
    actions.forEach((action, i) => {
      times[i] = Math.min(times[i] ?? Infinity, timed(action));
    });
  return times;
}

function report(name: string, requests: readonly PlanRequest[]): void {
  const times = quickest(requests.map((request) => () => planBox(request)));
  console.log(
    `  ${name.padEnd(34)} median ${percentile(times, 0.5)}, p95 ${percentile(times, 0.95)}, longest ${percentile(times, 1)}`,
  );
}

// The first round is for the compiler.
const sample = new Map(
  allStyles.map((style) => [
    style,
    fc.sample(requestsIn([style], fc.constantFrom(...shippedKits)), { seed, numRuns: 400 }),
  ]),
);
for (const requests of sample.values())
  requests.slice(0, 100).forEach((request) => planBox(request));

console.log(
  `planBox over all shipped tools (seed ${seed}), ms, the quickest of nine runs each (wanted: p95 under 3):`,
);
for (const [style, requests] of sample) report(style.name, requests);
const lidded = requestsIn(
  allStyles.filter(({ id }) => id === 'lidded'),
  fc.constantFrom(...shippedKits),
);
const alone = fc
  .sample(lidded, { seed, numRuns: 1200 })
  .filter(({ gift }) => gift.shape === 'block' || gift.shape === 'cylinder');
console.log(
  'The same as they come at a table, for the gifts that a kind is for and with figures (wanted: p95 under 3):',
);
for (const style of allStyles)
  report(style.name, fc.sample(tableRequestsIn(style), { seed, numRuns: 400 }));
const dressed = allStyles.flatMap((style) =>
  fc
    .sample(tableRequestsIn(style), { seed, numRuns: 20 })
    .flatMap((request) => withSixAdditions(request) ?? []),
);
console.log('The same over all kinds with six things on and in the box (wanted: p95 under 5):');
report('Dressed', dressed);
console.log('The same for one block or round in a lidded box (wanted: p95 under 2):');
report('Lidded box', alone);

/** What a maker may have beside a trimmer and a board, or in place of them. */
const others: readonly (readonly [string, (kit: Kit) => Kit])[] = [
  ['with a shim', (kit) => ({ ...kit, board: { ...kit.board, shim: millimetres(1) } })],
  ['short grooves', (kit) => ({ ...kit, board: { ...kit.board, grooveLength: millimetres(150) } })],
  ['no board', (kit) => ({ ...kit, without: ['boards'] })],
  ...genericDiagonalBoards.map(
    (diagonalBoard) => [diagonalBoard.name, (kit: Kit) => ({ ...kit, diagonalBoard })] as const,
  ),
  ...genericCornerBoards.map(
    (cornerBoard) => [cornerBoard.name, (kit: Kit) => ({ ...kit, cornerBoard })] as const,
  ),
];
console.log('The same by kit, over all styles (wanted: p95 under 10):');
for (const kit of shippedKits)
  report(
    `${kit.trimmer.name}, ${kit.board.name}`,
    fc.sample(requestsIn(allStyles, fc.constant(kit)), { seed, numRuns: 250 }),
  );
for (const [name, change] of others)
  report(
    name,
    fc.sample(requestsIn(allStyles, fc.constantFrom(...shippedKits.map(change))), {
      seed,
      numRuns: 250,
    }),
  );

const request = usualRequest(sundial, 'inch');
const comparing = quickest(Array.from({ length: 40 }, () => () => compareStyles(request)));
console.log(
  `Compare, all styles for the pocket sundial, the quickest of nine runs each: median ${percentile(comparing, 0.5)} ms, p95 ${percentile(comparing, 0.95)} ms (wanted: under 40)`,
);

const jobs = allStyles.flatMap((style) => {
  const asked = { ...request, style: style.usual };
  const result = planBox(asked);
  if (!result.ok) return [];
  const { plan } = result;
  const [time = 0] = quickest([() => planJob(plan, asked, { boxes: 200 })]);
  return [{ name: style.name, time }];
});
const [longest] = jobs.sort((a, b) => b.time - a.time);
console.log(
  `The whole job for 200 pocket sundials, the slowest style (${longest?.name ?? ''}): ${longest?.time.toFixed(0) ?? ''} ms`,
);

function posing(asked: PlanRequest): readonly number[] {
  const result = planBox(asked);
  if (!result.ok) return [];
  const { pieces, assembly } = result.plan;
  const box = foldingBox(pieces, ({ paper }) => paperFor(asked.papers, paper).thickness, assembly);
  return quickest(
    Array.from({ length: 200 }, (_, i) => () => sceneAt(box, (box.end * i) / 200, 0)),
  );
}
const poses = allStyles.map((style) => ({
  name: style.name,
  times: posing({ ...request, style: style.usual }),
}));
const [slowest] = poses
  .filter(({ times }) => times.length > 0)
  .sort((a, b) => Number(percentile(b.times, 0.95)) - Number(percentile(a.times, 0.95)));
console.log(
  `Posing, the slowest style (${slowest?.name ?? ''}), the quickest of nine runs each: median ${percentile(slowest?.times ?? [], 0.5)} ms, p95 ${percentile(slowest?.times ?? [], 0.95)} ms (wanted: under 2)`,
);
