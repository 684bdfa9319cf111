import { placeInto, vector, type Frame } from '../fold/index.ts';
import { toMillimetres } from '../length/index.ts';
import {
  derivedFromGrid,
  type CellRole,
  type Cutout,
  type Piece,
  type Point,
  type ScoreGrid,
} from '../piece/index.ts';
import { onFace, type FaceAxes } from './face-axes.ts';
import { isWithinOutline } from './outline.ts';

/** A hole or a bite in a face, or in its edge. */
export interface Opening {
  readonly centre: Point;
  readonly radius: number;
}

/** What is wide enough to be worn on: a tab or a seam is covered, a rim lies inside. */
export const wornOnRoles: ReadonlySet<CellRole> = new Set([
  'floor',
  'wall',
  'lid',
  'flap',
  'end',
  'seat',
]);

/** Whether a cutout is a hole or a bite out of an edge. */
export function isRound(cutout: Cutout): cutout is Extract<Cutout, { shape: 'hole' | 'notch' }> {
  return cutout.shape === 'hole' || cutout.shape === 'notch';
}

/** The same pieces without their holes and round bites: what is worn keeps clear of these by itself. */
export function withoutOpenings(pieces: readonly Piece[]): readonly Piece[] {
  return pieces.map((piece) => ({ ...piece, grid: plainGrid(piece.grid) }));
}

const plainGrid = derivedFromGrid((grid): ScoreGrid => ({
  ...grid,
  cutouts: grid.cutouts.filter((cutout) => !isRound(cutout)),
  // How a tab is tapered is nothing to what is worn.
  tapers: grid.tapers.filter(({ cell }) =>
    wornOnRoles.has(grid.roles[Math.floor(cell.row)]?.[Math.floor(cell.column)] ?? 'tab'),
  ),
}));

/** Holes and round bites of a piece as they are on one of its faces, whose frame is given. */
export function openingsOn(
  cutouts: readonly Cutout[],
  {
    frame,
    axes,
    outline,
  }: { readonly frame: Frame; readonly axes: FaceAxes; readonly outline: readonly Point[] },
): readonly Opening[] {
  return cutouts.filter(isRound).flatMap(({ centre, radius }): readonly Opening[] => {
    const place = placeInto(frame, vector(toMillimetres(centre.x), -toMillimetres(centre.y), 0));
    const there = onFace(axes, place);
    const reach = toMillimetres(radius);
    return isWithinOutline(outline, there, reach) ? [{ centre: there, radius: reach }] : [];
  });
}
