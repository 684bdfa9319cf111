import { describe, expect, it } from 'vitest';
import { at, everyBox } from '../testing/plans.ts';

describe('an overlap-top box', () => {
  it('has two flaps that reach past one another over the middle', () => {
    everyBox('overlap-top', ({ grid, cutouts, choice: { options } }) => {
      const { columns, rows } = grid('box');
      const [flap] = rows;
      expect(2 * (flap ?? 0)).toBeGreaterThan(at(columns, 0));
      expect(flap).toBeLessThanOrEqual(at(columns, 0));
      const shapes = new Set(cutouts('box', 'flap').map(({ shape }) => shape));
      expect(shapes.has('corner')).toBe(options.edge === 'round');
    });
  });
});
