import { doubleArea, interiorPoint, isInside, type Point } from './point.ts';
import type { CellRole, Fold, LineRef, ScoreGrid } from './score-grid.ts';
import { gridPlacer, segmentsOf, type Make, type Segment } from './segments.ts';
import { wasteOf } from './waste.ts';

/** A straight run between two corners with the faces on its two sides; none outside the piece. */
export interface SubdivisionEdge {
  readonly from: number;
  readonly to: number;
  readonly make: Make;
  readonly fold?: Fold;
  readonly line?: LineRef;
  /** Indices into the faces. */
  readonly faces: readonly number[];
}

export interface Face {
  /** Indices into the corners, clockwise as drawn. */
  readonly corners: readonly number[];
  /** Rings of corners, anticlockwise as drawn, that bound openings in the face. */
  readonly holes: readonly (readonly number[])[];
  readonly role: CellRole;
}

/** A piece as a flat map: its corners, the edges between them, and the faces that they bound. */
export interface Subdivision {
  readonly corners: readonly Point[];
  readonly edges: readonly SubdivisionEdge[];
  readonly faces: readonly Face[];
}

/** Corners closer than this are one: a thousandth of the smallest thing that a blade can do. */
const same = 1e-5;

const strength: Record<Make, number> = { edge: 3, cut: 2, slit: 1, score: 0 };

class CornerIndex {
  readonly corners: Point[] = [];
  readonly #byPlace = new Map<number, Map<number, number>>();

