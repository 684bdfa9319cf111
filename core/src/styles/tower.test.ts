import { describe, expect, it } from 'vitest';
import { at, everyBox } from '../testing/plans.ts';

describe('a drawer tower', () => {
  it('has a tray for each panel of a wrapper that is higher than all of them', () => {
    everyBox('tower', ({ grid, choice: { options }, plan }) => {
      const trays = plan.pieces.find(({ id }) => id === 'tray');
      expect(trays?.copies).toBe(options.trays);
      const [deep, across, alsoDeep, alsoAcross] = grid('wrapper').columns;
      expect([deep, across]).toEqual([alsoDeep, alsoAcross]);
      expect(grid('wrapper').rows).toHaveLength(1);
      expect(at(grid('cap').columns, 0)).toBeLessThanOrEqual(at(grid('wrapper').rows, 0));
      expect(plan.pairs.map(({ outer }) => outer)).toContain('cap');
    });
  });
});
