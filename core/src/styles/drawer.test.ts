import { describe, expect, it } from 'vitest';
import { at, cardOf, everyBox } from '../testing/plans.ts';

describe('a drawer box', () => {
  it('has a sleeve of equal facing panels that its trays pass through side by side', () => {
    everyBox('drawer', (box) => {
      const {
        grid,
        choice: { options },
        plan,
      } = box;
      const [one, bottom, other, top, seam] = grid('sleeve').columns;
      expect(one).toBe(other);
      expect(bottom).toBe(top);
      expect(seam).toBeLessThanOrEqual(one ?? 0);
      const trays = plan.pieces.find(({ id }) => id === 'tray')?.copies;
      expect(trays).toBe(options.trays);
      // From fold to fold a sleeve is wider than its trays by all their walls at the least.
      const across = at(grid('tray').columns, 1) + cardOf(box, 'tray');
      if (plan.pairs.every(({ state }) => state !== 'tight'))
        expect(bottom).toBeGreaterThan(options.trays * across);
    });
  });

  it('is pulled by what was asked, and stopped where it was', () => {
    everyBox('drawer', ({ grid, cutouts, choice: { options } }) => {
      expect(cutouts('tray', 'thumb notch')).toHaveLength(options.pull === 'notch' ? 1 : 0);
      expect(cutouts('tray', 'ribbon pull')).toHaveLength(options.pull === 'ribbon' ? 1 : 0);
      const { rows, roles, columns } = grid('sleeve');
      expect(rows).toHaveLength(options.stop ? 2 : 1);
      if (!options.stop) return;
      expect(roles[0]).toEqual(['waste', 'flap', 'waste', 'waste', 'waste']);
      expect(at(rows, 0)).toBeLessThan(at(columns, 0));
    });
  });
});
