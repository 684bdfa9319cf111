import { describe, expect, it } from 'vitest';
import { at, everyBox } from '../testing/plans.ts';

describe('a gathered-top box', () => {
  it('has a pleat at every corner of its collar and a hole in every panel', () => {
    everyBox('gathered-top', ({ grid, cutouts, plan }) => {
      const { columns, diagonals, roles } = grid('box');
      expect([at(columns, 0), at(columns, 1)]).toEqual([at(columns, 2), at(columns, 3)]);
      expect(Math.min(at(columns, 0), at(columns, 1))).toBeGreaterThanOrEqual(10_000_000);
      expect(diagonals).toHaveLength(8);
      expect(cutouts('box', 'ribbon')).toHaveLength(4);
      expect(roles.at(-1)).toEqual(['flap', 'flap', 'flap', 'flap', 'waste']);
      expect(plan.clearInside.high).toBeLessThan(at(grid('box').rows, 1));
    });
  });
});
