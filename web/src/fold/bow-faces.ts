import type { PlacedFace, Vector } from '@rangoli/core';

/** Where a bow lies: the middle of its knot on the box, along its loops, across them, and out of the box. */
export interface BowPlace {
  readonly middle: Vector;
  readonly along: Vector;
  readonly across: Vector;
  readonly out: Vector;
}

interface BowSize {
  /** From the end of one loop to that of the other, and how wide its ribbon is, in millimetres. */
  readonly wide: number;
  readonly ribbon: number;
}

/** So far out of the box its ends, its loops and its knot lie, in millimetres. */
const heights = { ends: 0.8, loops: 1.6, knot: 2.4 } as const;

/** The outlines of a bow on one side of its knot: a loop and an end, in shares of its width and of its loop. */
const loop = [
  [0.02, 0.14],
  [0.22, 0.5],
  [0.42, 0.46],
  [0.5, 0.1],
  [0.46, -0.2],
  [0.24, -0.3],
  [0.02, -0.14],
] as const;
const end = [
  [0.02, -0.1],
  [0.12, -0.02],
  [0.4, -0.95],
  [0.3, -1.1],
] as const;
const knot = [
  [-0.05, 0.2],
  [-0.05, -0.2],
  [0.05, -0.2],
  [0.05, 0.2],
] as const;

/** A bow as flat card: two loops, two ends and a knot over them. */
export function bowFaces(
  part: string,
  { middle, along, across, out }: BowPlace,
  { wide, ribbon }: BowSize,
): readonly PlacedFace[] {
  const high = Math.min(Math.max(2 * ribbon, 0.22 * wide), 0.5 * wide);
  const face = (
    outline: readonly (readonly [number, number])[],
    height: number,
    side: 1 | -1,
  ): PlacedFace => ({
    part,
    face: 0,
    role: 'panel',
    ring: outline.map(([x, y]) => {
      const [a, b] = [x * wide * side, y * high];
      return {
        x: middle.x + along.x * a + across.x * b + out.x * height,
        y: middle.y + along.y * a + across.y * b + out.y * height,
        z: middle.z + along.z * a + across.z * b + out.z * height,
      };
    }),
    holes: [],
    out: { x: -out.x, y: -out.y, z: -out.z },
    card: 0.2,
  });
  return [
    ...([1, -1] as const).map((side) => face(end, heights.ends, side)),
    ...([1, -1] as const).map((side) => face(loop, heights.loops, side)),
    face(knot, heights.knot, 1),
  ];
}
