import { describe, expect, it } from 'vitest';
import { outlinesOf, subdivide } from '../piece/index.ts';
import { at, cardOf, everyBox } from '../testing/plans.ts';

describe('a many-sided cup', () => {
  it('has as many equal panels, tabs and plate edges as sides', () => {
    everyBox('many-sided', ({ grid, cutouts, choice: { options }, plan, request }) => {
      const isLidded = options.top.endsWith('lid');
      const hasPlate = options.bottom === 'plate';
      const pairs = [
        ['cup', ...(hasPlate ? ['plate'] : [])],
        ...(isLidded ? [['lid', 'top']] : []),
      ];
      const handle = options.top === 'handle' ? ['handle'] : [];
      expect(plan.pieces.map(({ id }) => id)).toEqual([...pairs.flat(), ...handle]);
      // The handle turns over by half a round in as many folds as the cup does.
      if (handle.length > 0) {
        const { lines } = grid('handle');
        expect(lines).toHaveLength(options.sides / 2);
        const fit = plan.pairs.find(({ kind }) => kind === 'handle');
        const wider = at(grid('handle').columns, 1) - at(grid('cup').columns, 0);
        // As large as the cup's own sides it would pull the panels in, and the plan must own up to it.
        expect(fit?.state === 'tight' || wider > 0).toBe(true);
      }
      for (const [panels = '', plate = ''] of pairs) {
        const { columns, roles } = grid(panels);
        expect(columns).toHaveLength(options.sides + 1);
        expect(new Set(columns.slice(0, -1)).size).toBe(1);
        // The seam is wide enough for glue, and no wider than the panel that it lies behind.
        const [panel, seam] = [at(columns, 0), at(columns, options.sides)];
        expect(seam).toBeGreaterThanOrEqual(3_000_000);
        expect(seam).toBeLessThanOrEqual(panel);
        expect(roles[1]?.filter((role) => role === 'tab')).toHaveLength(options.sides);
        if (plate === '') {
          // Tabs that overlap reach past the middle of the floor, and stop before the wall beyond it.
          const toMiddle = panel / 2 / Math.tan(Math.PI / options.sides);
          const tab = at(grid(panels).rows, 1);
          expect(tab).toBeGreaterThan(toMiddle);
          expect(tab).toBeLessThan(1.4 * toMiddle);
          expect(options.sides).toBeLessThanOrEqual(8);
          continue;
        }
        // Trimmed from a rectangle, the plate fills the ring but for its card and half a millimetre.
        expect(cutouts(plate, 'plate').length).toBeGreaterThan(0);
        const middle = at(columns, 0) / 2e6 / Math.tan(Math.PI / options.sides);
        const reach = middle - 1.5 * (cardOf({ plan, request }, plate) / 1e6) - 0.5;
        const { columns: wide, rows: deep } = grid(plate);
        // It is cut from no more card than the next step of what cuts it over its own figure.
        const corners = outlinesOf(subdivide(grid(plate))).flat();
        const { trimmer, rulers } = request.kit;
        const step = Math.max(trimmer.step, ...rulers.map((ruler) => ruler.step));
        const figure =
          Math.max(...corners.map(({ y }) => y)) - Math.min(...corners.map(({ y }) => y));
        expect(figure).toBeGreaterThanOrEqual(2 * reach - 1e-3);
        for (const [own, cut] of [
          [corners.map(({ x }) => x), at(wide, 0)],
          [corners.map(({ y }) => y), at(deep, 0)],
        ] as const)
          expect(cut / 1e6 - (Math.max(...own) - Math.min(...own))).toBeLessThan(step / 1e6 + 1e-3);
      }
    });
  });
});
