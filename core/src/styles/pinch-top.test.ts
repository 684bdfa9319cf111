import { describe, expect, it } from 'vitest';
import { at, everyBox } from '../testing/plans.ts';

describe('a pinch-top bag', () => {
  it('has a gable long enough to meet over the middle, with holes or a fold to close it', () => {
    everyBox('pinch-top', ({ grid, cutouts, choice: { options } }) => {
      const { columns, rows } = grid('bag');
      const narrow = Math.min(at(columns, 0), at(columns, 1));
      const folds = options.closing === 'fold over';
      expect(rows).toHaveLength(folds ? 5 : 4);
      const gable = at(rows, folds ? 2 : 1);
      expect(2 * gable).toBeGreaterThan(narrow);
      // Through the two fins, and through what is folded in between them where it reaches that far.
      const holes = cutouts('bag', 'ribbon').length;
      if (folds) expect(holes).toBe(0);
      else if (Math.abs(at(columns, 0) - at(columns, 1)) < 4e6) expect(holes).toBe(8);
      else expect([4, 8]).toContain(holes);
    });
  });
});
