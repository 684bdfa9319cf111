import { describe, expect, it } from 'vitest';
import { at, everyBox } from '../testing/plans.ts';

describe('a tent-top box', () => {
  it('has two equal roofs that meet over the middle of the floor, and holes in both fins', () => {
    everyBox('tent-top', ({ grid, cutouts, choice: { options } }) => {
      const { columns, rows } = grid('tent');
      const [fin, roof, floor, otherRoof, otherFin] = rows;
      expect([fin, roof]).toEqual([otherFin, otherRoof]);
      expect(2 * (roof ?? 0)).toBeGreaterThan(floor ?? 0);
      // The end triangles are as high as the ridge.
      const ridge = Math.sqrt((roof ?? 0) ** 2 - (floor ?? 0) ** 2 / 4);
      expect(at(columns, 0)).toBeGreaterThanOrEqual(ridge - 1);
      expect(cutouts('tent', 'ribbon')).toHaveLength(options.closing === 'ribbon holes' ? 4 : 0);
      expect(cutouts('tent', 'brad')).toHaveLength(options.closing === 'brad hole' ? 2 : 0);
    });
  });
});
