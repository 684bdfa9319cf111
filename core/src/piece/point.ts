/** A point of a drawn piece in millimetres, x to the right and y down from its top left corner. */
export interface Point {
  readonly x: number;
  readonly y: number;
}

/** Twice the area that a ring encloses; above zero when it runs clockwise as drawn (y down). */
export function doubleArea(ring: readonly Point[]): number {
  let total = 0;
  ring.forEach((point, i) => {
    const next = ring[(i + 1) % ring.length] ?? point;
    total += point.x * next.y - next.x * point.y;
  });
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
  const rings = [ring, ...holes];
  const heights = [...new Set(rings.flat().map((point) => point.y))].sort((a, b) => a - b);
  let best: Point = ring[0] ?? { x: 0, y: 0 };
  let widest = 0;
  for (let i = 0; i + 1 < heights.length; i++) {
    const y = ((heights[i] ?? 0) + (heights[i + 1] ?? 0)) / 2;
    const crossings: number[] = [];
    for (const each of rings)
      each.forEach((a, j) => {
        const b = each[(j + 1) % each.length] ?? a;
        if (a.y > y !== b.y > y) crossings.push(a.x + ((y - a.y) / (b.y - a.y)) * (b.x - a.x));
      });
    crossings.sort((a, b) => a - b);
    for (let j = 0; j + 1 < crossings.length; j += 2) {
      const [from = 0, to = 0] = crossings.slice(j, j + 2);
      const run = Math.min(to - from, (heights[i + 1] ?? 0) - (heights[i] ?? 0));
      if (run > widest) {
        widest = run;
        best = { x: (from + to) / 2, y };
      }
    }
  }
  return best;
}

/** Whether a point lies inside a ring. */
export function isInside(ring: readonly Point[], point: Point): boolean {
  let inside = false;
  ring.forEach((a, i) => {
    const b = ring[(i + 1) % ring.length] ?? a;
    if (a.y > point.y !== b.y > point.y) {
      const x = a.x + ((point.y - a.y) / (b.y - a.y)) * (b.x - a.x);
      if (x > point.x) inside = !inside;
    }
  });
  return inside;
}
