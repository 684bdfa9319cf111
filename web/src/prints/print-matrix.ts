import type { Point } from '@rangoli/core';
import type { LaidPrint } from './card-look.ts';

/** Where the right, the foot and the corner of a print go, as an SVG takes it. */
export type PrintMatrix = readonly [number, number, number, number, number, number];

/** How a print lies in a drawing of the flat piece, in millimetres from its upper left corner. */
export function flatMatrix({ right, down }: LaidPrint): PrintMatrix {
  return [right.x, right.y, down.x, down.y, 0, 0];
}

interface Ring {
  /** The corners of a face on its flat piece. */
  readonly flat: readonly Point[];
  /** The same corners where they are seen, in parallel projection. */
  readonly seen: readonly Point[];
}

function crossed(a: Point, b: Point): number {
  return a.x * b.y - a.y * b.x;
}

function from(a: Point, b: Point): Point {
  return { x: b.x - a.x, y: b.y - a.y };
}

/** How a print lies on a face that is seen at a slant; undefined where the face is seen from its edge. */
export function printMatrix(
  { right, down }: LaidPrint,
  { flat, seen }: Ring,
): PrintMatrix | undefined {
  const [origin] = flat;
  const [place] = seen;
  if (!origin || !place) return undefined;
  // The corner next to it and that farthest aside of both: the three span the face best.
  const sides = seen.map((_, i) => from(origin, flat[i] ?? origin));
  const [, first = origin] = sides;
  const at = sides.reduce(
    (best, side, i) =>
      Math.abs(crossed(first, side)) > Math.abs(crossed(first, sides[best] ?? origin)) ? i : best,
    0,
  );
  const second = sides[at];
  const whole = second ? crossed(first, second) : 0;
  if (!second || Math.abs(whole) < 1e-6) return undefined;
  const [toFirst, toSecond] = [from(place, seen[1] ?? place), from(place, seen[at] ?? place)];
  /** Where a way on the flat piece goes in the picture. */
  const seenWay = (way: Point): Point => {
    const [one, other] = [crossed(way, second) / whole, crossed(first, way) / whole];
    return {
      x: one * toFirst.x + other * toSecond.x,
      y: one * toFirst.y + other * toSecond.y,
    };
  };
  const [across, foot, corner] = [
    seenWay(right),
    seenWay(down),
    seenWay(from(origin, { x: 0, y: 0 })),
  ];
  if (Math.abs(crossed(across, foot)) < 1e-4) return undefined;
  return [across.x, across.y, foot.x, foot.y, place.x + corner.x, place.y + corner.y];
}
