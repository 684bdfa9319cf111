import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { chooseEnds, nanometres, plus, type Length } from '../index.ts';

const perMark = 3_175_000;

/** Places along an edge, most of them at marks from one end or the other. */
const anyEdge = fc
  .record({
    whole: fc.integer({ min: 20, max: 90 }).map((marks) => nanometres(marks * 1_587_500)),
    picks: fc.uniqueArray(
      fc.record({
        marks: fc.integer({ min: 1, max: 40 }),
        from: fc.constantFrom('start', 'end', 'none'),
      }),
      { minLength: 1, maxLength: 5, selector: ({ marks }) => marks },
    ),
    reach: fc.integer({ min: 8, max: 60 }).map((marks) => nanometres(marks * perMark)),
    shim: fc.constantFrom(undefined, nanometres(1_587_500)),
  })
  .map(({ whole, picks, reach, shim }) => ({
    whole,
    grooves: { pitch: nanometres(perMark), reach, ...(shim !== undefined && { shim }) },
    places: picks
      .map(({ marks, from }): Length => {
        const at = nanometres(marks * perMark);
        if (from === 'start') return at;
        return from === 'end' ? nanometres(whole - at) : plus(at, nanometres(700_000));
      })
      .filter((at) => at > 0 && at < whole)
      .sort((a, b) => a - b),
  }));

/** Whether a reading can be made on a board. */
function isMade(
  reading: number,
  { pitch, reach, shim }: { pitch: number; reach: number; shim?: number },
) {
  const at = (groove: number) => groove <= reach && groove % pitch === 0;
  return at(reading) || (shim !== undefined && at(reading + shim));
}

describe('the edge that a line is measured from', () => {
  it('leaves as few lines off the grooves as can be, and then turns the piece as seldom', () => {
    fc.assert(
      fc.property(anyEdge, ({ whole, grooves, places }) => {
        const costOf = (ends: readonly string[]) => {
          const readings = places.map((at, i) => (ends[i] === 'start' ? at : whole - at));
          const made = readings.map((reading) => isMade(reading, grooves));
          const sides = new Set(ends.filter((_, i) => made[i]));
          return [made.filter((each) => !each).length, sides.size] as const;
        };
        const all = Array.from({ length: 2 ** places.length }, (_, bits) =>
          places.map((__, i) => ((bits >> i) % 2 === 0 ? 'start' : 'end')),
        ).map(costOf);
        const [off, turns] = costOf(chooseEnds(places, whole, grooves));
        const least = Math.min(...all.map(([each]) => each));
        expect(off).toBe(least);
        expect(turns).toBe(
          Math.min(...all.filter(([each]) => each === least).map(([, sides]) => sides)),
        );
      }),
      { numRuns: 500 },
    );
  });
});
