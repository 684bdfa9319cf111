import { describe, expect, it } from 'vitest';
import { at, everyBox } from '../testing/plans.ts';

describe('an open sleeve', () => {
  it('goes round the gift and no farther, with its notches in the middle of front and back', () => {
    everyBox('sleeve', ({ grid, cutouts, plan, choice: { options } }) => {
      const { columns, rows } = grid('sleeve');
      expect(rows).toEqual([plan.clearInside.high]);
      const [right, front, left, back] = [0, 1, 2, 3].map((panel) => at(columns, panel));
      expect([right, front]).toEqual([left, back]);
      const found = cutouts('sleeve', 'thumb notch');
      const wanted = { none: 0, front: 1, 'front and back': 2 };
      expect(found).toHaveLength(wanted[options.notches]);
      found.forEach((notch, i) => {
        if (notch.shape !== 'notch') throw new Error('No half-round bite');
        const left = at(columns, 0) + (i === 0 ? 0 : at(columns, 1) + at(columns, 2));
        expect(notch.centre.y).toBe(0);
        expect(Math.abs(notch.centre.x - left - at(columns, 1) / 2)).toBeLessThan(2);
        expect(notch.radius * 2).toBeLessThan(at(columns, 1));
        expect(notch.radius).toBeLessThan(at(rows, 0));
      });
    });
  });
});
