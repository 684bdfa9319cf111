import fc from 'fast-check';
import { expect, it } from 'vitest';
import {
  closedFaces,
  millimetres,
  planBox,
  stockPaper,
  windowPlaces,
  type AdditionChoice,
  type Length,
  type Paper,
  type PlacedFace,
  type PlanRequest,
  type Vector,
  type WindowPlace,
} from '../index.ts';
import { between, boxInSpace, dot } from '../testing/joints-in-space.ts';
import { isInRing } from '../testing/reader/index.ts';
import { usualOf } from '../testing/requests.ts';

/** A place of a face about its first corner, along its first edge and square to that. */
function flatOn({ ring, out }: PlacedFace): (place: Vector) => { x: number; y: number } {
  const [from = out, to = out] = ring;
  const right = between(from, to);
  const long = Math.sqrt(dot(right, right));
  const up = {
    x: (out.y * right.z - out.z * right.y) / long,
    y: (out.z * right.x - out.x * right.z) / long,
    z: (out.x * right.y - out.y * right.x) / long,
  };
  return (place) => ({
    x: dot(between(from, place), right) / long,
    y: dot(between(from, place), up),
  });
}

/** Places all over a face that has four corners. */
function placesOver({ ring: [a, b, , d] }: PlacedFace): readonly Vector[] {
  if (!a || !b || !d) return [];
  const shares = [0.02, 0.2, 0.4, 0.6, 0.8, 0.98];
  const [along, up] = [between(a, b), between(a, d)];
  return shares.flatMap((s) =>
    shares.map((t) => ({
      x: a.x + s * along.x + t * up.x,
      y: a.y + s * along.y + t * up.y,
      z: a.z + s * along.z + t * up.z,
    })),
  );
}

function platformOf(raised: Length, paper: Paper): AdditionChoice {
  return { addition: 'insert', id: 'insert-1', holds: { by: 'a platform', raised }, paper };
}

function windowIn({ face, frame }: WindowPlace): AdditionChoice {
  return {
    addition: 'window',
    id: 'window-1',
    on: face,
    opening: { shape: 'straight', frame },
  };
}

it('the tabs of dividers in one row never stand before an opening of the wall that they are folded along', () => {
  let beside = 0;
  fc.assert(
    fc.property(
      fc.constantFrom('carry-tray', 'drawer', 'tower'),
      fc.integer({ min: 2, max: 6 }),
      fc.boolean(),
      fc.integer({ min: 14, max: 45 }),
      fc.integer({ min: 14, max: 60 }),
      fc.constantFrom(0, 0, 10, 25),
      (style, count, isAcross, thing, high, raised) => {
        const gift = {
          shape: 'several',
          item: {
            shape: 'block',
            across: millimetres(thing),
            deep: millimetres(thing),
            high: millimetres(high),
          },
          across: isAcross ? count : 1,
          deep: isAcross ? 1 : count,
          high: 1,
          packing: 'in rows',
        } as const;
        const paper = stockPaper('graphite');
        const bare: PlanRequest = {
          ...usualOf(style, gift),
          additions: [
            { addition: 'dividers', id: 'dividers-1', paper },
            // The strips stand on it, and not on the floor.
            ...(raised > 0 ? [platformOf(millimetres(raised), paper)] : []),
          ],
        };
        const plain = planBox(bare);
        if (!plain.ok) return;
        const [place] = raised > 0 ? windowPlaces(bare, plain.plan) : [];
        const request: PlanRequest = {
          ...bare,
          additions: [...bare.additions, ...(place ? [windowIn(place)] : [])],
        };
        const result = planBox(request);
        if (!result.ok) return;
        const faces = closedFaces(boxInSpace(result.plan, request));
        const isTab = ({ part, role }: PlacedFace) =>
          part.startsWith('dividers-1') && role === 'flap';
        for (const tab of faces.filter(isTab)) {
          const behind = faces.filter(({ part, role, ring, out }) => {
            const off = dot(between(ring[0] ?? out, tab.ring[0] ?? out), tab.out);
            return (
              role === 'wall' &&
              !part.startsWith('dividers-1') &&
              Math.abs(dot(out, tab.out)) > 0.99 &&
              Math.abs(off) < 4
            );
          });
          for (const wall of behind) {
            const flat = flatOn(wall);
            const holes = wall.holes.map((hole) => hole.map(flat));
            beside += holes.length;
            for (const place of placesOver(tab))
              expect(holes.some((hole) => isInRing(hole, flat(place)))).toBe(false);
          }
        }
      },
    ),
    { numRuns: 120 },
  );
  expect(beside).toBeGreaterThan(0);
});
