import { describe, expect, it } from 'vitest';
import { at, everyBox } from '../testing/plans.ts';

describe('a hinged-lid box', () => {
  it('has a lid that goes over the base, on a spine as high as its walls', () => {
    everyBox('hinged-lid', ({ grid, cutouts, choice: { options }, plan }) => {
      const { columns, rows: all } = grid('box');
      const rows = options.front === 'lip' ? all.slice(1) : all;
      if (options.front === 'lip') expect(at(all, 0)).toBeLessThan(at(all, 1));
      expect(cutouts('box', 'lid front')).toHaveLength(options.front === 'curved' ? 2 : 0);
      expect(columns).toEqual([...columns].reverse());
      const [lidWall, lidDeep, spine, deep, wall] = rows;
      expect(lidWall).toBeLessThan(wall ?? 0);
      expect(spine).toBeGreaterThan(wall ?? 0);
      if (plan.pairs.every(({ state }) => state !== 'tight'))
        expect(lidDeep).toBeGreaterThan(deep ?? 0);
      // The step on each side takes the base's wall into the lid.
      expect(at(columns, 0) + at(columns, 1)).toBe(wall);
      expect(cutouts('box', 'thumb notch')).toHaveLength(options.thumbNotch ? 1 : 0);
    });
  });
});
