import { describe, expect, it } from 'vitest';
import { at, cardOf, everyBox } from '../testing/plans.ts';

describe('a shell box', () => {
  it('has two equal shells on a spine that clears the tray inside', () => {
    everyBox('shell', (box) => {
      const { columns, rows } = box.grid('cover');
      const [lidWall, lidDeep, spine, deep, wall] = rows;
      expect(lidDeep).toBe(deep);
      expect([at(columns, 0), at(columns, 2)]).toEqual([lidWall, wall]);
      const tray = at(box.grid('tray').columns, 0);
      if (box.plan.pairs.every(({ state }) => state !== 'tight'))
        expect(spine).toBeGreaterThan(tray);
      expect(2 * (wall ?? 0)).toBeLessThanOrEqual((spine ?? 0) + cardOf(box, 'cover'));
      expect(box.cutouts('cover', 'thumb notch')).toHaveLength(
        box.choice.options.thumbNotch ? 1 : 0,
      );
    });
  });
});
