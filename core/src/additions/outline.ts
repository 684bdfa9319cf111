import type { Point } from '../piece/index.ts';

/*
 * Convex outlines in millimetres, x to the right and y up, corners anticlockwise.
 */

/** Twice the area inside a ring, above zero where its corners run anticlockwise. */
function doubleArea(ring: readonly Point[]): number {
  let sum = 0;
  let a = ring.at(-1);
  for (const b of ring) {
    if (a) sum += a.x * b.y - b.x * a.y;
    a = b;
  }
  return sum;
}

/** How far two points are from each other; these are never so far that squares overflow. */
function distance(from: Point, to: Point): number {
  const [wide, high] = [to.x - from.x, to.y - from.y];
  return Math.sqrt(wide * wide + high * high);
}

/** How far a point lies to the left of a directed line. */
function leftOf(from: Point, to: Point, { x, y }: Point): number {
  const long = distance(from, to) || 1;
  return ((to.x - from.x) * (y - from.y) - (to.y - from.y) * (x - from.x)) / long;
}

/** How large an outline is, in square millimetres. */
export function areaOf(outline: readonly Point[]): number {
  return Math.abs(doubleArea(outline)) / 2;
}

/** What no trimmer shows, in millimetres. */
const straight = 1e-4;

/** The outline of a ring without corners that lie on its edges, anticlockwise. */
export function outlineOf(ring: readonly Point[]): readonly Point[] {
  const apart = ring.filter((here, i) => distance(here, ring[i + 1] ?? ring[0] ?? here) > straight);
  if (doubleArea(apart) < 0) apart.reverse();
  let before = apart.at(-1);
  return apart.filter((here, i) => {
    const after = apart[i + 1] ?? apart[0] ?? here;
    const isCorner = Math.abs(leftOf(before ?? here, after, here)) > straight;
    before = here;
    return isCorner;
  });
}

/** Whether an outline has straight sides and no corner that points in: what a trimmer cuts. */
export function isConvex(outline: readonly Point[]): boolean {
  if (outline.length < 3) return false;
  let [before, here] = [outline.at(-2), outline.at(-1)];
  for (const after of outline) {
    if (before && here && leftOf(before, here, after) <= -straight) return false;
    [before, here] = [here, after];
  }
  return true;
}

/** A corner of which the outline turns by more than this, in radians, is one; by less it runs on round a curve. */
const corner = 0.35;

/** So much of what lies in a curve may be cut off by its straight sides: a half round is cut in three. */
const mostOfCurve = 0.2;

/** A curve that is so little of the whole outline is cut in one. */
const littleOfAll = 0.02;

/** How far a convex outline turns at each of its places, in radians. */
function turnsOf(outline: readonly Point[]): readonly number[] {
  return outline.map((here, i) => {
    const before = outline[(i + outline.length - 1) % outline.length] ?? here;
    const after = outline[(i + 1) % outline.length] ?? here;
    const [a, b] = [
      Math.atan2(here.y - before.y, here.x - before.x),
      Math.atan2(after.y - here.y, after.x - here.x),
    ];
    return ((b - a + 3 * Math.PI) % (2 * Math.PI)) - Math.PI;
  });
}

/** Places of a curve between whose first and last so many sides are cut, as evenly as its places lie. */
function sidesAlong(curve: readonly Point[], sides: number): readonly Point[] {
  return Array.from(
    { length: sides + 1 },
    (_, i) => curve[Math.round((i * (curve.length - 1)) / sides)],
  ).flatMap((place) => place ?? []);
}

/** A curve in as few straight sides as keep most of what lies in it; all of what has so few anyhow. */
function chordsOf(curve: readonly Point[], whole: number): readonly Point[] {
  const all = areaOf(curve);
  for (let sides = all < littleOfAll * whole ? 1 : 2; sides < curve.length - 1; sides++) {
    const chords = sidesAlong(curve, sides);
    if (sides === 1 || areaOf(chords) > (1 - mostOfCurve) * all) return chords;
  }
  return curve;
}

/**
 * The straight-sided outline within one whose edge is round in places: curves between its corners are cut in as few
 * sides as follow them. One with no corner, or with one that points in, is left as it is.
 */
export function straightSided(outline: readonly Point[]): readonly Point[] {
  // Most faces have four sides.
  if (outline.length < 5) return outline;
  const turns = turnsOf(outline);
  const corners = turns.flatMap((turn, i) => (turn > corner ? [i] : []));
  if (corners.length === 0 || !isConvex(outline)) return outline;
  const whole = areaOf(outline);
  return corners.flatMap((from, nth): readonly Point[] => {
    const next = corners[(nth + 1) % corners.length] ?? from;
    const count = (next - from + outline.length - 1) % outline.length;
    const curve = Array.from(
      { length: count + 2 },
      (_, i) => outline[(from + i) % outline.length],
    ).flatMap((place) => place ?? []);
    return chordsOf(curve, whole).slice(0, -1);
  });
}