  at(point: Point): number {
    const x = point.x / same;
    const y = point.y / same;
    // A place close to the border of two cells is looked for in both.
    const [left, right] = [Math.round(x - 0.2), Math.round(x + 0.2)];
    const [top, bottom] = [Math.round(y - 0.2), Math.round(y + 0.2)];
    const known =
      this.#known(left, top) ??
      (top === bottom ? undefined : this.#known(left, bottom)) ??
      (left === right ? undefined : (this.#known(right, top) ?? this.#known(right, bottom)));
    if (known !== undefined) return known;
    const corner = this.corners.push(point) - 1;
    const column = this.#byPlace.get(Math.round(x)) ?? new Map<number, number>();
    this.#byPlace.set(Math.round(x), column.set(Math.round(y), corner));
    return corner;
  }

  #known(column: number, row: number): number | undefined {
    return this.#byPlace.get(column)?.get(row);
  }
}

/** More corners than any piece has. */
const manyCorners = 1_000_000;

/** A run between two corners as one number, told from the same run the other way. */
function runKey(from: number, to: number): number {
  return from * manyCorners + to;
}

function cross(o: Point, a: Point, b: Point): number {
  return (a.x - o.x) * (b.y - o.y) - (a.y - o.y) * (b.x - o.x);
}

/** A line with the rectangle round it, a hair wider, and how far along it (0–1) others meet it or it ends. */
interface Bounded {
  readonly segment: Segment;
  readonly left: number;
  readonly right: number;
  readonly top: number;
  readonly bottom: number;
  readonly stops: number[];
}

function withBounds(segment: Segment): Bounded {
  const { from, to } = segment;
  return {
    segment,
    left: Math.min(from.x, to.x) - same / 2,
    right: Math.max(from.x, to.x) + same / 2,
    top: Math.min(from.y, to.y) - same / 2,
    bottom: Math.max(from.y, to.y) + same / 2,
    stops: [0, 1],
  };
}

/** All lines with where they meet. */
function meetings(segments: readonly Segment[]): readonly Bounded[] {
  const bounded = segments.map(withBounds);
  // From left to right, only what begins before a line ends can meet it.
  const inOrder = bounded.toSorted((a, b) => a.left - b.left);
  for (const [place, here] of inOrder.entries())
    for (let next = place + 1; next < inOrder.length; next++) {
      const other = inOrder[next];
      if (!other || other.left > here.right) break;
      if (here.bottom < other.top || other.bottom < here.top) continue;
      addMeetings(here.stops, here.segment, other.segment);
      addMeetings(other.stops, other.segment, here.segment);
    }
  return bounded;
}

/** Adds to `stops` how far along `segment` (0–1) the other one meets it, for every meeting point. */
function addMeetings(stops: number[], { from: a, to: b }: Segment, { from: c, to: d }: Segment) {
  const [wide, high] = [b.x - a.x, b.y - a.y];
  const length = Math.sqrt(wide * wide + high * high);
  const slack = same / length;
  const add = (t: number) => {
    if (t > -slack && t < 1 + slack) stops.push(t);
  };
  const along = ({ x, y }: Point) => ((x - a.x) * wide + (y - a.y) * high) / (length * length);
  const sideC = cross(a, b, c);
  const sideD = cross(a, b, d);
  const touchesC = Math.abs(sideC) / length < same;
  const touchesD = Math.abs(sideD) / length < same;
  if (touchesC) add(along(c));
  if (touchesD) add(along(d));
  if (touchesC || touchesD || sideC > 0 === sideD > 0) return;
  const otherLength = Math.hypot(d.x - c.x, d.y - c.y);
  const sideA = cross(c, d, a) / otherLength;
  const sideB = cross(c, d, b) / otherLength;
  if (sideA > 0 !== sideB > 0 || Math.abs(sideA) < same || Math.abs(sideB) < same)
    add(sideA / (sideA - sideB));
}

interface Run {
  readonly from: number;
  readonly to: number;
  readonly segment: Segment;
}

/** Splits all segments where they meet; where two lie on one another the stronger make stays. */
function splitRuns(segments: readonly Segment[], index: CornerIndex): readonly Run[] {
  const runs = new Map<number, Run>();
  for (const { segment, stops } of meetings(segments)) {
    const { from: start, to: end } = segment;
    if (stops.length > 2) stops.sort((a, b) => a - b);
    const places = stops.map((t) =>
      index.at({ x: start.x + t * (end.x - start.x), y: start.y + t * (end.y - start.y) }),
    );
    places.forEach((to, i) => {
      const from = places[i - 1];
      if (from === undefined || from === to) return;
      const key = from < to ? runKey(from, to) : runKey(to, from);
      const known = runs.get(key);
      if (!known || strength[known.segment.make] < strength[segment.make])
        runs.set(key, { from, to, segment });
    });
  }
  return [...runs.values()];
}

/** Walks every bounded face once, always taking the next run clockwise at a corner. */
function traceRings(
  corners: readonly Point[],
  runs: readonly Run[],
): {
  readonly rings: readonly (readonly number[])[];
  readonly ringOf: Map<number, number>;
} {
  const spokes: { to: number; angle: number }[][] = corners.map(() => []);
  const addSpoke = (from: number, to: number) => {
    const a = corners[from];
    const b = corners[to];
    if (a && b) spokes[from]?.push({ to, angle: Math.atan2(b.y - a.y, b.x - a.x) });
  };
  for (const { from, to } of runs) {
    addSpoke(from, to);
    addSpoke(to, from);
  }
  // Of two, each comes after the other.
  for (const each of spokes) if (each.length > 2) each.sort((a, b) => a.angle - b.angle);
  const ringOf = new Map<number, number>();
  const rings: (readonly number[])[] = [];
  for (const run of runs)
    for (const [start, next] of [
      [run.from, run.to],
      [run.to, run.from],
    ] as const) {
      if (ringOf.has(runKey(start, next))) continue;
      const ring: number[] = [];
      let [from, to] = [start, next];
      do {
        ring.push(from);
        ringOf.set(runKey(from, to), rings.length);
        const around: readonly { to: number }[] = spokes[to] ?? [];
        const back = around.findIndex((spoke) => spoke.to === from);
        const onward: number = around[(back + around.length - 1) % around.length]?.to ?? from;
        [from, to] = [to, onward];
      } while (from !== start || to !== next);
      rings.push(ring);
    }
  return { rings, ringOf };
}

/**
 * The planar subdivision of all the lines of a piece. Faces in waste cells, and those that are cut away
 * otherwise, have the role `waste`. A face that spans several cells (no line between them) takes the role
 * of one of them, unless it lies in a patch.
 */
export function subdivide(grid: ScoreGrid): Subdivision {
  return isPlainCell(grid) ? oneFace(grid) : facesBetweenLines(grid);
}

/** Whether a piece is one straight cell with nothing cut off it, as most panels are. */
function isPlainCell({ columns, rows, lines, diagonals, cutouts, tapers, patches }: ScoreGrid) {
  const all = [lines, diagonals, cutouts, tapers, patches];
  return columns.length === 1 && rows.length === 1 && all.every(({ length }) => length === 0);
}

/** A piece that is one face. */
function oneFace(grid: ScoreGrid): Subdivision {
  const around = [0, 1, 2, 3];
  return {
    corners: segmentsOf(grid).map(({ from }) => from),
    edges: around.map((from) => ({ from, to: (from + 1) % 4, make: 'edge', faces: [0] })),
    faces: [{ corners: around, holes: [], role: grid.roles[0]?.[0] ?? 'waste' }],
  };
}

function facesBetweenLines(grid: ScoreGrid): Subdivision {
  const index = new CornerIndex();
  const runs = splitRuns(segmentsOf(grid), index);
  const corners = index.corners;
  const { rings, ringOf } = traceRings(corners, runs);
  const roleAt = roleFinder(grid);
  const pointsOf = (ring: readonly number[]) =>
    ring.map((corner) => corners[corner] ?? { x: 0, y: 0 });
  const faceOf = new Map<number, number>();
  const bounds: { corners: readonly number[]; holes: (readonly number[])[] }[] = [];
  const openings: number[] = [];
  rings.forEach((ring, i) => {
    const points = pointsOf(ring);
    if (doubleArea(points) <= same) {
      openings.push(i);
      return;
    }
    faceOf.set(i, bounds.length);
    bounds.push({ corners: ring, holes: [] });
  });
  // A ring that is walked from outside bounds an opening in the smallest face round it, or the piece itself.
  for (const i of openings) {
    const ring = rings[i] ?? [];
    const corner = corners[ring[0] ?? 0] ?? { x: 0, y: 0 };
    const onRing = new Set(ring);
    let around: number | undefined;
    let smallest = Infinity;
    bounds.forEach((face, at) => {
      if (face.corners.some((each) => onRing.has(each))) return;
      const points = pointsOf(face.corners);
      const area = doubleArea(points);
      if (area < smallest && isInside(points, corner)) {
        smallest = area;
        around = at;
      }
    });
    if (around === undefined) continue;
    faceOf.set(i, around);
    bounds[around]?.holes.push(ring);
  }
  const faces = bounds.map((face): Face => ({
    ...face,
    role: roleAt(interiorPoint(pointsOf(face.corners), face.holes.map(pointsOf))),
  }));
  const edges = runs.map(({ from, to, segment }): SubdivisionEdge => {
    const sides = [ringOf.get(runKey(from, to)), ringOf.get(runKey(to, from))]
      .map((ring) => (ring === undefined ? undefined : faceOf.get(ring)))
      .filter((face) => face !== undefined);
    return {
      from,
      to,
      make: segment.make,
      faces: sides,
      ...(segment.fold && { fold: segment.fold }),
      ...(segment.line !== undefined && { line: segment.line }),
    };
  });
  return { corners, edges, faces };
}

/** Tells the role of the face that a point lies in. */
function roleFinder(grid: ScoreGrid): (point: Point) => CellRole {
  const place = gridPlacer(grid);
  const wastes = wasteOf(grid, place);
  const patches = grid.patches.map(({ role, corners }) => ({ role, ring: corners.map(place) }));
  const rights = grid.columns.map((_, i) => place({ column: i + 1, row: 0 }).x);
  const bottoms = grid.rows.map((_, i) => place({ column: 0, row: i + 1 }).y);
  return (point) => {
    if (wastes.some(({ ring }) => isInside(ring, point))) return 'waste';
    const patch = patches.find(({ ring }) => isInside(ring, point));
    if (patch) return patch.role;
    const column = rights.findIndex((right) => point.x < right);
    const row = bottoms.findIndex((bottom) => point.y < bottom);
    return grid.roles[row]?.[column] ?? 'waste';
  };
}
