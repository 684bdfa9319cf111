import { describe, expect, it } from 'vitest';
import { at, everyBox } from '../testing/plans.ts';

describe('a petal-top box', () => {
  it('has petals that reach over the middle, and a liner below its rim', () => {
    everyBox('petal-top', (box) => {
      const { columns, rows } = box.grid('base');
      expect(columns).toEqual([...columns].reverse());
      expect(2 * at(columns, 0)).toBeGreaterThanOrEqual(at(columns, 2) * 0.99);
      expect(2 * at(rows, 0)).toBeGreaterThanOrEqual(at(rows, 2) * 0.99);
      expect(at(box.grid('liner').rows, 0)).toBeLessThan(at(columns, 1));
      const [right, front, left, back] = box.grid('liner').columns;
      expect([right, front]).toEqual([left, back]);
      // Two corners of each of the four petals are shaped.
      expect(box.cutouts('base', 'petal')).toHaveLength(8);
    });
  });
});
