import { describe, expect, it } from 'vitest';
import { at, everyBox } from '../testing/plans.ts';

describe('a tall box and cap', () => {
  it('has a tube of equal facing panels, and a cap no deeper than it', () => {
    everyBox('tall-box', ({ grid, choice: { options }, cutouts }) => {
      const [right, front, left, back, seam] = grid('tube').columns;
      expect(right).toBe(left);
      expect(front).toBe(back);
      expect(seam).toBeLessThanOrEqual(right ?? 0);
      const cap = grid('cap');
      expect(at(cap.columns, 0)).toBe(at(cap.rows, 2));
      expect(at(cap.columns, 0)).toBeLessThanOrEqual(at(grid('tube').rows, 0));
      expect(cutouts('cap', 'thumb notch')).toHaveLength(options.thumbNotches ? 2 : 0);
    });
  });
});
