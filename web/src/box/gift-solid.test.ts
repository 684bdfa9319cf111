import { anyGift } from '@rangoli/core/testing';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { drawGift } from './gift-solid.ts';

describe('the drawing of a gift', () => {
  it('lies inside its frame, and fills it one way', () => {
    fc.assert(
      fc.property(anyGift, (gift) => {
        const { faces, width, height } = drawGift(gift, 150, 90);
        expect(Math.max(width / 150, height / 90)).toBeCloseTo(1, 6);
        expect(faces.length).toBeGreaterThan(0);
        for (const { path } of faces)
          for (const [, x, y] of path.matchAll(/[ML](-?[\d.]+) (-?[\d.]+)/g)) {
            expect(Number(x)).toBeGreaterThanOrEqual(-0.01);
            expect(Number(x)).toBeLessThanOrEqual(width + 0.01);
            expect(Number(y)).toBeGreaterThanOrEqual(-0.01);
            expect(Number(y)).toBeLessThanOrEqual(height + 0.01);
          }
      }),
    );
  });
});
