import fc from 'fast-check';
import { expect, it } from 'vitest';
import type { Point } from '../piece/index.ts';
import { cutOff, straightSided } from './outline.ts';

/** A flap with a straight edge at its fold, sides of some height, and a free edge that is half an ellipse. */
const anyRound = fc
  .record({
    wide: fc.double({ min: 30, max: 140, noNaN: true }),
    side: fc.double({ min: 2, max: 40, noNaN: true }),
    high: fc.double({ min: 15, max: 90, noNaN: true }),
    chords: fc.integer({ min: 20, max: 40 }),
  })
  .map(({ wide, side, high, chords }) => {
    const curve = Array.from({ length: chords + 1 }, (_, i): Point => {
      const angle = (i * Math.PI) / chords;
      return { x: (wide / 2) * Math.cos(angle), y: side + high * Math.sin(angle) };
    });
    const outline: readonly Point[] = [{ x: -wide / 2, y: 0 }, { x: wide / 2, y: 0 }, ...curve];
    return { outline, wide, side, high };
  });

function areaIn(ring: readonly Point[]): number {
  return ring.reduce((sum, a, i) => {
    const b = ring[(i + 1) % ring.length] ?? a;
    return sum + (a.x * b.y - b.x * a.y) / 2;
  }, 0);
}

it('a round edge is cut in a few straight sides that stay on the card and keep most of it', () => {
  fc.assert(
    fc.property(anyRound, ({ outline, wide, side, high }) => {
      const cut = straightSided(outline);
      expect(cut.length).toBeLessThanOrEqual(9);
      // Both ends of the fold are kept, and every other corner lies on the curve.
      for (const { x, y } of cut) {
        const beyond = y - side;
        if (beyond <= 1e-9) expect(Math.abs(Math.abs(x) - wide / 2)).toBeLessThan(1e-9);
        else expect(Math.hypot((2 * x) / wide, beyond / high)).toBeCloseTo(1, 6);
      }
      expect(areaIn(cut)).toBeLessThanOrEqual(areaIn(outline) + 1e-9);
      expect(areaIn(cut)).toBeGreaterThan(0.65 * areaIn(outline));
    }),
  );
});

it('an outline that points in somewhere is left as it is: straight sides would run over what is not there', () => {
  fc.assert(
    fc.property(
      anyRound,
      fc.double({ min: 1, max: 10, noNaN: true }),
      ({ outline, wide }, deep) => {
        const [left, right, ...curve] = outline;
        if (!left || !right) throw new Error('No fold');
        const bitten = [left, { x: -wide / 6, y: 0 }, { x: 0, y: deep }, right, ...curve];
        expect(straightSided(bitten)).toEqual(bitten);
      },
    ),
  );
});

it('a cut that ends next to a corner of the card is made from that corner', () => {
  const off = fc.double({ min: -0.14, max: 0.14, noNaN: true });
  fc.assert(
    fc.property(off, off, fc.integer({ min: 30, max: 100 }), (low, high, wide) => {
      const bounds = { left: 0, right: wide, bottom: 0, top: 40 };
      // A slanting left side that comes nearly from the lower corner to nearly the middle of the upper edge.
      const outline = [
        { x: Math.max(0, low), y: Math.max(0, -low) },
        { x: wide, y: 0 },
        { x: wide, y: 40 },
        { x: wide / 2 + high, y: 40 },
      ];
      const [bit = [], ...more] = cutOff(bounds, outline);
      expect(more).toEqual([]);
      expect(bit).toHaveLength(3);
      expect(bit.some(({ x, y }) => x === 0 && y === 0)).toBe(true);
      expect(bit.some(({ x, y }) => x === 0 && y === 40)).toBe(true);
    }),
  );
});
