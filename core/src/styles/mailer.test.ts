import { describe, expect, it } from 'vitest';
import { at, everyBox } from '../testing/plans.ts';

describe('a tuck-flap mailer', () => {
  it('has a lid over its room, and a flap that ends over the floor', () => {
    everyBox('mailer', ({ grid, cutouts, choice: { options } }) => {
      const { columns, rows } = grid('mailer');
      const [tuck, lid, back, deep, front] = rows;
      expect(back).toBe(front);
      expect(at(columns, 0)).toBe(front);
      expect(lid).toBeLessThanOrEqual(deep ?? 0);
      expect(tuck).toBeLessThanOrEqual(front ?? 0);
      const rounded = cutouts('mailer', 'flap').filter(({ shape }) => shape === 'corner');
      expect(rounded).toHaveLength(options.flap === 'rounded' ? 2 : 0);
      expect(cutouts('mailer', 'lock slit')).toHaveLength(options.ears === 'locking' ? 2 : 0);
      expect(cutouts('mailer', 'thumb notch')).toHaveLength(options.thumbNotch ? 1 : 0);
    });
  });
});
