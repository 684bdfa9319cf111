import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { planBox, usualRequest, paperFor } from '../index.ts';
import { sundial } from '../testing/requests.ts';
import { crossingFaults } from './crossing-faults.ts';
import { foldingBox, type FoldingBox, type PlacedFace } from './folded-box.ts';
import { isInRing } from './in-ring.ts';
import { cavityFaults, giftFaults } from './room-faults.ts';
import { cavitySolid, depthIn, partInside } from './solid.ts';
import {
  add,
  cross,
  direction,
  distance,
  dot,
  lengthOf,
  scale,
  subtract,
  vector,
  type Vector,
} from './vector.ts';

const coordinate = fc.integer({ min: -500, max: 500 }).map((tenths) => tenths / 10);
const anyVector = fc.tuple(coordinate, coordinate, coordinate).map(([x, y, z]) => vector(x, y, z));
const some = (least: number, most: number) =>
  fc.integer({ min: least * 10, max: most * 10 }).map((tenths) => tenths / 10);

function expectSame(one: Vector, other: Vector): void {
  expect(Math.hypot(one.x - other.x, one.y - other.y, one.z - other.z)).toBeLessThan(1e-9);
}

describe('vectors', () => {
  it('add up, turn and measure as arithmetic says', () => {
    fc.assert(
      fc.property(anyVector, anyVector, coordinate, (a, b, by) => {
        expect(add(a, b)).toEqual({ x: a.x + b.x, y: a.y + b.y, z: a.z + b.z });
        expectSame(subtract(add(a, b), b), a);
        expect(scale(a, by)).toEqual({ x: a.x * by, y: a.y * by, z: a.z * by });
        // Upright on both of two vectors, as long as their parallelogram is large, right-handed.
        const upright = cross(a, b);
        expect(Math.abs(dot(upright, a)) + Math.abs(dot(upright, b))).toBeLessThan(1e-6);
        const area = Math.sqrt(Math.max(0, dot(a, a) * dot(b, b) - dot(a, b) ** 2));
        expect(Math.abs(lengthOf(upright) - area)).toBeLessThan(1e-5);
        expect(distance(a, b)).toBe(
          Math.sqrt((a.x - b.x) ** 2 + (a.y - b.y) ** 2 + (a.z - b.z) ** 2),
        );
        if (lengthOf(a) > 0) {
          expect(Math.abs(lengthOf(direction(a)) - 1)).toBeLessThan(1e-12);
          expectSame(scale(direction(a), lengthOf(a)), a);
        }
      }),
    );
    expect(cross(vector(1, 0, 0), vector(0, 1, 0))).toEqual(vector(0, 0, 1));
    expect(direction(vector(0, 0, 0))).toEqual(vector(0, 0, 0));
  });
});

/** A frame of two directions and what stands upright on them, turned any way. */
const anyPlane = fc.tuple(anyVector, anyVector, anyVector).map(([at, a, b]) => {
  const right = lengthOf(a) === 0 ? vector(1, 0, 0) : direction(a);
  const upright = cross(right, b);
  const normal =
    lengthOf(upright) < 1e-3
      ? direction(cross(right, vector(right.y, right.z, -right.x + 1)))
      : direction(upright);
  const up = cross(normal, right);
  return { normal, place: (x: number, y: number) => add(at, add(scale(right, x), scale(up, y))) };
});

describe('a ring in space', () => {
  it('holds what lies between its edges, and what lies beside them by no more than the slack', () => {
    fc.assert(
      fc.property(
        anyPlane,
        some(1, 40),
        some(1, 40),
        some(-60, 60),
        some(-60, 60),
        some(0, 5),
        ({ normal, place }, wide, high, x, y, slack) => {
          const ring = [place(0, 0), place(wide, 0), place(wide, high), place(0, high)];
          const beside = Math.hypot(Math.max(0, -x, x - wide), Math.max(0, -y, y - high));
          if (
            Math.abs(beside - slack) < 1e-6 ||
            (beside === 0 && (x === 0 || y === 0 || x === wide || y === high))
          )
            return;
          expect(isInRing(ring, place(x, y), normal, slack)).toBe(beside <= slack);
          // Seen along the normal it is the same from higher up.
          expect(isInRing(ring, add(place(x, y), scale(normal, 7)), normal, slack)).toBe(
            beside <= slack,
          );
        },
      ),
    );
  });

  it('holds nothing in a bite out of it', () => {
    const bitten = [
      vector(0, 0, 0),
      vector(20, 0, 0),
      vector(20, 10, 0),
      vector(10, 3, 0),
      vector(0, 10, 0),
    ];
    const up = vector(0, 0, 1);
    expect(isInRing(bitten, vector(10, 6, 0), up, 0)).toBe(false);
    expect(isInRing(bitten, vector(10, 2, 0), up, 0)).toBe(true);
    expect(isInRing(bitten, vector(2, 7, 0), up, 0)).toBe(true);
  });
});

/** A room with slanting sides, over a rectangle. */
const anyRoom = fc
  .record({
    wide: some(10, 60),
    deep: some(10, 60),
    bottom: some(-5, 5),
    high: some(8, 60),
    lean: some(-4, 4),
  })
  .map(({ wide, deep, bottom, high, lean }) => {
    const at = (x: number, y: number) => [
      { x: -x, y: -y },
      { x, y: -y },
      { x, y },
      { x: -x, y },
    ];
    const [x, y] = [wide / 2, deep / 2];
    return {
      cavity: { floor: at(x, y), top: at(x + lean, y + lean), bottom, high: bottom + high },
      /** How far inside a place is, reckoned side by side. */
      depth: (place: Vector) => {
        const share = (place.z - bottom) / high;
        const flat = high / Math.hypot(high, lean);
        return Math.min(
          place.z - bottom,
          bottom + high - place.z,
          (x + lean * share - Math.abs(place.x)) * flat,
          (y + lean * share - Math.abs(place.y)) * flat,
        );
      },
    };
  });

