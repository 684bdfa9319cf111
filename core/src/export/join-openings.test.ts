import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { joinOpenings } from './join-openings.ts';

interface Place {
  readonly x: number;
  readonly y: number;
}

/** Twice the area that a ring encloses; above zero where it runs anticlockwise. */
function doubleArea(ring: readonly Place[]): number {
  return ring.reduce((sum, a, i) => {
    const b = ring[(i + 1) % ring.length] ?? a;
    return sum + a.x * b.y - b.x * a.y;
  }, 0);
}

function side(a: Place, b: Place, c: Place): number {
  return Math.sign((b.x - a.x) * (c.y - a.y) - (b.y - a.y) * (c.x - a.x));
}

function cross(a: Place, b: Place, c: Place, d: Place): boolean {
  return side(a, b, c) * side(a, b, d) < 0 && side(c, d, a) * side(c, d, b) < 0;
}

const box = (x: number, y: number, wide: number, high: number): readonly Place[] => [
  { x, y },
  { x, y: y + high },
  { x: x + wide, y: y + high },
  { x: x + wide, y },
];

describe('a face with openings', () => {
  it('is one ring, joined to each opening by a way through card alone', () => {
    const spike = fc.integer({ min: 20, max: 80 });
    const small = fc.integer({ min: 15, max: 80 });
    fc.assert(
      fc.property(
        spike,
        spike,
        small,
        small,
        fc.integer({ min: 1, max: 8 }),
        (x, tip, hx, hy, w) => {
          // A card with a spike cut into it from above, a long bar under its tip, and small openings beside.
          const outer: readonly Place[] = [
            { x: 0, y: -30 },
            { x: 100, y: -30 },
            { x: 100, y: 100 },
            { x: x + 3, y: 100 },
            { x: tip, y: 12 },
            { x: x - 3, y: 100 },
            { x: 0, y: 100 },
          ];
          const openings = [box(10, 9, 80, 1), box(tip - 1, 5, 2, 2), box(hx, -2 - (hy % 9), 3, 2)];
          const holes = w > 4 ? [...openings, box(tip - 4, -25, w, 3)] : openings;
          const corners = [outer, ...holes].flat();
          const place = (corner: number) => corners[corner] ?? { x: 0, y: 0 };
          let next = 0;
          const [first = [], ...rest] = [outer, ...holes].map((ring) => ring.map(() => next++));
          const { ring, joins } = joinOpenings(first, rest, place);
          expect(joins).toHaveLength(holes.length);
          const area = [outer, ...holes].reduce((sum, each) => sum + doubleArea(each), 0);
          expect(doubleArea(ring.map(place))).toBeCloseTo(area, 6);
          for (const [from, to] of joins)
            for (const each of [outer, ...holes])
              each.forEach((a, i) => {
                const b = each[(i + 1) % each.length] ?? a;
                expect(cross(place(from), place(to), a, b)).toBe(false);
              });
        },
      ),
    );
  });
});
