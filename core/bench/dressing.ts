/* Random boxes over all styles with panels on their faces, folded and checked; prints the seed and every failure. */
import fc from 'fast-check';
import { allStyles, planBox, type AdditionChoice } from '@rangoli/core';
import { dressed } from '../src/testing/dressed.ts';
import { faultsInSpace } from '../src/testing/proof.ts';
import { tableRequestsIn } from '../src/testing/requests.ts';
import { wornFaults } from '../src/testing/worn-in-space.ts';

const wanted = Number(process.argv[2] ?? 5_000);
const seed = Number(process.argv[3] ?? 20_261_125);
const only = process.argv[4];
const styles = allStyles.filter(({ id }) => only === undefined || id === only);
const each = Math.ceil(wanted / styles.length);

/** What of an addition decides where it lies. */
function told(choice: AdditionChoice): unknown {
  if (choice.addition === 'insert') return [choice.holds, choice.paper.thickness];
  if (choice.addition === 'tag') return [choice.shape, choice.width, choice.height];
  if (choice.addition === 'ribbon' || choice.addition === 'spot' || choice.addition === 'wire')
    return choice;
  if (choice.addition === 'window') return [choice.on, choice.opening, choice.film?.thickness];
  if (choice.addition !== 'panel') {
    const { paper, ...rest } = choice;
    return [rest, paper.thickness];
  }
  const { on, underCover, layers } = choice;
  return [on, underCover, layers.map(({ margin, paper }) => [margin, paper.thickness])];
}

let [failures, boxes] = [0, 0];
const start = performance.now();
for (const [i, style] of styles.entries()) {
  let [checked, refused, failed, worn] = [0, 0, 0, 0];
  const times: number[] = [];
  const why = new Map<string, number>();
  const requests = fc.sample(dressed(tableRequestsIn(style)), {
    numRuns: 4 * each,
    seed: seed + i,
  });
  for (const request of requests) {
    if (checked >= each) break;
    if (request.additions.length === 0) continue;
    const before = performance.now();
    const result = planBox(request);
    times.push(performance.now() - before);
    if (!result.ok) {
      refused++;
      const [problem] = result.problems;
      const kind = problem?.message.replace(/[\d/. ]+(in|mm)/g, ' N').slice(0, 70) ?? '';
      why.set(kind, (why.get(kind) ?? 0) + 1);
      continue;
    }
    checked++;
    worn += result.plan.assembly.parts.filter((part) => part.worn).length;
    let faults: readonly string[];
    try {
      faults = [...faultsInSpace(result.plan, request), ...wornFaults(result.plan, request)];
    } catch (error) {
      faults = [String(error)];
    }
    if (faults.length === 0) continue;
    failed++;
    if (failed <= 3)
      console.log(
        `  ${style.id}: ${faults.slice(0, 3).join('; ')}\n    ${JSON.stringify({ gift: request.gift, style: request.style, additions: request.additions.map(told) })}`,
      );
  }
  failures += failed;
  boxes += checked;
  times.sort((a, b) => a - b);
  const at = (share: number) => (times[Math.floor(share * (times.length - 1))] ?? 0).toFixed(2);
  console.log(
    `${style.name}: ${checked} dressed with ${worn} layers, ${failed} failed, ${refused} refused; planBox median ${at(0.5)} ms, p95 ${at(0.95)} ms, longest ${at(1)} ms`,
  );
  for (const [kind, count] of [...why].sort((a, b) => b[1] - a[1]).slice(0, 4))
    console.log(`    ${count} × ${kind}`);
}
console.log(
  `Dress sweep, seed ${seed}: ${boxes} boxes, ${failures === 0 ? 'no failure' : `${failures} failures`}, ${((performance.now() - start) / 1000).toFixed(1)} s`,
);
if (failures > 0) process.exitCode = 1;