/** What of an outline lies to the left of a directed line, or by `off` within it. */
function cutLeftOf(
  outline: readonly Point[],
  from: Point,
  to: Point,
  off: number,
): readonly Point[] {
  const left = outline.map((place) => leftOf(from, to, place) - off);
  if (left.every((each) => each > 0)) return outline;
  const kept: Point[] = [];
  outline.forEach((here, i) => {
    const next = outline[i + 1] ?? outline[0] ?? here;
    const [a = 0, b = left[0] ?? 0] = [left[i], left[i + 1]];
    if (a > 0) kept.push(here);
    if (a > 0 !== b > 0)
      kept.push({
        x: here.x + ((next.x - here.x) * a) / (a - b),
        y: here.y + ((next.y - here.y) * a) / (a - b),
      });
  });
  return kept;
}

/** An outline as the rectangle that it is; undefined for any other. */
function rectangleOf(outline: readonly Point[]): Bounds | undefined {
  const [a, b, c, d] = outline;
  if (!a || !b || !c || !d || outline.length > 4) return undefined;
  const same = (one: number, other: number) => Math.abs(one - other) < 1e-9;
  const startsLevel = same(a.y, b.y) && same(b.x, c.x) && same(c.y, d.y) && same(d.x, a.x);
  const startsUpright = same(a.x, b.x) && same(b.y, c.y) && same(c.x, d.x) && same(d.y, a.y);
  if (!startsLevel && !startsUpright) return undefined;
  return {
    left: Math.min(a.x, c.x),
    right: Math.max(a.x, c.x),
    bottom: Math.min(a.y, c.y),
    top: Math.max(a.y, c.y),
  };
}

/** The same for two rectangles, as most outlines are. */
function cutRectangle(one: Bounds, by: Bounds, off: number): readonly Point[] {
  const left = Math.max(one.left, by.left + off);
  const right = Math.min(one.right, by.right - off);
  const bottom = Math.max(one.bottom, by.bottom + off);
  const top = Math.min(one.top, by.top - off);
  const isLeft = right - left > straight && top - bottom > straight;
  return isLeft ? cornersOf({ left, right, bottom, top }) : [];
}

/** What of an outline lies inside another one, or by `off` within each of its sides; no corners where nothing does. */
export function cutTo(
  outline: readonly Point[],
  by: readonly Point[],
  off: number,
): readonly Point[] {
  const [one, other] = [rectangleOf(outline), rectangleOf(by)];
  if (one && other) return cutRectangle(one, other, off);
  const left = by.reduce<readonly Point[]>((rest, from, i) => {
    const to = by[(i + 1) % by.length] ?? from;
    return cutLeftOf(rest, from, to, off);
  }, outline);
  return outlineOf(left);
}

/** The rectangle round some points. */
export interface Bounds {
  readonly left: number;
  readonly right: number;
  readonly bottom: number;
  readonly top: number;
}

export function boundsOf(points: readonly Point[]): Bounds {
  let [left, right, bottom, top] = [Infinity, -Infinity, Infinity, -Infinity];
  for (const { x, y } of points) {
    left = Math.min(left, x);
    right = Math.max(right, x);
    bottom = Math.min(bottom, y);
    top = Math.max(top, y);
  }
  return { left, right, bottom, top };
}

/** The corners of a rectangle, anticlockwise. */
export function cornersOf({ left, right, bottom, top }: Bounds): readonly Point[] {
  return [
    { x: left, y: bottom },
    { x: right, y: bottom },
    { x: right, y: top },
    { x: left, y: top },
  ];
}

/** A cut that ends so near to a corner of the card, in millimetres, is made from that corner. */
const nearCorner = 0.15;

/** A place, or the corner that it is next to. */
function toCorner(place: Point, corners: readonly Point[]): Point {
  return corners.find(({ x, y }) => Math.hypot(x - place.x, y - place.y) < nearCorner) ?? place;
}

/** What is cut off a rectangle, one bit for each of the sides of an outline that slant through it. */
export function cutOff(bounds: Bounds, outline: readonly Point[]): readonly (readonly Point[])[] {
  return outline.flatMap((from, i) => {
    const to = outline[(i + 1) % outline.length] ?? from;
    const isLevel = Math.abs(from.y - to.y) < straight || Math.abs(from.x - to.x) < straight;
    if (isLevel) return [];
    // Turned round, what lies outside of the side is on its left.
    const corners = cornersOf(bounds);
    const bit = outlineOf(cutLeftOf(corners, to, from, 0).map((place) => toCorner(place, corners)));
    return bit.length >= 3 && Math.abs(doubleArea(bit)) > 0.02 ? [bit] : [];
  });
}

/** Whether a place lies in an outline, or no farther than `slack` beside it. */
export function isWithinOutline(outline: readonly Point[], place: Point, slack = 0): boolean {
  let from = outline.at(-1);
  for (const to of outline) {
    if (from && leftOf(from, to, place) <= -slack) return false;
    from = to;
  }
  return true;
}
