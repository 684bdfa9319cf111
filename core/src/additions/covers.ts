import { dot, subtract, vector, type PlacedFace } from '../fold/index.ts';
import type { Point } from '../piece/index.ts';
import { onFace, type FaceAxes } from './face-axes.ts';
import { areaOf, boundsOf, cornersOf, cutTo, isConvex, outlineOf } from './outline.ts';

/** A piece that lies close over the outside of a face, from so high up on it. */
export interface Cover {
  readonly piece: string;
  readonly from: number;
}

/** One piece that goes over another. */
export interface Over {
  readonly outer: string;
  readonly inner: string;
}

/** What covers less of a face, in square millimetres, only touches it. */
const leastCover = 2;

/** What is farther off is not over a face, but beside it. */
const close = 6;

/** What may cover faces of a box. */
export interface Covering {
  readonly faces: readonly PlacedFace[];
  readonly pieceOf: (part: string) => string;
  readonly pairs: readonly Over[];
}

/** Pieces that lie close over the outside of a face, and over how much of it. */
export function coversOf(
  face: PlacedFace,
  { axes, outline }: { readonly axes: FaceAxes; readonly outline: readonly Point[] },
  { faces, pieceOf, pairs }: Covering,
): readonly Cover[] {
  const own = pieceOf(face.part);
  const goesOver = (piece: string) =>
    piece !== own && pairs.some(({ outer, inner }) => outer === piece && inner === own);
  const [here = vector(0, 0, 0)] = face.ring;
  return faces.flatMap((other): readonly Cover[] => {
    if (other === face || Math.abs(dot(other.out, face.out)) < 0.999) return [];
    const [there = here] = other.ring;
    const off = -dot(subtract(there, here), face.out);
    const piece = pieceOf(other.part);
    // What jams stands on the other side of what it should go over.
    const mayJam = goesOver(piece) && dot(other.out, face.out) > 0;
    const least = mayJam ? -close : (face.card + other.card) / 2 - 0.05;
    if (off < least || off > close) return [];
    const ring = outlineOf(other.ring.map((place) => onFace(axes, place)));
    const hull = isConvex(ring) ? ring : cornersOf(boundsOf(ring));
    const isOver = areaOf(cutTo(outline, hull, 0)) > leastCover;
    return isOver ? [{ piece, from: Math.min(...ring.map(({ y }) => y)) }] : [];
  });
}
