/* How many jobs a reader can make from their words alone, by kind of box: `words.ts [jobs] [seed]`. */
import fc from 'fast-check';
import { allStyles, planBox } from '../src/index.ts';
import { requestsIn } from '../src/testing/requests.ts';
import { faultsInWords, toldSteps } from '../src/testing/told.ts';

const jobs = Number(process.argv[2] ?? 1000);
const seed = Number(process.argv[3] ?? 20261126);
const show = Number(process.argv[4] ?? 3);
const only = process.argv[5];

let all = 0;
let wrong = 0;
for (const style of allStyles) {
  if (only !== undefined && style.id !== only) continue;
  const each = Math.ceil(jobs / allStyles.length);
  const drawn = fc.sample(
    fc.tuple(requestsIn([style]), fc.constantFrom(1, 6), fc.infiniteStream(fc.nat(11))),
    { numRuns: each * 2, seed },
  );
  let [read, differ] = [0, 0];
  for (const [request, boxes, dice] of drawn) {
    if (read >= each) break;
    const result = planBox(request);
    if (!result.ok) continue;
    read++;
    const pick = (ways: number) => Number(dice.next().value) % Math.max(1, ways);
    const faults = faultsInWords(result.plan, request, boxes, pick);
    if (faults.length === 0) continue;
    differ++;
    if (differ <= show) {
      console.log(`  ${style.id}: ${faults.slice(0, 4).join('; ')}`);
      if (process.env.TEXT)
        for (const { tool, copies, text } of toldSteps(result.plan, request, boxes))
          if (process.env.TEXT === 'glue' ? tool === 'glue' : tool !== 'glue') console.log(`     ${copies} [${tool}] ${text}`);
    }
  }
  all += read;
  wrong += differ;
  console.log(`${style.id}: ${differ} of ${read} jobs differ`);
}
console.log(`${wrong} of ${all} jobs differ from what was planned`);
