/*
 * How many jobs a reader can make from their words alone, by kind of box and by kit:
 * `words.ts [jobs] [seed] [shown] [style]`; with TEXT=1 each that differs is told.
 */
import fc from 'fast-check';
import { allStyles, planBox, type Kit, type PlanRequest } from '../src/index.ts';
import { dressed } from '../src/testing/dressed.ts';
import { requestsIn } from '../src/testing/requests.ts';
import { faultsInWords, toldSteps } from '../src/testing/told.ts';

const jobs = Number(process.argv[2] ?? 1000);
const seed = Number(process.argv[3] ?? 20261126);
const show = Number(process.argv[4] ?? 3);
const only = process.argv[5];

/** Jobs that were read, and how many of them came out otherwise than planned. */
class Tally {
  private readonly counts = new Map<string, { read: number; differ: number }>();

  add(name: string, isRight: boolean): void {
    const count = this.counts.get(name) ?? { read: 0, differ: 0 };
    this.counts.set(name, count);
    count.read++;
    if (!isRight) count.differ++;
  }

  print(title: string): void {
    console.log(title);
    for (const [name, { read, differ }] of this.counts)
      console.log(`  ${name}: ${differ} of ${read} jobs differ`);
  }
}

/** What is on the table, as far as the sentences depend on it. */
function tableOf({ without, trimmer, board, cornerBoard, diagonalBoard }: Kit): readonly string[] {
  const cut = without.includes('trimmers') ? 'ruler for a trimmer' : `${trimmer.unit} trimmer`;
  const score = without.includes('boards') ? 'no board' : `${board.unit} board`;
  return [
    `${cut}, ${score}`,
    ...(board.shim === undefined ? [] : ['a shim']),
    ...(board.fence === 'right' ? ['fence on the right'] : []),
    ...(board.grooveLength < board.reach ? ['short grooves'] : []),
    ...(cornerBoard ? ['corner punch board'] : []),
    ...(diagonalBoard ? ['diagonal punch board'] : []),
  ];
}

const byStyle = new Tally();
const byKit = new Tally();

/** Reads jobs for such requests: how many were read, and how many came out otherwise than planned. */
function readJobs(
  name: string,
  requests: fc.Arbitrary<PlanRequest>,
  each: number,
): { readonly read: number; readonly differ: number } {
  const drawn = fc.sample(
    fc.tuple(requests, fc.constantFrom(1, 6), fc.infiniteStream(fc.nat(11))),
    { numRuns: each * 3, seed },
  );
  let [read, differ] = [0, 0];
  for (const [request, boxes, dice] of drawn) {
    if (read >= each) break;
    const result = planBox(request);
    if (!result.ok) continue;
    read++;
    const pick = (ways: number) => Number(dice.next().value) % Math.max(1, ways);
    const faults = faultsInWords(result.plan, request, boxes, pick);
    byStyle.add(name, faults.length === 0);
    for (const table of tableOf(request.kit)) byKit.add(table, faults.length === 0);
    if (faults.length === 0) continue;
    differ++;
    if (differ <= show) {
      console.log(`  ${name}: ${faults.slice(0, 4).join('; ')}`);
      if (process.env.TEXT)
        for (const { tool, copies, text } of toldSteps(result.plan, request, boxes))
          if (process.env.TEXT === 'glue' ? tool === 'glue' : tool !== 'glue')
            console.log(`     ${copies} [${tool}] ${text}`);
    }
  }
  return { read, differ };
}

const styles = allStyles.filter(({ id }) => only === undefined || id === only);
const each = Math.ceil(jobs / allStyles.length);
const kinds = [
  { said: 'bare', dress: (requests: fc.Arbitrary<PlanRequest>) => requests },
  { said: 'dressed', dress: dressed },
];
const results = kinds.map(({ said, dress }) => {
  const all = styles.map((style) =>
    readJobs(said === 'bare' ? style.id : `${style.id}, ${said}`, dress(requestsIn([style])), each),
  );
  const sum = (of: 'read' | 'differ') => all.reduce((total, one) => total + one[of], 0);
  return `${sum('differ')} of ${sum('read')} ${said} jobs differ from what was planned`;
});
byStyle.print('By kind of box');
byKit.print('By kit; a job is counted under each that is so');
for (const result of results) console.log(result);
