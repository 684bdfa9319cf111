import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { planBox, type PlannedPair } from '../index.ts';
import { casesWanted } from '../testing/cases.ts';
import { anyRequest } from '../testing/requests.ts';

/** What no maker measures, in nanometres. */
const hair = 10_000;

/** How one gap is felt, as a maker would say it; a lid that holds one way makes up for 1.6 mm in the other. */
function feel({ fits }: PlannedPair, isOfHeight: boolean): PlannedPair['state'] | undefined {
  const own = fits.filter(({ direction }) => (direction === 'high') === isOfHeight);
  if (own.length === 0) return undefined;
  if (own.some(({ gap, range }) => gap < range.least - hair)) return 'tight';
  const one = own.some(({ gap, range }) => gap <= range.most + hair);
  const all = own.every(({ gap, range }) => gap <= range.most + 1_600_000 + hair);
  return one && all ? 'holds' : 'loose';
}

describe('what goes over what', () => {
  it('holds where a hand feels nothing loose, neither sideways nor in height, and never by the one for the other', () => {
    const seen = new Set<string>();
    let ruled = 0;
    fc.assert(
      fc.property(anyRequest, (request) => {
        const result = planBox(request);
        if (!result.ok) return;
        for (const pair of result.plan.pairs) {
          const [sideways, height] = [feel(pair, false), feel(pair, true)];
          const felt = [sideways, height];
          const worst = (['tight', 'loose', 'holds'] as const).find((state) =>
            felt.includes(state),
          );
          expect(pair.state).toBe(worst);
          // The figure that is told is one of those that are to blame.
          const blamed = pair.fits.filter(
            ({ direction }) => (direction === 'high' ? height : sideways) === pair.state,
          );
          expect(blamed.map(({ gap }) => gap)).toContain(pair.gap);
          if (sideways && height && sideways !== height) seen.add(pair.kind);
          // The layer rule, with the numbers that are told.
          for (const { gap, rule } of pair.fits) {
            if (!rule) continue;
            ruled++;
            expect(rule.outer - rule.inner - rule.layers).toBe(gap);
          }
        }
      }),
      { numRuns: 500 },
    );
    expect(seen.size).toBeGreaterThanOrEqual(casesWanted(1));
    expect(ruled).toBeGreaterThan(100);
  });

  it('never jams for who would rather have it loose', () => {
    fc.assert(
      fc.property(anyRequest, (request) => {
        const result = planBox({ ...request, lean: 'loose' });
        if (!result.ok) return;
        expect(result.plan.pairs.filter(({ state }) => state === 'tight')).toEqual([]);
      }),
      { numRuns: 500 },
    );
  });
});
