import { doubleArea, isInside, middleOrInside, type Point } from './point.ts';
import type { CellRole, Fold, GridPoint, LineRef, ScoreGrid } from './score-grid.ts';
import { gridPlacer, segmentsOf, type Make } from './segments.ts';
import { same, splitLines } from './split-lines.ts';
import { traceRings } from './trace-rings.ts';
import { wasteOf, type Waste } from './waste.ts';

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
  const place = gridPlacer(grid);
  return {
    corners: [
      place({ column: 0, row: 0 }),
      place({ column: 1, row: 0 }),
      place({ column: 1, row: 1 }),
      place({ column: 0, row: 1 }),
    ],
    edges: around.map((from) => ({ from, to: (from + 1) % 4, make: 'edge', faces: [0] })),
    faces: [{ corners: around, holes: [], role: grid.roles[0]?.[0] ?? 'waste' }],
  };
}

/** What a ring of corners bounds: a face, with the rings of the openings in it. */
interface Bound {
  readonly corners: readonly number[];
  readonly points: readonly Point[];
  readonly area: number;
  readonly holes: (readonly number[])[];
}

function facesBetweenLines(grid: ScoreGrid): Subdivision {
  const place = gridPlacer(grid);
  const wastes = wasteOf(grid, place);
  const { corners, runs } = splitLines(segmentsOf(grid, place, wastes));
  const { rings, sides } = traceRings(corners, runs);
  const pointsOf = (ring: readonly number[]) =>
    ring.map((corner) => corners[corner] ?? { x: 0, y: 0 });
  const faceOf: (number | undefined)[] = [];
  const bounds: Bound[] = [];
  rings.forEach((ring, i) => {
    const points = pointsOf(ring);
    const area = doubleArea(points);
    if (area <= same) return;
    faceOf[i] = bounds.length;
    bounds.push({ corners: ring, points, area, holes: [] });
  });
  // A ring that is walked from outside bounds an opening in the smallest face round it, or the piece itself.
  rings.forEach((ring, i) => {
    if (faceOf[i] !== undefined) return;
    const around = smallestRound(bounds, ring, corners[ring[0] ?? 0] ?? { x: 0, y: 0 });
    if (around === undefined) return;
    faceOf[i] = around;
    bounds[around]?.holes.push(ring);
  });
  const roleAt = roleFinder(grid, place, wastes);
  const faces = bounds.map(({ corners: ring, points, holes }): Face => ({
    corners: ring,
    holes,
    role: roleAt(middleOrInside(points, holes.map(pointsOf))),
  }));
  const edges = runs.map(({ from, to, segment }, i): SubdivisionEdge => {
    const { make, fold, line } = segment;
    const [one, other] = [faceOf[sides.left[i] ?? -1], faceOf[sides.right[i] ?? -1]];
    const beside = one === undefined ? [] : [one];
    if (other !== undefined) beside.push(other);
    // Most runs are cuts, which belong to no line.
    if (line) return { from, to, make, line, faces: beside, ...(fold && { fold }) };
    return fold ? { from, to, make, fold, faces: beside } : { from, to, make, faces: beside };
  });
  return { corners, edges, faces };
}

/** The smallest face that has a corner inside which is not on its own ring; undefined where that lies in none. */
function smallestRound(
  bounds: readonly Bound[],
  ring: readonly number[],
  corner: Point,
): number | undefined {
  let around: number | undefined;
  let smallest = Infinity;
  bounds.forEach(({ corners, points, area }, at) => {
    if (area >= smallest || !isInside(points, corner)) return;
    if (corners.some((each) => ring.includes(each))) return;
    smallest = area;
    around = at;
  });
  return around;
}

/** Tells the role of the face that a point lies in. */
function roleFinder(
  grid: ScoreGrid,
  place: (point: GridPoint) => Point,
  wastes: readonly Waste[],
): (point: Point) => CellRole {
  const cutAway = wastes.map(({ ring }) => region(ring));
  const patches = grid.patches.map(({ role, corners }) => ({
    role,
    isAt: region(corners.map(place)),
  }));
  const rights = grid.columns.map((_, i) => place({ column: i + 1, row: 0 }).x);
  const bottoms = grid.rows.map((_, i) => place({ column: 0, row: i + 1 }).y);
  return (point) => {
    if (cutAway.some((isAt) => isAt(point))) return 'waste';
    const patch = patches.find(({ isAt }) => isAt(point));
    if (patch) return patch.role;
    const column = rights.findIndex((right) => point.x < right);
    const row = bottoms.findIndex((bottom) => point.y < bottom);
    return grid.roles[row]?.[column] ?? 'waste';
  };
}

/** Tells whether points lie inside a ring: of most it is known by the rectangle round that. */
function region(ring: readonly Point[]): (point: Point) => boolean {
  let [left, right, top, bottom] = [Infinity, -Infinity, Infinity, -Infinity];
  for (const { x, y } of ring) {
    left = Math.min(left, x);
    right = Math.max(right, x);
    top = Math.min(top, y);
    bottom = Math.max(bottom, y);
  }
  return (point) =>
    point.x >= left &&
    point.x <= right &&
    point.y >= top &&
    point.y <= bottom &&
    isInside(ring, point);
}
