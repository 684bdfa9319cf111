import { describe, expect, it } from 'vitest';
import { at, everyBox } from '../testing/plans.ts';

describe('a basket', () => {
  it('is carried by a strip over its middle or by a wire through both sides', () => {
    everyBox('basket', ({ grid, cutouts, choice: { options }, plan }) => {
      const [wall, across] = grid('tray').columns;
      expect(cutouts('tray', 'wire')).toHaveLength(options.handle === 'wire' ? 2 : 0);
      expect(plan.pieces).toHaveLength(options.handle === 'wire' ? 1 : 2);
      if (options.handle === 'wire') return;
      const [up, span, down] = grid('handle').columns;
      expect(up).toBe(down);
      expect(up).toBeGreaterThan(wall ?? 0);
      if (plan.pairs.every(({ state }) => state !== 'tight'))
        expect(span).toBeGreaterThan(across ?? 0);
      expect(at(grid('handle').rows, 0)).toBeLessThanOrEqual(at(grid('tray').rows, 1));
    });
  });
});
