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
  const seen = (v: Vector): readonly [number, number] =>
    most === Math.abs(z) ? [v.x, v.y] : most === Math.abs(y) ? [v.x, v.z] : [v.y, v.z];
  const [px, py] = seen(point);
  const crossed = ring.filter((a3, i) => {
    const [ax, ay] = seen(a3);
    const [bx, by] = seen(ring[(i + 1) % ring.length] ?? a3);
    return ay > py !== by > py && ax + ((py - ay) / (by - ay)) * (bx - ax) > px;
  });
  return crossed.length % 2 === 1 || toEdge(ring, point, normal) <= slack;
}
