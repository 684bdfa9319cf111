/* Random boxes over all styles, folded and checked; prints the seed and every failure. */
import fc from 'fast-check';
import { allStyles, planBox } from '@rangoli/core';
import { faultsInSpace } from '../src/testing/proof.ts';
import { requestsIn } from '../src/testing/requests.ts';

const wanted = Number(process.argv[2] ?? 10_000);
const seed = Number(process.argv[3] ?? 20_261_125);
const only = process.argv[4];
const styles = allStyles.filter(({ id }) => only === undefined || id === only);

let failures = 0;
const start = performance.now();
for (const [i, style] of styles.entries()) {
  let checked = 0;
  let refused = 0;
  let failed = 0;
  const times: number[] = [];
  const requests = fc.sample(requestsIn([style]), {
    numRuns: 4 * Math.ceil(wanted / styles.length),
    seed: seed + i,
  });
  for (const request of requests) {
    if (checked >= wanted / styles.length) break;
    const before = performance.now();
    const result = planBox(request);
    times.push(performance.now() - before);
    if (!result.ok) {
      refused++;
      continue;
    }
    checked++;
    let faults: readonly string[];
    try {
      faults = faultsInSpace(result.plan, request);
    } catch (error) {
      faults = [String(error)];
    }
    if (faults.length === 0) continue;
    failed++;
    if (failed <= 3)
      console.log(
        `  ${style.id}: ${faults.slice(0, 3).join('; ')}\n    ${JSON.stringify({ gift: request.gift, room: request.room.across, style: request.style, cards: request.papers.map((paper) => paper.thickness) })}`,
      );
  }
  failures += failed;
  times.sort((a, b) => a - b);
  const at = (share: number) => (times[Math.floor(share * (times.length - 1))] ?? 0).toFixed(2);
  console.log(
    `${style.name}: ${checked} folded, ${failed} failed, ${refused} refused; planBox median ${at(0.5)} ms, p95 ${at(0.95)} ms, longest ${at(1)} ms`,
  );
}
console.log(
  `Fold sweep, seed ${seed}: ${failures === 0 ? 'no failure' : `${failures} failures`}, ${((performance.now() - start) / 1000).toFixed(1)} s`,
);
if (failures > 0) process.exitCode = 1;
