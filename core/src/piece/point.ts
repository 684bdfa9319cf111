/** A point of a drawn piece in millimetres, x to the right and y down from its top left corner. */
export interface Point {
  readonly x: number;
  readonly y: number;
}

/** Twice the area that a ring encloses; above zero when it runs clockwise as drawn (y down). */
export function doubleArea(ring: readonly Point[]): number {
  let total = 0;
  let before = ring.at(-1);
  for (const point of ring) {
    if (before) total += before.x * point.y - point.x * before.y;
    before = point;
  }
  return total;
}

/**
 * A point that is surely inside a ring and outside its holes: the middle of its widest run on a line between
 * two corner heights.
 */
export function interiorPoint(
  ring: readonly Point[],
  holes: readonly (readonly Point[])[] = [],
): Point {
  const [a, , c] = ring;
  if (a && c && holes.length === 0 && isStraight(ring))
    return { x: (a.x + c.x) / 2, y: (a.y + c.y) / 2 };
  const rings = [ring, ...holes];
  let best: Place = { x: ring[0]?.x ?? 0, y: ring[0]?.y ?? 0, run: 0 };
  const bands = bandsOf(rings);
  for (let band = takeHighest(bands); band; band = takeHighest(bands)) {
    // No run counts for more than its band is high, and those that come are lower still.
    if (band.high < best.run) break;
    const crossings = crossingsAt(rings, band.y);
    for (let j = 0; j + 1 < crossings.length; j += 2) {
      const [from = 0, to = 0] = [crossings[j], crossings[j + 1]];
      const run = Math.min(to - from, band.high);
      // Of runs that count for as much it is the topmost.
      if (run > best.run || (run === best.run && band.y < best.y))
        best = { x: (from + to) / 2, y: band.y, run };
    }
  }
  return { x: best.x, y: best.y };
}

/** The middle of a run on a line across, with what that counts for. */
interface Place extends Point {
  readonly run: number;
}

/** What lies between two corner heights that follow each other, by the height of its middle. */
interface Band {
  readonly y: number;
  readonly high: number;
}

function bandsOf(rings: readonly (readonly Point[])[]): Band[] {
  const heights = new Float64Array(rings.reduce((sum, { length }) => sum + length, 0));
  let count = 0;
  for (const ring of rings) for (const { y } of ring) heights[count++] = y;
  heights.sort();
  const bands: Band[] = [];
  heights.forEach((below, i) => {
    const above = heights[i - 1] ?? below;
    if (below > above) bands.push({ y: (above + below) / 2, high: below - above });
  });
  return bands;
}

/** Takes the highest band out of some, the topmost of those; mostly the first will do. */
function takeHighest(bands: Band[]): Band | undefined {
  const [first] = bands;
  if (!first) return undefined;
  const highest = bands.reduce((best, band) => (band.high > best.high ? band : best), first);
  bands.splice(bands.indexOf(highest), 1);
  return highest;
}

/** A point inside a ring, which is found at once where that has no dents: the middle of its corners. */
export function middleOrInside(
  ring: readonly Point[],
  holes: readonly (readonly Point[])[],
): Point {
  if (holes.length > 0 || !isWithoutDents(ring)) return interiorPoint(ring, holes);
  let [x, y] = [0, 0];
  for (const point of ring) {
    x += point.x;
    y += point.y;
  }
  return { x: x / ring.length, y: y / ring.length };
}

/** Whether a clockwise ring turns the same way at each of its corners, or goes straight on. */
function isWithoutDents(ring: readonly Point[]): boolean {
  let [a, b] = [ring.at(-2), ring.at(-1)];
  for (const c of ring) {
    if (a && b && (b.x - a.x) * (c.y - b.y) - (b.y - a.y) * (c.x - b.x) < -1e-9) return false;
    [a, b] = [b, c];
  }
  return true;
}

/** Whether a ring is a rectangle whose sides run across and down. */
function isStraight(ring: readonly Point[]): boolean {
  if (ring.length !== 4) return false;
  const [a, b, c, d] = ring;
  if (!a || !b || !c || !d) return false;
  const runsAcross = a.y === b.y && c.y === d.y && a.x === d.x && b.x === c.x;
  return runsAcross || (a.x === b.x && c.x === d.x && a.y === d.y && b.y === c.y);
}

/** Where rings cross a height, from left to right. */
function crossingsAt(rings: readonly (readonly Point[])[], y: number): readonly number[] {
  const crossings: number[] = [];
  for (const ring of rings) {
    let a = ring.at(-1);
    for (const b of ring) {
      if (a && a.y > y !== b.y > y) crossings.push(a.x + ((y - a.y) / (b.y - a.y)) * (b.x - a.x));
      a = b;
    }
  }
  return crossings.sort((one, other) => one - other);
}

/** Whether a point lies inside a ring. */
export function isInside(ring: readonly Point[], point: Point): boolean {
  let inside = false;
  let a = ring.at(-1);
  for (const b of ring) {
    if (a && a.y > point.y !== b.y > point.y) {
      const x = a.x + ((point.y - a.y) / (b.y - a.y)) * (b.x - a.x);
      if (x > point.x) inside = !inside;
    }
    a = b;
  }
  return inside;
}
