import { toMillimetres, type Length } from '../length/index.ts';
import type { CellRole, Piece } from '../piece/index.ts';
import type { Assembly, FaceRef, Part } from './assembly.ts';
import { creasePattern, type CreasePattern } from './crease-pattern.ts';
import { compose, frame, placeInto, shifted, type Frame } from './frame.ts';
import { foldedTo, poseFaces } from './pose.ts';
import { add, dot, origin, scale, vector, type Vector } from './vector.ts';

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

const folded = Math.PI - 1e-6;

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
  const patterns = new Map(pieces.map((piece) => [piece.id, creasePattern(piece)]));
  const parts = assembly.parts.map((part): FoldingPart => {
    const piece = pieces.find(({ id }) => id === part.piece);
    const pattern = patterns.get(part.piece);
    if (!piece || !pattern) throw new Error(`No piece ${part.piece} for ${part.id}`);
    const root = pattern.faceAt(part.root);
    const closed = frameOf(part, pattern);
    const faces = poseFaces(pattern, root, foldedTo(pattern.stages)).map((each) =>
      compose(closed, each),
    );
    const card = toMillimetres(thicknessOf(piece));
    return { part, piece, pattern, root, card, closed, faces, lifts: [], heaps: [] };
  });
  const { lifts, heaps } = stacking(parts, assembly);
  const last = parts.map(({ part, pattern }) => Math.max(part.joins + 1, pattern.stages));
  return {
    parts: parts.map((part, i) => ({ ...part, lifts: lifts[i] ?? [], heaps: heaps[i] ?? [] })),
    assembly,
    end: Math.max(assembly.giftEnters + 1, ...last),
  };
}

/** The frame of a part that lies with its root's spot and axes as the assembly says. */
function frameOf(part: Part, pattern: CreasePattern): Frame {
  const turned = frame(part.right, part.up, origin);
  const spot = placeInto(turned, pattern.placeOf(part.root));
  return shifted(turned, add(part.at, scale(spot, -1)));
}

interface Found {
  readonly part: number;
  readonly face: number;
}

function finder(parts: readonly FoldingPart[]): (ref: FaceRef) => Found {
  return (ref) => {
    const part = parts.findIndex((each) => each.part.id === ref.part);
    const found = parts[part];
    if (!found) throw new Error(`No part ${ref.part}`);
    return { part, face: found.pattern.faceAt(ref.spot) };
  };
}

/**
 * How far faces are pushed aside by what they lie on. A face folded right over lies on the one that it
 * hangs on; a stacked one on its partners.
 */
function stacking(
  parts: readonly FoldingPart[],
  assembly: Assembly,
): {
  readonly lifts: readonly (readonly Vector[])[];
  readonly heaps: readonly (readonly number[])[];
} {
  const lifts = parts.map(({ faces }) => faces.map(() => origin));
  const heaps = parts.map(({ faces }) => faces.map(() => 0));
  const find = finder(parts);
  const rests: { face: Found; on: Found; side: number }[] = assembly.stacks.map(
    ({ face, on, side }) => ({
      face: find(face),
      on: find(on),
      side: side === 'inside' ? 1 : -1,
    }),
  );
  const isStacked = (part: number, face: number) =>
    rests.some((rest) => rest.face.part === part && rest.face.face === face);
  parts.forEach(({ pattern, root }, part) => {
    for (const { face, from, crease } of hangings(pattern, root))
      if (Math.abs(crease.angle) >= folded && !isStacked(part, face))
        rests.push({
          face: { part, face },
          on: { part, face: from },
          side: Math.sign(crease.angle),
        });
  });
  // Stacks are a few layers high, and each pass settles one.
  for (let pass = 0; pass < 6; pass++)
    for (const { face, on, side } of rests) {
      const lower = parts[on.part];
      const upper = parts[face.part];
      const frameOfLower = lower?.faces[on.face];
      const lowerLift = lifts[on.part]?.[on.face];
      const row = lifts[face.part];
      if (!lower || !upper || !frameOfLower || !lowerLift || !row) continue;
      const out = scale(frameOfLower.out, side);
      const cards = (lower.card + upper.card) / 2;
      const wanted = dot(lowerLift, out) + cards;
      const has = row[face.face] ?? origin;
      const missing =
        wanted - dot(has, out) - standsOff({ lower, on: on.face, upper, face: face.face, out });
      if (missing > 0) row[face.face] = add(has, scale(out, missing));
      const heap = heaps[face.part];
      if (heap)
        heap[face.face] = Math.max(heap[face.face] ?? 0, (heaps[on.part]?.[on.face] ?? 0) + cards);
    }
  return { lifts, heaps };
}

/** How far a face stands off another one already, along a direction. */
function standsOff({
  lower,
  on,
  upper,
  face,
  out,
}: {
  readonly lower: FoldingPart;
  readonly on: number;
  readonly upper: FoldingPart;
  readonly face: number;
  readonly out: Vector;
}): number {
  const cornerOf = (part: FoldingPart, at: number) => {
    const corner = part.pattern.corners[part.pattern.faces[at]?.corners[0] ?? 0] ?? origin;
    return placeInto(part.faces[at] ?? part.closed, corner);
  };
  return dot(out, cornerOf(upper, face)) - dot(out, cornerOf(lower, on));
}

/** Faces in the order in which they are reached from the root, with the crease that each hangs on. */
function hangings(pattern: CreasePattern, root: number) {
  const seen = new Set([root]);
  const waiting = [root];
  const found: { face: number; from: number; crease: CreasePattern['creases'][number] }[] = [];
  for (let from = waiting.shift(); from !== undefined; from = waiting.shift())
    for (const crease of pattern.around[from] ?? []) {
      const face = crease.left === from ? crease.right : crease.left;
      if (seen.has(face)) continue;
      seen.add(face);
      waiting.push(face);
      found.push({ face, from, crease });
    }
  return found;
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
