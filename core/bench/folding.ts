/* Random boxes over all styles, folded and checked, and each refusal's ways out tried; prints the seed and every failure. */
import fc from 'fast-check';
import { allStyles, planBox, waysOut, type PlanRequest, type Problem } from '@rangoli/core';
import { faultsInSpace } from '../src/testing/proof.ts';
import { tableRequestsIn } from '../src/testing/requests.ts';

const wanted = Number(process.argv[2] ?? 10_000);
const seed = Number(process.argv[3] ?? 20_261_125);
const only = process.argv[4];
const styles = allStyles.filter(({ id }) => only === undefined || id === only);
const each = Math.ceil(wanted / styles.length);

/** What is wrong with a request's box; undefined where it has none. */
function faultsOf(request: PlanRequest): readonly string[] | undefined {
  const result = planBox(request);
  if (!result.ok) return undefined;
  try {
    return faultsInSpace(result.plan, request);
  } catch (error) {
    return [String(error)];
  }
}

/** What is wrong with the ways out of a refusal: there must be one, and each must lead to a box that folds. */
function faultsOfWays(request: PlanRequest, problems: readonly Problem[]): readonly string[] {
  const ways = waysOut(request, problems);
  if (ways.length === 0) return ['no way out'];
  return ways.flatMap(({ said, part }) => {
    const faults = faultsOf({ ...request, ...part });
    return (faults ?? ['leads to no box']).map((fault) => `${said}: ${fault}`);
  });
}

let [failures, boxes] = [0, 0];
/** By kind: how many of its requests are refused. */
const shares: number[] = [];
const start = performance.now();
for (const [i, style] of styles.entries()) {
  let [checked, refused, failed] = [0, 0, 0];
  const times: number[] = [];
  const requests = fc.sample(tableRequestsIn(style), { numRuns: 4 * each, seed: seed + i });
  for (const request of requests) {
    if (checked >= each) break;
    const before = performance.now();
    const result = planBox(request);
    times.push(performance.now() - before);
    if (result.ok) checked++;
    else refused++;
    // Ways out take long to look for; one in ten is enough.
    const faults = result.ok
      ? (faultsOf(request) ?? [])
      : refused % 10 === 1
        ? faultsOfWays(request, result.problems)
        : [];
    if (faults.length === 0) continue;
    failed++;
    if (failed <= 3)
      console.log(
        `  ${style.id}: ${faults.slice(0, 3).join('; ')}\n    ${JSON.stringify({ gift: request.gift, room: request.room.across, style: request.style, cards: request.papers.map((paper) => paper.thickness) })}`,
      );
  }
  failures += failed;
  boxes += checked;
  shares.push(refused / (checked + refused));
  times.sort((a, b) => a - b);
  const at = (share: number) => (times[Math.floor(share * (times.length - 1))] ?? 0).toFixed(2);
  console.log(
    `${style.name}: ${checked} folded, ${failed} failed, ${refused} refused; planBox median ${at(0.5)} ms, p95 ${at(0.95)} ms, longest ${at(1)} ms`,
  );
}
console.log(
  `Fold sweep, seed ${seed}: ${boxes} boxes, ${failures === 0 ? 'no failure' : `${failures} failures`}, ${((100 * shares.reduce((sum, share) => sum + share, 0)) / shares.length).toFixed(1)} % of a kind's requests refused, ${((performance.now() - start) / 1000).toFixed(1)} s`,
);
if (failures > 0) process.exitCode = 1;
