import { describe, expect, it } from 'vitest';
import { at, everyBox } from '../testing/plans.ts';

describe('a fold-lock wrap', () => {
  it('holds with no glue, its corners folded on their diagonals', () => {
    everyBox('fold-lock', ({ grid, plan }) => {
      const { columns, rows, diagonals, roles } = grid('wrap');
      expect(rows).toHaveLength(5);
      expect(diagonals).toHaveLength(4);
      expect(at(columns, 0)).toBe(at(rows, 4));
      expect(roles.flat().filter((role) => role === 'tab' || role === 'seam')).toEqual([]);
      expect(plan.assembly.stacks.some(({ holds }) => holds === 'glue')).toBe(false);
    });
  });
});
