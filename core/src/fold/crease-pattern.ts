import {
  derivedFromGrid,
  gridPositions,
  isInside,
  subdivide,
  type Face,
  type Piece,
  type ScoreGrid,
} from '../piece/index.ts';
import { toMillimetres } from '../length/index.ts';
import type { GridSpot } from './assembly.ts';
import { origin, vector, type Vector } from './vector.ts';

/** A crease between two faces: from one corner to another with face `left` on the left, seen from the drawn face. */
export interface Crease {
  readonly from: number;
  readonly to: number;
  readonly left: number;
  readonly right: number;
  /** How far it is turned in the closed box, in radians; above zero for a valley. */
  readonly angle: number;
  readonly sense: 'valley' | 'mountain' | 'mark';
  readonly stage: number;
  readonly follows: boolean;
  readonly bows: boolean;
}

/** A piece ready to fold: corners flat in millimetres, x to the right and y up from its top left corner. */
export interface CreasePattern {
  readonly corners: readonly Vector[];
  /** Faces that are not cut away. */
  readonly faces: readonly Face[];
  readonly creases: readonly Crease[];
  /** Creases by face. */
  readonly around: readonly (readonly Crease[])[];
  /** How many stages of folding there are. */
  readonly stages: number;
  /** The face at a spot. */
  readonly faceAt: (spot: GridSpot) => number;
  /** The place of a spot on the flat piece. */
  readonly placeOf: (spot: GridSpot) => Vector;
}

function between(positions: readonly number[], at: number): number {
  const whole = Math.min(Math.floor(at), positions.length - 2);
  const from = positions[whole] ?? 0;
  return from + ((positions[whole + 1] ?? from) - from) * (at - whole);
}

const patternOf = derivedFromGrid(patternFrom);

/** What a piece folds about, derived from its grid. */
export function creasePattern({ grid }: Pick<Piece, 'grid'>): CreasePattern {
  return patternOf(grid);
}

function patternFrom(grid: ScoreGrid): CreasePattern {
  const map = subdivide(grid);
  const corners = map.corners.map(({ x, y }) => vector(x, -y, 0));
  const kept = map.faces.map((face) => face.role !== 'waste');
  const renumbered: number[] = [];
  const faces: Face[] = [];
  map.faces.forEach((face, i) => {
    renumbered.push(faces.length);
    if (kept[i]) faces.push(face);
  });
  const creases = map.edges.flatMap((edge): readonly Crease[] => {
    const [one, other] = edge.faces;
    if (edge.make !== 'score' || !edge.fold || one === undefined || other === undefined) return [];
    if (!kept[one] || !kept[other] || one === other) return [];
    const { sense, angle, stage, follows = false, bows = false } = edge.fold;
    const ring = map.faces[one]?.corners ?? [];
    // Rings run clockwise, so a face lies to the right of its own edges.
    const runsAlong = ring[(ring.indexOf(edge.from) + 1) % ring.length] === edge.to;
    const [right = 0, left = 0] = (runsAlong ? [one, other] : [other, one]).map(
      (face) => renumbered[face],
    );
    return [
      {
        from: edge.from,
        to: edge.to,
        left,
        right,
        angle: ((sense === 'mountain' ? -1 : sense === 'mark' ? 0 : 1) * angle * Math.PI) / 180,
        sense,
        stage,
        follows,
        bows,
      },
    ];
  });
  const around = faces.map((): Crease[] => []);
  for (const crease of creases) {
    around[crease.left]?.push(crease);
    around[crease.right]?.push(crease);
  }
  const xs = gridPositions(grid.columns).map(toMillimetres);
  const ys = gridPositions(grid.rows).map(toMillimetres);
  const placeOf = ({ column, row }: GridSpot) => vector(between(xs, column), -between(ys, row), 0);
  return {
    corners,
    faces,
    creases,
    around,
    stages: creases.reduce((most, { stage }) => Math.max(most, stage + 1), 0),
    placeOf,
    faceAt: faceFinder(
      faces.map((face) => face.corners.map((corner) => corners[corner] ?? origin)),
      placeOf,
    ),
  };
}

/** Finds the face at a spot; the same ones are asked for again and again. */
function faceFinder(
  rings: readonly (readonly Vector[])[],
  placeOf: (spot: GridSpot) => Vector,
): (spot: GridSpot) => number {
  const knownByColumn = new Map<number, Map<number, number>>();
  return (spot) => {
    const { column, row } = spot;
    const known = knownByColumn.get(column);
    const before = known?.get(row);
    if (before !== undefined) return before;
    const place = placeOf(spot);
    const at = rings.findIndex((ring) => isInside(ring, place));
    if (at < 0) throw new RangeError(`No face at ${column}, ${row}`);
    if (known) known.set(row, at);
    else knownByColumn.set(column, new Map([[row, at]]));
    return at;
  };
}
