import { dot, vector, type FoldingBox } from '../fold/index.ts';
import {
  axesRound,
  cardCorners,
  crossings,
  holesOf,
  placesOf,
  reachOf,
  type WayRound,
} from './round-box.ts';

/** A place in the plane that a ribbon runs in. */
interface Flat {
  readonly x: number;
  readonly y: number;
}

function turns(a: Flat, b: Flat, c: Flat): number {
  return (b.x - a.x) * (c.y - a.y) - (b.y - a.y) * (c.x - a.x);
}

/** One side of the hull of places that stand in order. */
function chain(places: readonly Flat[]): readonly Flat[] {
  const kept: Flat[] = [];
  for (const place of places) {
    for (;;) {
      const [before, last] = kept.slice(-2);
      if (!before || !last || turns(before, last, place) > 0) break;
      kept.pop();
    }
    kept.push(place);
  }
  return kept;
}

/** How long something is that is drawn taut round places: the perimeter of their convex hull (Andrew’s chains). */
function tautRound(places: readonly Flat[]): number {
  const sorted = [...places].sort((a, b) => a.x - b.x || a.y - b.y);
  const ring = [...chain(sorted).slice(0, -1), ...chain(sorted.toReversed()).slice(0, -1)];
  return ring.reduce((sum, { x, y }, i) => {
    const next = ring[(i + 1) % ring.length] ?? { x, y };
    return sum + Math.hypot(next.x - x, next.y - y);
  }, 0);
}

/** How long a ribbon of that width is that goes once round the middle of the closed box, in millimetres. */
export function girth(box: FoldingBox, way: WayRound, width: number): number {
  const { right, back, along } = axesRound[way];
  const rings = placesOf(box);
  const whole = reachOf(rings.flat(), along);
  const middle = (whole.from + whole.to) / 2;
  const half = Math.min(width, whole.to - whole.from) / 2;
  const [from, to] = [middle - half, middle + half];
  const under = rings.flatMap((ring) => [
    ...ring.filter((place) => dot(place, along) >= from && dot(place, along) <= to),
    ...crossings(ring, along, from),
    ...crossings(ring, along, to),
  ]);
  return tautRound(under.map((place) => ({ x: dot(place, right), y: dot(place, back) })));
}

/** How long a ribbon is once round something that is so wide at each of some heights, in millimetres. */
export function roundStacked(
  levels: readonly { readonly wide: number; readonly high: number }[],
): number {
  return tautRound(
    levels.flatMap(({ wide, high }) => [-0.5, 0.5].map((side) => ({ x: side * wide, y: high }))),
  );
}

/** How long a ribbon is over parts of the closed box, from the lower edge of one side to that of the other. */
export function overParts(
  box: FoldingBox,
  parts: ReadonlySet<string>,
  way: Exclude<WayRound, 'walls'>,
): number {
  const places = cardCorners(box, (part) => parts.has(part)).flat();
  const wide = reachOf(places, way === 'across' ? vector(1, 0, 0) : vector(0, 1, 0));
  const high = reachOf(places, vector(0, 0, 1));
  return wide.to - wide.from + 2 * (high.to - high.from);
}

/** How long a ribbon is that is drawn through all the ribbon holes of a closed box; zero where it has none. */
export function throughHoles(box: FoldingBox): number {
  const places = holesOf(box, (use) => use === 'ribbon').map(({ middle }) => middle);
  return tautRound(places.map(({ x, y }) => ({ x, y })));
}
