import { nanometres, type Length } from '../../length/index.ts';
import { cutSizeOf, outlinesOf, subdivide, type ScoreGrid } from '../../piece/index.ts';
import { fromCorner, nearestCorner, type Corner, type FromCorner } from '../at-corners.ts';

/** A straight-sided shape that is cut out of its rectangle: its corners, one after the other. */
export interface OutlineOperation {
  readonly kind: 'cut to shape';
  readonly piece: string;
  /** Clockwise, each from the corner that it is nearest to. */
  readonly points: readonly { readonly corner: Corner; readonly from: FromCorner }[];
  /** Places among the cutouts of the piece. */
  readonly cutouts: readonly number[];
}

const perMillimetre = 1_000_000;

function exact(place: number, whole: Length): Length {
  const length = nanometres(Math.round(place * perMillimetre));
  // What is drawn within a hair of an edge lies on it.
  if (length < 10_000) return nanometres(0);
  return whole - length < 10_000 ? whole : length;
}

/** The one cut that makes a plate of its rectangle; none for a piece that is no plate. */
export function outlineOperations(piece: {
  readonly id: string;
  readonly grid: ScoreGrid;
}): readonly OutlineOperation[] {
  const { grid } = piece;
  const cutouts = grid.cutouts.flatMap(({ use }, place) => (use === 'plate' ? [place] : []));
  if (cutouts.length === 0) return [];
  const [ring] = outlinesOf(subdivide(grid));
  if (!ring) return [];
  const size = cutSizeOf(grid);
  const points = ring.map(({ x, y }) => {
    const spot = { x: exact(x, size.width), y: exact(y, size.height) };
    const corner = nearestCorner([spot], size);
    return { corner, from: fromCorner(spot, corner, size) };
  });
  return [
    {
      kind: 'cut to shape',
      piece: piece.id,
      points,
      cutouts,
    },
  ];
}
