import { describe, expect, it } from 'vitest';
import { at, everyBox } from '../testing/plans.ts';

describe('a many-sided cup', () => {
  it('has as many equal panels, tabs and plate edges as sides', () => {
    everyBox('many-sided', ({ grid, cutouts, choice: { options }, plan }) => {
      const isLidded = options.top.endsWith('lid');
      const pairs = [['cup', 'plate'], ...(isLidded ? [['lid', 'top']] : [])];
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
        // Trimmed from a rectangle, the plate is as wide as the ring of panels at the least.
        expect(cutouts(plate, 'plate').length).toBeGreaterThan(0);
        const across = at(columns, 0) / Math.tan(Math.PI / options.sides);
        const { columns: wide, rows: deep } = grid(plate);
        expect(Math.max(at(wide, 0), at(deep, 0))).toBeGreaterThan(across * 0.8);
      }
    });
  });
});
