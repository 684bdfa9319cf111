import { describe, expect, it } from 'vitest';
import { cutSizeOf } from '../index.ts';
import { casesWanted } from '../testing/cases.ts';
import { at, everyBox } from '../testing/plans.ts';

describe('a web-corner box', () => {
  it('is slit nowhere: its corners are folded, and held by ribbon or not at all', () => {
    everyBox('web-corner', ({ grid, cutouts, choice: { options }, plan }) => {
      const { lines, columns, rows, diagonals } = grid('box');
      expect(lines.flatMap(({ spans }) => spans).filter(({ make }) => make === 'slit')).toEqual([]);
      expect(diagonals).toHaveLength(4);
      // The diagonals run at 45°, so that the corners are squares.
      expect(new Set([at(columns, 0), at(columns, 2), at(rows, 0), at(rows, 2)]).size).toBe(1);
      expect(cutouts('box', 'ribbon')).toHaveLength(options.closing === 'ribbon holes' ? 2 : 0);
      // Two corners on one wall cross over its middle, and each is slit half as deep as they do.
      const hooks = cutouts('box', 'hook');
      expect(hooks).toHaveLength(options.closing === 'hooks' ? 6 : 0);
      if (hooks.length > 0)
        expect(2 * at(columns, 0)).toBeGreaterThan(Math.min(at(columns, 1), at(rows, 1)) + 14e6);
      expect(plan.assembly.stacks.some(({ holds }) => holds === 'glue')).toBe(false);
    });
  });

  it('is read from the nearer edge on a corner board, which has no other marks', () => {
    let seen = 0;
    everyBox(
      'web-corner',
      ({ plan }) => {
        for (const { id, punchBoard, grid } of plan.pieces) {
          if (punchBoard !== 'corner') continue;
          const size = cutSizeOf(grid);
          const lines = plan.marks.filter(({ piece }) => piece === id);
          for (const { axis, reading } of lines.flatMap(({ readings }) => readings)) {
            seen++;
            expect(2 * reading).toBeLessThanOrEqual(axis === 'column' ? size.width : size.height);
          }
        }
      },
      200,
    );
    expect(seen).toBeGreaterThanOrEqual(casesWanted(20));
  });
});
