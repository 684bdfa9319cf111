import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { allStyles, millimetres, planBox, type DirectedRoom } from '../index.ts';
import { casesWanted } from '../testing/cases.ts';
import { at, cardOf, everyBox } from '../testing/plans.ts';
import { inWords, requestsIn, shippedKits } from '../testing/requests.ts';

describe('a diamond wrap', () => {
  it('is a square sheet whose marks make the floor, by the rule of the slant', () => {
    everyBox('diamond-wrap', (box) => {
      const {
        grid,
        plan,
        choice: { options },
      } = box;
      const { columns, rows } = grid('base');
      const sum = (sections: readonly number[]) => sections.reduce((a, b) => a + b, 0);
      expect(sum(columns)).toBe(sum(rows));
      const card = cardOf(box, 'base');
      // A mark is the length of a side over √2, and a band the height times √2.
      const { across, deep, high } = plan.clearInside;
      const marks = [at(columns, 0), at(columns, 2)].map((mark) => mark * Math.SQRT2);
      const sides = [across, deep];
      for (const side of sides)
        expect(marks.some((mark) => mark >= side && mark - side < 8 * card)).toBe(true);
      expect(Math.abs(at(columns, 1) / Math.SQRT2 - high)).toBeLessThan(2 * card);
      expect(plan.pieces).toHaveLength(options.lid === 'none' ? 1 : 2);
      // Its folded corners don't meet under the floor, and no lid stands beyond the base.
      const isTray = options.lidForm === 'tray';
      const wallOf = (piece: string) =>
        piece === 'lid' && isTray
          ? at(grid(piece).columns, 0)
          : at(grid(piece).columns, 1) / Math.SQRT2;
      expect(wallOf('base')).toBeLessThanOrEqual(Math.max(...marks) + 2);
      if (options.lid === 'none') return;
      expect(wallOf('lid')).toBeLessThanOrEqual(wallOf('base') + 1);
      if (!isTray) return;
      // By a ruler: a plain lid is as much wider than the base as its cards and its gap, tabs on two walls.
      const lidCard = cardOf(box, 'lid');
      const [pair] = plan.pairs;
      for (const [direction, side, tabs] of [
        ['across', at(grid('lid').columns, 1), 0],
        ['deep', at(grid('lid').rows, 1), 2],
      ] as const) {
        const mark = at(columns, direction === 'across' ? 2 : 0) * Math.SQRT2;
        const gap = side - mark - card - lidCard - tabs * lidCard;
        const told = pair?.fits.find((fit) => fit.direction === direction)?.gap;
        expect(Math.abs(gap - (told ?? NaN))).toBeLessThan(2);
      }
    });
  });

  it('has a lid that holds wherever marks next to its own hold, by what is felt on the slant', () => {
    const wraps = allStyles.filter(({ id }) => id === 'diamond-wrap').map(inWords);
    const [hair, rattles] = [10_000, 1_600_000];
    let seen = 0;
    fc.assert(
      fc.property(requestsIn(wraps, fc.constantFrom(...shippedKits)), (request) => {
        const result = planBox(request);
        const [lid] = result.ok ? result.plan.pairs : [];
        if (!lid || lid.state === 'holds') return;
        const [one, other] = lid.fits;
        const columns = result.ok ? result.plan.pieces[0]?.grid.columns : undefined;
        // A square box has a square lid: both ways go together.
        if (!one || !other || columns?.[0] === columns?.[2]) return;
        seen++;
        const { step } = request.kit.trimmer;
        const moved = Array.from({ length: 9 }, (_, i) => (i - 4) * step * Math.SQRT2);
        const holding = moved.flatMap((by) =>
          moved.filter((also) => {
            const gaps = [one.gap + by, other.gap + also];
            const ranges = [one.range, other.range];
            const isIn = (gap: number, i: number) =>
              gap >= (ranges[i]?.least ?? 0) + hair && gap <= (ranges[i]?.most ?? 0) - hair;
            const isBorne = (gap: number, i: number) =>
              gap >= (ranges[i]?.least ?? 0) + hair &&
              gap <= (ranges[i]?.most ?? 0) + rattles - hair;
            return gaps.some(isIn) && gaps.every(isBorne);
          }),
        );
        expect(holding).toEqual([]);
      }),
      { numRuns: 300 },
    );
    expect(seen).toBeGreaterThanOrEqual(casesWanted(1));
  });

  it('is refused for its height only where the least room would not do, and offers a height that does', () => {
    const leastOf = ({ floor }: DirectedRoom): DirectedRoom => ({ target: floor, floor });
    const wraps = allStyles.filter(({ id }) => id === 'diamond-wrap');
    const tallBlock = fc
      .record({
        across: fc.integer({ min: 20, max: 60 }),
        deep: fc.integer({ min: 20, max: 60 }),
        times: fc.integer({ min: 7, max: 14 }),
      })
      .map(({ across, deep, times }) => ({
        shape: 'block' as const,
        across: millimetres(across),
        deep: millimetres(deep),
        high: millimetres((Math.max(across, deep) * times) / 10),
        up: 'high' as const,
      }));
    let [refused, followed] = [0, 0];
    fc.assert(
      fc.property(requestsIn(wraps), tallBlock, (asked, gift) => {
        const request = { ...asked, gift };
        const result = planBox(request);
        if (result.ok) return;
        const [problem] = result.problems;
        if (problem?.field !== 'gift.high') return;
        refused++;
        const { across, deep, high } = request.room;
        const room = { across: leastOf(across), deep: leastOf(deep), high: leastOf(high) };
        expect(planBox({ ...request, room }).ok).toBe(false);
        if (problem.nearest === undefined) return;
        followed++;
        const lower = planBox({ ...request, gift: { ...gift, high: problem.nearest } });
        // A lower one may want another sheet; it is not too high any more.
        if (!lower.ok) expect(lower.problems[0]?.field).not.toBe('gift.high');
      }),
      { numRuns: 200 },
    );
    expect(refused).toBeGreaterThanOrEqual(casesWanted(20));
    expect(followed).toBeGreaterThanOrEqual(casesWanted(20));
  });
});
