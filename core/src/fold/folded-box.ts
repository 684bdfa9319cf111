import { toMillimetres, type Length } from '../length/index.ts';
import type { CellRole, Piece } from '../piece/index.ts';
import type { Assembly, Part } from './assembly.ts';
import { creasePattern, type CreasePattern } from './crease-pattern.ts';
import { foldPart } from './folded-part.ts';
import { placeInto, shifted, type Frame } from './frame.ts';
import { stackFaces } from './stacking.ts';
import { origin, vector, type Vector } from './vector.ts';

/** A part of a box ready to fold. */
export interface FoldingPart {
  readonly part: Part;
  readonly piece: Piece;
  readonly pattern: CreasePattern;
  /** The face that the others fold about. */
  readonly root: number;
  /** Thickness of its card in millimetres. */
  readonly card: number;
  /** Where the whole part lies in the closed box. */
  readonly closed: Frame;
  /** The place of each face in the closed box, before stacking. */
  readonly faces: readonly Frame[];
  /** How far each face is pushed aside there by the card that it lies on. */
  readonly lifts: readonly Vector[];
  /** How high the card under each face is heaped, in millimetres: a lift needs no more. */
  readonly heaps: readonly number[];
}

/** A box ready to fold: what every drawing and every check of it in space starts from. */
export interface FoldingBox {
  readonly parts: readonly FoldingPart[];
  readonly assembly: Assembly;
  /** When it is closed, counted in stages. */
  readonly end: number;
}

/** A face of the box in space. */
export interface PlacedFace {
  readonly part: string;
  readonly face: number;
  readonly role: CellRole;
  /** Middle of the card. */
  readonly ring: readonly Vector[];
  readonly holes: readonly (readonly Vector[])[];
  /** Out of the drawn face. */
  readonly out: Vector;
  readonly card: number;
}

type Thicknesses = (piece: Piece) => Length;

/**
 * Makes a box ready to fold.
 * @throws Error when its assembly names a piece or a face that is not there.
 */
export function foldingBox(
  pieces: readonly Piece[],
  thicknessOf: Thicknesses,
  assembly: Assembly,
): FoldingBox {
  const byId = new Map(pieces.map((piece) => [piece.id, piece]));
  const unstacked = assembly.parts.map((part) => {
    const piece = byId.get(part.piece);
    if (!piece) throw new Error(`No piece ${part.piece} for ${part.id}`);
    const folded = foldPart(part, creasePattern(piece));
    return { id: part.id, part, piece, card: toMillimetres(thicknessOf(piece)), folded };
  });
  const { lifts, heaps } = stackFaces(unstacked, assembly);
  const parts = unstacked.map(({ part, piece, card, folded }, i): FoldingPart => {
    const { pattern, root, closed, faces } = folded;
    const [lift, heap] = [lifts[i] ?? [], heaps[i] ?? []];
    return { part, piece, pattern, root, card, closed, faces, lifts: lift, heaps: heap };
  });
  const last = parts.map(({ part, pattern }) => Math.max(part.joins + 1, pattern.stages));
  return {
    parts,
    assembly,
    end: Math.max(assembly.giftEnters + 1, ...last),
  };
}

/** The faces of a part as they lie in these frames. */
export function placeFaces(part: FoldingPart, frames: readonly Frame[]): readonly PlacedFace[] {
  const { pattern } = part;
  return pattern.faces.map((face, i): PlacedFace => {
    const here = frames[i] ?? part.closed;
    const place = (corner: number) => placeInto(here, pattern.corners[corner] ?? vector(0, 0, 0));
    return {
      part: part.part.id,
      face: i,
      role: face.role,
      ring: face.corners.map(place),
      holes: face.holes.map((hole) => hole.map(place)),
      out: here.out,
      card: part.card,
    };
  });
}

/** Placed once for each box, which never changes. */
const placed = new WeakMap<FoldingBox, readonly PlacedFace[]>();

/** The faces of the closed box, each where the card under it puts it. */
export function closedFaces(box: FoldingBox): readonly PlacedFace[] {
  const before = placed.get(box);
  if (before) return before;
  const faces = box.parts.flatMap((part) =>
    placeFaces(
      part,
      part.faces.map((each, i) => shifted(each, part.lifts[i] ?? origin)),
    ),
  );
  placed.set(box, faces);
  return faces;
}
