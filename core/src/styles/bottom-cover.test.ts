import { describe, expect, it } from 'vitest';
import { casesWanted } from '../testing/cases.ts';
import { at, everyBox } from '../testing/plans.ts';

describe('a bottom cover', () => {
  it.each([
    ['gathered-top', 'box'],
    ['pinch-top', 'bag'],
    ['overlap-top', 'box'],
  ] as const)('of a %s hides its flaps and stands over no edge', (kind, tube) => {
    let covered = 0;
    everyBox(kind, ({ grid, plan, choice }) => {
      const cover = plan.pieces.find(({ id }) => id === 'cover');
      expect(cover !== undefined).toBe(choice.options.cover);
      if (!cover) return;
      covered++;
      const { columns, rows } = cover.grid;
      const panels = grid(tube).columns;
      // Panels go round: right, front, left, back.
      for (const [side, under] of [
        [at(columns, 0), at(panels, 1)],
        [at(rows, 0), at(panels, 0)],
      ] as const) {
        expect(side).toBeLessThan(under);
        expect(side).toBeGreaterThan(under - 12_000_000);
      }
      expect([columns.length, rows.length]).toEqual([1, 1]);
      const { stacks } = plan.assembly;
      const under = stacks.filter(({ face }) => face.part === 'cover');
      expect(under).toHaveLength(4);
      for (const stack of under)
        expect(stack).toMatchObject({ on: { part: tube }, side: 'outside' });
      expect(under.filter(({ holds }) => holds === 'glue')).toHaveLength(1);
    });
    expect(covered).toBeGreaterThanOrEqual(casesWanted(5));
  });
});
