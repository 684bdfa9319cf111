import { describe, expect, it } from 'vitest';
import { at, everyBox } from '../testing/plans.ts';

describe('a basket', () => {
  it('is carried by a strip over its middle or by a wire through both sides', () => {
    everyBox('basket', ({ grid, cutouts, choice: { options }, plan }) => {
      const body = options.body === 'tube' ? 'tube' : 'tray';
      const { columns, rows } = grid(body);
      // A tray is drawn wall, floor, wall; a tube panel by panel, the first two of them side and front.
      const [wall, across, deep] =
        body === 'tray' ? [columns[0], columns[1], rows[1]] : [rows[0], columns[1], columns[0]];
      const holes = cutouts(body, 'wire');
      expect(holes).toHaveLength(options.handle === 'wire' ? 2 : 0);
      if (body === 'tube')
        for (const hole of holes) {
          // Through the middle of the front and of the back: no seam lies behind those.
          if (hole.shape !== 'hole') throw new Error('A wire goes through a hole');
          const starts = [at(columns, 0), at(columns, 0) + at(columns, 1) + at(columns, 2)];
          const middles = starts.map((start) => start + at(columns, 1) / 2);
          expect(Math.min(...middles.map((x) => Math.abs(x - hole.centre.x)))).toBeLessThan(2);
          expect(hole.centre.y).toBeLessThanOrEqual(at(rows, 0) / 2);
        }
      expect(plan.pieces).toHaveLength(options.handle === 'wire' ? 1 : 2);
      if (options.handle === 'wire') return;
      const [up, span, down] = grid('handle').columns;
      expect(up).toBe(down);
      expect(up).toBeGreaterThan(wall ?? 0);
      if (plan.pairs.every(({ state }) => state !== 'tight'))
        expect(span).toBeGreaterThan(across ?? 0);
      expect(at(grid('handle').rows, 0)).toBeLessThanOrEqual(deep ?? 0);
    });
  });
});
