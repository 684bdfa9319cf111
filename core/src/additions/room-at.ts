import type { Cavity } from '../fold/index.ts';

type Ring = Cavity['floor'];

/** Where the sides of a room are so far over its floor, in millimetres; under it where that is below zero. */
export function roomAt({ floor, top, high }: Cavity, up: number): Ring {
  return floor.map((corner, i) => {
    const over = top[i] ?? corner;
    const share = up / high;
    return {
      x: corner.x + (over.x - corner.x) * share,
      y: corner.y + (over.y - corner.y) * share,
    };
  });
}

/** A ring of corners, anticlockwise, with each of its sides so far in, in millimetres; out where that is below zero. */
export function narrowed(ring: Readonly<Ring>, by: number): Ring {
  if (by === 0) return [...ring];
  const sides = ring.map((from, i) => {
    const to = ring[(i + 1) % ring.length] ?? from;
    const long = Math.hypot(to.x - from.x, to.y - from.y) || 1;
    return { from, to, inward: { x: (from.y - to.y) / long, y: (to.x - from.x) / long } };
  });
  return ring.map((corner, i) => {
    const after = sides[i];
    const before = sides[(i + sides.length - 1) % sides.length];
    if (!after || !before) return corner;
    // Half way between both sides, as far out as keeps off each of them.
    const share = 1 + before.inward.x * after.inward.x + before.inward.y * after.inward.y;
    return {
      x: corner.x + ((before.inward.x + after.inward.x) * by) / share,
      y: corner.y + ((before.inward.y + after.inward.y) * by) / share,
    };
  });
}
