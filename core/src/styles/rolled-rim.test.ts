import { describe, expect, it } from 'vitest';
import { at, everyBox } from '../testing/plans.ts';

describe('a rolled-rim box', () => {
  it('rolls a rim in that is no longer than its wall, alike on all sides', () => {
    everyBox('rolled-rim', ({ grid, choice: { options } }) => {
      for (const piece of ['base', 'lid']) {
        const { columns, rows } = grid(piece);
        const [rim, wall] = columns;
        expect(columns).toEqual([...columns].reverse());
        expect(rows).toEqual([...rows].reverse());
        expect([at(rows, 0), at(rows, 1)]).toEqual([rim, wall]);
        expect(rim).toBeLessThan(wall ?? 0);
        if (options.rimDepth === 'full') expect(rim).toBeGreaterThan((wall ?? 0) * 0.3);
      }
      expect(at(grid('lid').columns, 1)).toBeLessThanOrEqual(at(grid('base').columns, 1));
    });
  });
});
