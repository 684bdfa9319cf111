import { describe, expect, it } from 'vitest';
import { at, everyBox } from '../testing/plans.ts';

describe('an overlap-top box', () => {
  it('has two flaps that reach past one another over the middle', () => {
    everyBox('overlap-top', ({ grid, cutouts, choice: { options } }) => {
      const { columns, rows } = grid('box');
      const [flap] = rows;
      expect(2 * (flap ?? 0)).toBeGreaterThan(at(columns, 0));
      expect(flap).toBeLessThanOrEqual(at(columns, 0));
      const shapes = new Set(cutouts('box', 'flap').map(({ shape }) => shape));
      expect(shapes.has('corner')).toBe(options.edge === 'round');
      const bites = cutouts('box', 'border').flatMap((each) =>
        each.shape === 'notch' ? [each] : [],
      );
      expect(bites.length > 0).toBe(options.edge === 'punched');
      // As often on the back as on the front, inside their panels, one beside the other.
      const [side, front] = [at(columns, 0), at(columns, 1)];
      for (const start of [side, side + front + side]) {
        const here = bites
          .filter(({ centre: { x } }) => x > start && x < start + front)
          .sort((a, b) => a.centre.x - b.centre.x);
        expect(here).toHaveLength(bites.length / 2);
        here.forEach(({ centre, radius }, nth) => {
          expect(centre.x - 2 * radius).toBeGreaterThanOrEqual(start);
          expect(centre.x + 2 * radius).toBeLessThanOrEqual(start + front);
          expect(radius).toBeLessThan((flap ?? 0) / 2);
          const next = here[nth + 1];
          if (next) expect(next.centre.x - centre.x).toBeGreaterThanOrEqual(4 * radius - 2);
        });
      }
    });
  });
});
