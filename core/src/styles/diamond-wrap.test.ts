import { describe, expect, it } from 'vitest';
import { at, cardOf, everyBox } from '../testing/plans.ts';

describe('a diamond wrap', () => {
  it('is a square sheet whose marks make the floor, by the rule of the slant', () => {
    everyBox('diamond-wrap', (box) => {
      const {
        grid,
        plan,
        choice: { options },
      } = box;
      const { columns, rows } = grid('base');
      const sum = (sections: readonly number[]) => sections.reduce((a, b) => a + b, 0);
      expect(sum(columns)).toBe(sum(rows));
      const card = cardOf(box, 'base');
      // A mark is the length of a side over √2, and a band the height times √2.
      const { across, deep, high } = plan.clearInside;
      const marks = [at(columns, 0), at(columns, 2)].map((mark) => mark * Math.SQRT2);
      const sides = [across, deep];
      for (const side of sides)
        expect(marks.some((mark) => mark >= side && mark - side < 8 * card)).toBe(true);
      expect(Math.abs(at(columns, 1) / Math.SQRT2 - high)).toBeLessThan(2 * card);
      expect(plan.pieces).toHaveLength(options.lid === 'none' ? 1 : 2);
    });
  });
});
