/** A place on a flat piece. */
export interface Place {
  readonly x: number;
  readonly y: number;
}

/** Twice the area of a triangle; above zero where it runs anticlockwise with y upwards. */
function turn(a: Place, b: Place, c: Place): number {
  return (b.x - a.x) * (c.y - a.y) - (b.y - a.y) * (c.x - a.x);
}

/** Whether two straight lines have a place in common. */
export function meet([a, b]: readonly [Place, Place], [c, d]: readonly [Place, Place]): boolean {
  const apart = (from: Place, to: Place, one: Place, other: Place) => {
    const [p, q] = [turn(from, to, one), turn(from, to, other)];
    return (p > 0 && q > 0) || (p < 0 && q < 0);
  };
  if (apart(a, b, c, d) || apart(c, d, a, b)) return false;
  // On one line they meet where their shadows do.
  const shadows = (pick: (place: Place) => number) =>
    Math.max(Math.min(pick(a), pick(b)), Math.min(pick(c), pick(d))) <=
    Math.min(Math.max(pick(a), pick(b)), Math.max(pick(c), pick(d)));
  return shadows(({ x }) => x) && shadows(({ y }) => y);
}

/** Whether a way out of a corner runs into the ring: that runs anticlockwise, from `before` to `after`. */
export function isBetween(before: Place, corner: Place, after: Place, to: Place): boolean {
  const isConvex = turn(before, corner, after) > 0;
  const left = turn(corner, after, to) > 0;
  const right = turn(corner, to, before) > 0;
  return isConvex ? left && right : left || right;
}
