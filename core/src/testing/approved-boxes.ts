import fc from 'fast-check';
import { planBox, usualRequest, type PlanRequest, type StyleSummary } from '../index.ts';
import { anyChoiceOf, inWords, oddKit, requestsIn, shippedKits, sundial } from './requests.ts';

/** So many values that were drawn; the same each time, whatever seed a soak gives. */
export function drawn<Value>(
  values: fc.Arbitrary<Value>,
  { seed, numRuns }: { readonly seed: number; readonly numRuns: number },
): readonly Value[] {
  return fc.sample(values, { seed, numRuns });
}

/**
 * The boxes of a kind whose telling has been read and approved: the usual one, one that is drawn on usual
 * tools, and one on a table that lacks some or holds odd ones.
 */
export function approvedBoxes(
  asked: StyleSummary,
): readonly { readonly request: PlanRequest; readonly boxes: number }[] {
  const style = inWords(asked);
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
