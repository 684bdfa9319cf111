import { describe, expect, it } from 'vitest';
import { at, everyBox } from '../testing/plans.ts';

describe('a lidded box', () => {
  it('has a lid as deep as was asked, and never deeper than the base', () => {
    everyBox('lidded', ({ grid, choice: { options }, plan }) => {
      const [base, lid] = [at(grid('base').columns, 0), at(grid('lid').columns, 0)];
      expect(lid).toBeLessThanOrEqual(base);
      // On the coarsest grooves a half may come out a groove longer.
      if (options.lidDepth === 'shallow')
        expect(lid).toBeLessThanOrEqual(Math.max(base * 0.75, 20e6));
      if (options.lidDepth === 'full') expect(lid).toBeGreaterThan(base * 0.5);
      expect(plan.pieces.map(({ id }) => id)).toEqual(['base', 'lid']);
    });
  });

  it('has thumb notches in the lid alone, opposite one another', () => {
    everyBox('lidded', ({ cutouts, choice: { options }, grid }) => {
      const notches = cutouts('lid', 'thumb notch');
      expect(notches).toHaveLength(options.thumbNotches ? 2 : 0);
      expect(cutouts('base', 'thumb notch')).toHaveLength(0);
      const [one, other] = notches;
      if (one?.shape !== 'notch' || other?.shape !== 'notch') return;
      expect(new Set([one.edge, other.edge])).toEqual(new Set(['top', 'bottom']));
      expect(one.radius).toBeLessThan(at(grid('lid').rows, 0));
    });
  });
});
