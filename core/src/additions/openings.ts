import { placeInto, vector, type Frame } from '../fold/index.ts';
import { toMillimetres } from '../length/index.ts';
import {
  derivedFromGrid,
  type Cutout,
  type Piece,
  type Point,
  type ScoreGrid,
  type Spot,
} from '../piece/index.ts';
import { onFace, type FaceAxes } from './face-axes.ts';
import { boundsOf, isWithinOutline, outlineOf, type Bounds } from './outline.ts';
import { narrowed } from './room-at.ts';

/** A hole or a bite in a face, or in its edge; or a straight-sided window, its corners anticlockwise. Millimetres. */
export type Opening =
  | { readonly kind: 'round'; readonly centre: Point; readonly radius: number }
  | { readonly kind: 'straight'; readonly ring: readonly Point[] };

/** An opening with so much more cut away all round it. */
export function widened(opening: Opening, by: number): Opening {
  return opening.kind === 'round'
    ? { ...opening, radius: opening.radius + by }
    : { ...opening, ring: narrowed(opening.ring, -by) };
}

/** The rectangle round an opening. */
export function boundsOfOpening(opening: Opening): Bounds {
  if (opening.kind === 'straight') return boundsOf(opening.ring);
  const { centre, radius } = opening;
  return {
    left: centre.x - radius,
    right: centre.x + radius,
    bottom: centre.y - radius,
    top: centre.y + radius,
  };
}

/** Whether a place is in an opening. */
export function isInOpening(opening: Opening, place: Point): boolean {
  return opening.kind === 'straight'
    ? isWithinOutline(opening.ring, place)
    : Math.hypot(place.x - opening.centre.x, place.y - opening.centre.y) < opening.radius;
}

/** Whether a cutout is a hole, a bite out of an edge or a window. */
export function isOpening(cutout: Cutout): boolean {
  return openingOf(cutout) !== undefined;
}

/** A cutout as an opening of the flat piece, y upwards from its upper edge; undefined where it is none. */
export function openingOf(cutout: Cutout): Opening | undefined {
  switch (cutout.shape) {
    case 'hole':
    case 'notch':
      return {
        kind: 'round',
        centre: placeOf(cutout.centre),
        radius: toMillimetres(cutout.radius),
      };
    case 'trim':
      return cutout.use === 'window'
        ? { kind: 'straight', ring: outlineOf(cutout.corners.map(placeOf)) }
        : undefined;
    case 'corner':
      return undefined;
  }
}

function placeOf({ x, y }: Spot): Point {
  return { x: toMillimetres(x), y: -toMillimetres(y) };
}

/** The same pieces without their holes, round bites and windows: what is worn keeps clear of these by itself. */
export function withoutOpenings(pieces: readonly Piece[]): readonly Piece[] {
  return pieces.map((piece) => ({ ...piece, grid: plainGrid(piece.grid) }));
}

const plainGrid = derivedFromGrid((grid): ScoreGrid => {
  const cutouts = grid.cutouts.filter((cutout) => !isOpening(cutout));
  return cutouts.length === grid.cutouts.length ? grid : { ...grid, cutouts };
});

/** Openings of a piece as they are on one of its faces, whose frame is given. */
export function openingsOn(
  cutouts: readonly Cutout[],
  {
    frame,
    axes,
    outline,
  }: { readonly frame: Frame; readonly axes: FaceAxes; readonly outline: readonly Point[] },
): readonly Opening[] {
  const there = ({ x, y }: Point) => onFace(axes, placeInto(frame, vector(x, y, 0)));
  return cutouts.flatMap((cutout): readonly Opening[] => {
    const opening = openingOf(cutout);
    if (!opening) return [];
    if (opening.kind === 'straight') {
      const ring = outlineOf(opening.ring.map(there));
      return ring.every((place) => isWithinOutline(outline, place, 1e-3))
        ? [{ kind: 'straight', ring }]
        : [];
    }
    const { radius } = opening;
    const centre = there(opening.centre);
    return isWithinOutline(outline, centre, radius) ? [{ kind: 'round', centre, radius }] : [];
  });
}
