import { add, dot, lengthOf, scale, subtract, type Vector } from './vector.ts';

/** How far a point is from the nearest edge of a ring, along its plane. */
function toEdge(ring: readonly Vector[], point: Vector, normal: Vector): number {
  const distances = ring.map((from, i) => {
    const along = subtract(ring[(i + 1) % ring.length] ?? from, from);
    const whole = dot(along, along);
    const share = whole === 0 ? 0 : dot(subtract(point, from), along) / whole;
    const off = subtract(point, add(from, scale(along, Math.min(1, Math.max(0, share)))));
    return lengthOf(subtract(off, scale(normal, dot(off, normal))));
  });
  return Math.min(...distances);
}

/** Whether a point lies in a ring, or no farther beside it than the slack; both seen along the normal. */
export function isInRing(
  ring: readonly Vector[],
  point: Vector,
  normal: Vector,
  slack: number,
): boolean {
  // Seen along the largest part of the normal, so that nothing is seen on edge.
  const { x, y, z } = normal;
  const most = Math.max(Math.abs(x), Math.abs(y), Math.abs(z));
  const [across, up] =
    most === Math.abs(z)
      ? (['x', 'y'] as const)
      : most === Math.abs(y)
        ? (['x', 'z'] as const)
        : (['y', 'z'] as const);
  const [px, py] = [point[across], point[up]];
  let isInside = false;
  let a = ring.at(-1);
  for (const b of ring) {
    if (a && a[up] > py !== b[up] > py) {
      const share = (py - a[up]) / (b[up] - a[up]);
      if (a[across] + share * (b[across] - a[across]) > px) isInside = !isInside;
    }
    a = b;
  }
  return isInside || (slack >= 0 && toEdge(ring, point, normal) <= slack);
}
