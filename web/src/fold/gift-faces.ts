import {
  cross,
  direction,
  dot,
  solidsOf,
  type Gift,
  type GiftSolid,
  type PlacedFace,
  type Vector,
} from '@rangoli/core';
import { towardsEye, type View } from './axonometric.ts';

/** The part that a gift's faces are drawn as. */
export const giftPart = 'gift';

/** How high above its place the gift is when it comes into sight, in millimetres. */
export const comesFrom = 120;

/** The colour of brass. */
export const brass = '#d9a93c';

const round = Array.from({ length: 24 }, (_, i) => (i / 24) * 2 * Math.PI);

function sum(a: Vector, b: Vector): Vector {
  return { x: a.x + b.x, y: a.y + b.y, z: a.z + b.z };
}

function times(a: Vector, by: number): Vector {
  return { x: a.x * by, y: a.y * by, z: a.z * by };
}

interface Side {
  readonly ring: readonly Vector[];
  readonly out: Vector;
}

/** The six sides of a block. */
function blockSides(middle: Vector, { x, y, z }: Vector): readonly Side[] {
  const half = [
    { x: x / 2, y: 0, z: 0 },
    { x: 0, y: y / 2, z: 0 },
    { x: 0, y: 0, z: z / 2 },
  ] as const;
  return [0, 1, 2].flatMap((axis) => {
    const [a, b, c] = [half[axis], half[(axis + 1) % 3], half[(axis + 2) % 3]];
    if (!a || !b || !c) return [];
    return [1, -1].map((sign): Side => {
      const face = sum(middle, times(a, sign));
      const corners = [sum(b, c), sum(b, times(c, -1)), times(sum(b, c), -1), sum(times(b, -1), c)];
      return { ring: corners.map((corner) => sum(face, corner)), out: direction(times(a, sign)) };
    });
  });
}

/** The sides of a round body that may taper, and its two ends. */
function roundSides({ from, to, fromRadius, toRadius }: Extract<GiftSolid, { kind: 'round' }>) {
  const axis = direction(sum(to, times(from, -1)));
  const other = Math.abs(axis.z) > 0.9 ? { x: 1, y: 0, z: 0 } : { x: 0, y: 0, z: 1 };
  const one = direction(cross(axis, other));
  const two = cross(axis, one);
  const spoke = (angle: number) => sum(times(one, Math.cos(angle)), times(two, Math.sin(angle)));
  const at = (middle: Vector, radius: number, angle: number) =>
    sum(middle, times(spoke(angle), radius));
  const ends: readonly Side[] = [
    { ring: round.map((angle) => at(from, fromRadius, angle)), out: times(axis, -1) },
    { ring: round.map((angle) => at(to, toRadius, angle)), out: axis },
  ];
  const step = (2 * Math.PI) / round.length;
  return [
    ...ends,
    ...round.map((angle): Side => ({
      ring: [
        at(from, fromRadius, angle),
        at(from, fromRadius, angle + step),
        at(to, toRadius, angle + step),
        at(to, toRadius, angle),
      ],
      out: spoke(angle + step / 2),
    })),
  ];
}

/** The outline of an egg-shaped body as it is seen along a direction: a flat ring through its middle. */
function outline(middle: Vector, size: Vector, toEye: Vector): Side {
  // In the space in which the body is a ball, its outline is the circle across the line of sight.
  const sight = direction({ x: toEye.x / size.x, y: toEye.y / size.y, z: toEye.z / size.z });
  const one = direction(
    cross(sight, Math.abs(sight.z) > 0.9 ? { x: 1, y: 0, z: 0 } : { x: 0, y: 0, z: 1 }),
  );
  const two = cross(sight, one);
  return {
    ring: round.map((angle) => {
      const { x, y, z } = sum(times(one, Math.cos(angle)), times(two, Math.sin(angle)));
      return sum(middle, { x: (x * size.x) / 2, y: (y * size.y) / 2, z: (z * size.z) / 2 });
    }),
    out: toEye,
  };
}

function sidesOf(solid: GiftSolid, toEye: Vector): readonly Side[] {
  switch (solid.kind) {
    case 'block':
      return blockSides(solid.middle, solid.size);
    case 'round':
      return roundSides(solid);
    case 'lump':
      return [outline(solid.middle, solid.size, toEye)];
    case 'ball': {
      const wide = 2 * solid.radius;
      return [outline(solid.middle, { x: wide, y: wide, z: wide }, toEye)];
    }
  }
}

/** The sides of a gift that are seen, standing so many millimetres above its place. */
export function giftFaces(gift: Gift, view: View, above: number): readonly PlacedFace[] {
  const toEye = towardsEye(view);
  return solidsOf(gift)
    .flatMap((solid) => sidesOf(solid, toEye))
    .filter(({ out }) => dot(out, toEye) > 1e-6)
    .map(({ ring, out }, face) => ({
      part: giftPart,
      face,
      role: 'wall',
      ring: ring.map(({ x, y, z }) => ({ x, y, z: z + above })),
      holes: [],
      out,
      card: 0,
    }));
}
