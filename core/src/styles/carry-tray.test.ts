import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { allStyles, planBox } from '../index.ts';
import { requestsIn } from '../testing/requests.ts';

describe('a carry tray', () => {
  it('has its holes in the side walls, clear of the folds and of the rim', () => {
    const trays = requestsIn(allStyles.filter(({ id }) => id === 'carry-tray'));
    fc.assert(
      fc.property(trays, (request) => {
        const result = planBox(request);
        if (!result.ok) return;
        const [tray] = result.plan.pieces;
        if (!tray || result.plan.style.style !== 'carry-tray') throw new Error('No tray');
        const { columns, rows, cutouts } = tray.grid;
        const holes = cutouts.flatMap((each) => (each.shape === 'hole' ? [each] : []));
        expect(holes).toHaveLength(result.plan.style.options.grips === 'none' ? 0 : 2);
        const [wall = 0, across = 0] = columns;
        holes.forEach(({ centre, radius }, i) => {
          const left = i === 0 ? 0 : wall + across;
          expect(centre.x - radius).toBeGreaterThan(left + wall / 8);
          expect(centre.x + radius).toBeLessThan(left + wall - wall / 8);
          const [above = 0, deep = 0] = rows;
          expect(centre.y - radius).toBeGreaterThan(above);
          expect(centre.y + radius).toBeLessThan(above + deep);
        });
      }),
    );
  });
});
