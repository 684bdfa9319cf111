import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { allStyles, extentsOf, millimetres, paperFor, planBox, withOption } from '../index.ts';
import { casesWanted } from '../testing/cases.ts';
import { at, everyBox } from '../testing/plans.ts';
import { requestsIn } from '../testing/requests.ts';
import { roundPunches } from '../tools/index.ts';

describe('a ring-seat box', () => {
  it('holds rounds that stand by an opening in the middle of a seat under the lid', () => {
    let builtIn = 0;
    everyBox(
      'ring-seat',
      ({ grid, cutouts, plan, request, choice: { options } }) => {
        const isPunched = options.opening === 'punched';
        const isOwn = options.seatMade === 'by itself';
        expect(plan.pieces).toHaveLength(isOwn ? 3 : 2);
        const seat = isOwn ? 'seat' : 'base';
        const [opening] = cutouts(seat, isPunched ? 'punched seat' : 'seat');
        if (opening?.shape !== 'hole') throw new Error('A seat has an opening');
        const { columns, rows } = grid(seat);
        expect(opening.centre.x).toBe(at(columns, 0) + at(columns, 1) / 2);
        expect(opening.radius).toBeLessThan(at(columns, 1) / 2);
        expect(opening.radius).toBeLessThan(at(rows, 1) / 2);
        if (!isOwn) {
          // Its middle is that of the floor.
          const [tongue, deep, floor] = [0, 1, 4].map((row) => at(rows, row));
          if (!tongue || !deep || !floor) throw new Error('No seat in this base');
          builtIn++;
          expect(tongue + deep - opening.centre.y).toBe(Math.floor(floor / 2));
        }
        const { across } = extentsOf(plan.gift);
        expect(2 * opening.radius).toBeLessThan(plan.clearInside.across + 2e6);
        if (plan.gift.shape === 'cylinder')
          expect(2 * opening.radius).toBeGreaterThanOrEqual(across);
        if (isPunched) expect(roundPunches(request.kit.punches)).toContain(2 * opening.radius);
        if (isOwn) expect(at(columns, 0)).toBeLessThan(at(grid('base').columns, 0));
        expect(['ball', 'bottle', 'cylinder']).toContain(plan.gift.shape);
      },
      400,
    );
    expect(builtIn).toBeGreaterThanOrEqual(casesWanted(4));
  });

  it('keeps the tab under a low seat over the floor', () => {
    const styles = allStyles.filter(({ id }) => id === 'ring-seat');
    let seen = 0;
    fc.assert(
      fc.property(requestsIn(styles), fc.integer({ min: 15, max: 40 }), (asked, high) => {
        const gift = {
          shape: 'cylinder' as const,
          diameter: millimetres(45),
          length: millimetres(high),
          lies: 'standing' as const,
        };
        const low = withOption(withOption(asked.style, 'opening', 'cut'), 'seat', 'low');
        const style = withOption(low, 'seatMade', 'with the base');
        const result = planBox({ ...asked, gift, style });
        if (!result.ok) return;
        seen++;
        const [tongue = 0, , drop = 0, wall = 0] = result.plan.pieces[0]?.grid.rows ?? [];
        const card = paperFor(asked.papers, 0).thickness;
        expect(drop + tongue + card).toBeLessThanOrEqual(wall);
      }),
      { numRuns: 80 },
    );
    expect(seen).toBeGreaterThanOrEqual(casesWanted(20));
  });
});