describe('the room for the gift', () => {
  it('is as deep at every place as its sides, its floor and its top leave', () => {
    fc.assert(
      fc.property(anyRoom, anyVector, ({ cavity, depth }, place) => {
        expect(depthIn(cavitySolid(cavity), place)).toBeCloseTo(depth(place), 6);
        const stands = giftFaults(cavitySolid(cavity), [place]);
        if (Math.abs(depth(place) + 0.02) > 1e-6)
          expect(stands.length).toBe(depth(place) < -0.02 ? 1 : 0);
      }),
    );
  });

  it('keeps of a face what lies in it, and no more', () => {
    fc.assert(
      fc.property(
        anyRoom,
        anyPlane,
        some(5, 60),
        some(5, 60),
        some(0, 1),
        ({ cavity, depth }, { place }, wide, high, spare) => {
          const solid = cavitySolid(cavity);
          const ring = [place(0, 0), place(wide, 0), place(wide, high), place(0, high)];
          const part = partInside(ring, solid, spare);
          for (const corner of part) expect(depth(corner)).toBeGreaterThan(spare - 1e-6);
          // Any place of the face that is in the room lies in what is kept, or at its edge.
          for (const [x, y] of [
            [0.5, 0.5],
            [0.2, 0.7],
            [0.9, 0.1],
          ] as const) {
            const here = place(x * wide, y * high);
            if (depth(here) > spare + 0.01) expect(part.length).toBeGreaterThanOrEqual(3);
          }
        },
      ),
    );
  });
});

const request = usualRequest(sundial, 'mm');
const planned = planBox(request);

/** A box whose parts are not asked for: faces are placed by hand. */
function anyBox(): FoldingBox {
  if (!planned.ok) throw new Error('The sundial has a box');
  const { pieces, assembly } = planned.plan;
  return foldingBox(pieces, ({ paper }) => paperFor(request.papers, paper).thickness, assembly);
}

function face(ring: readonly Vector[], out: Vector, more: Partial<PlacedFace> = {}): PlacedFace {
  return { part: 'none', face: 0, role: 'wall', ring, holes: [], out, card: 0.3, ...more };
}

describe('two faces that go through one another', () => {
  const box = anyBox();
  const crossing = fc.record({
    along: some(0, 20),
    from: some(-10, 25),
    long: some(0.5, 20),
    below: some(0, 5),
    above: some(0, 5),
    card: some(0.1, 0.6),
    seam: fc.boolean(),
  });

  it('are found where neither can be cut back by its card', () => {
    fc.assert(
      fc.property(crossing, ({ along, from, long, below, above, card, seam }) => {
        const flat = face(
          [vector(0, 0, 0), vector(20, 0, 0), vector(20, 20, 0), vector(0, 20, 0)],
          vector(0, 0, 1),
          { card },
        );
        const upright = face(
          [
            vector(along, from, -below),
            vector(along, from + long, -below),
            vector(along, from + long, above),
            vector(along, from, above),
          ],
          vector(1, 0, 0),
          { face: 1, role: seam ? 'seam' : 'wall', card: 0.1 },
        );
        const depth = Math.min(along, 20 - along, below, above);
        const shared = Math.min(20, from + long) - Math.max(0, from);
        const through = Math.min(depth, Math.max(0, shared));
        const gives = (seam ? 2 : 1) * card + 0.02;
        if (Math.abs(through - gives) < 1e-6) return;
        const found = crossingFaults(box, [flat, upright]);
        expect(found).toHaveLength(through > gives ? 1 : 0);
        for (const { about, message } of found) {
          expect(about).toBe('crossing');
          expect(message).toContain(`goes ${through.toFixed(2)} mm through`);
        }
      }),
    );
  });
});

describe('a face in the room that is promised', () => {
  const box = anyBox();
  it('is found by either side of its card, unless the gift shows through an opening', () => {
    const { floor, bottom, high } = box.assembly.cavity;
    const [wide, deep] = [floor[1]?.x ?? 0, floor[2]?.y ?? 0];
    const level = (z: number, x: number, y: number) => [
      vector(-x, -y, z),
      vector(x, -y, z),
      vector(x, y, z),
      vector(-x, y, z),
    ];
    fc.assert(
      fc.property(some(-3, 30), some(0.1, 0.6), fc.boolean(), (up, card, hasHole) => {
        const z = bottom + up;
        const holes = hasHole ? [level(z, wide + 1, deep + 1)] : [];
        const found = cavityFaults(box, [
          face(level(z, wide * 2, deep * 2), vector(0, 0, 1), { card, holes }),
        ]);
        const layers = [z - card / 2, z, z + card / 2];
        const isIn = layers.some((each) => each > bottom + 0.02 && each < high - 0.02);
        if (
          layers.some(
            (each) => Math.abs(each - bottom - 0.02) < 1e-6 || Math.abs(each - high + 0.02) < 1e-6,
          )
        )
          return;
        expect(found).toHaveLength(isIn && !hasHole ? 1 : 0);
      }),
    );
  });
});
