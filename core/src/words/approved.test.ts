import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { allStyles, planBox, usualRequest, type PlanRequest, type StyleSummary } from '../index.ts';
import { printedJob } from '../testing/printed.ts';
import { anyChoiceOf, oddKit, requestsIn, shippedKits, sundial } from '../testing/requests.ts';

/** So many boxes that were drawn; the same each time, whatever seed a soak gives. */
function drawn<Value>(
  values: fc.Arbitrary<Value>,
  { seed, numRuns }: { seed: number; numRuns: number },
): readonly Value[] {
  return fc.sample(values, { seed, numRuns });
}

/** The usual box, one that is drawn on usual tools, and one on a table that lacks some or holds odd ones. */
function boxesOf(style: StyleSummary): readonly { request: PlanRequest; boxes: number }[] {
  const [choice] = drawn(anyChoiceOf(style), { seed: 1_127, numRuns: 1 });
  if (!choice) throw new Error('A style has options');
  const planned = (kits: typeof oddKit, seed: number) =>
    drawn(requestsIn([style], kits), { seed, numRuns: 60 }).find((request) => planBox(request).ok);
  const plain = planned(fc.constantFrom(...shippedKits), 1_128);
  const odd = planned(oddKit, 1_129);
  return [
    { request: { ...usualRequest(sundial, 'inch'), style: choice }, boxes: 1 },
    ...(plain ? [{ request: plain, boxes: 6 }] : []),
    ...(odd ? [{ request: odd, boxes: 12 }] : []),
  ];
}

/*
 * What is told of a few boxes of each kind, as an editor has read and approved it. A changed sentence shows here;
 * read it aloud, and where it is right take it over with `npx vitest run --root . -u core/src/words/approved`.
 */
describe('what is told', () => {
  it.each(allStyles.map((style) => [style.id, style] as const))(
    'of a %s is as it was approved',
    async (id, style) => {
      const told = boxesOf(style).map(({ request, boxes }) => {
        const result = planBox(request);
        const many = `${boxes} ${boxes === 1 ? 'box' : 'boxes'}`;
        return `== ${many}\n${result.ok ? printedJob(result.plan, request, boxes) : 'refused\n'}`;
      });
      await expect(told.join('\n')).toMatchFileSnapshot(`approved/${id}.txt`);
    },
  );
});
