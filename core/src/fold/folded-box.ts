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

const right = Math.PI - 1e-6;

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
  const unstacked = assembly.parts.map((part): Unstacked => {
    const piece = byId.get(part.piece);
    if (!piece) throw new Error(`No piece ${part.piece} for ${part.id}`);
    const folded = foldPart(part, creasePattern(piece));
    return { part, piece, card: toMillimetres(thicknessOf(piece)), folded };
  });
  const { lifts, heaps } = stacking(unstacked, assembly);
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

/** A part as it lies folded, with its faces that are folded right over. */
interface FoldedPart extends Pick<FoldingPart, 'pattern' | 'root' | 'closed' | 'faces'> {
  readonly over: readonly Hanging[];
}

/** How each part was folded last: a box is made ready many times over while it is planned, mostly of the same parts. */
const lastFolded = new WeakMap<Part, FoldedPart>();

function foldPart(part: Part, pattern: CreasePattern): FoldedPart {
  const before = lastFolded.get(part);
  if (before?.pattern === pattern) return before;
  const root = pattern.faceAt(part.root);
  const closed = frameOf(part, pattern);
  const faces = poseFaces(pattern, root, foldedTo(pattern.stages)).map((each) =>
    compose(closed, each),
  );
  const over = hangings(pattern, root).filter(({ crease }) => Math.abs(crease.angle) >= right);
  const folded = { pattern, root, closed, faces, over };
  lastFolded.set(part, folded);
  return folded;
}

/** The frame of a part that lies with its root's spot and axes as the assembly says. */
function frameOf(part: Part, pattern: CreasePattern): Frame {
  const turned = frame(part.right, part.up, origin);
  const spot = placeInto(turned, pattern.placeOf(part.root));
  return shifted(turned, add(part.at, scale(spot, -1)));
}

/** A part whose faces are not stacked yet. */
interface Unstacked extends Pick<FoldingPart, 'part' | 'piece' | 'card'> {
  readonly folded: FoldedPart;
}

interface Found {
  readonly part: number;
  readonly face: number;
}

/** Where each reference to a face led last. */
const lastFound = new WeakMap<
  FaceRef,
  { readonly pattern: CreasePattern; readonly face: number }
>();

function finder(parts: readonly Unstacked[]): (ref: FaceRef) => Found {
  const places = new Map(parts.map(({ part }, i) => [part.id, i]));
  return (ref) => {
    const part = places.get(ref.part);
    const pattern = parts[part ?? -1]?.folded.pattern;
    if (part === undefined || !pattern) throw new Error(`No part ${ref.part}`);
    const before = lastFound.get(ref);
    if (before?.pattern === pattern) return { part, face: before.face };
    const face = pattern.faceAt(ref.spot);
    lastFound.set(ref, { pattern, face });
    return { part, face };
  };
}

/** A face that lies on another one: which way that pushes it, how much card lies between their middles, and how far it is off it as they are folded. */
interface Rest {
  readonly face: Found;
  readonly on: Found;
  readonly out: Vector;
  readonly cards: number;
  readonly off: number;
}

/**
 * How far faces are pushed aside by what they lie on. A face folded right over lies on the one that it
 * hangs on; a stacked one on its partners.
 */
function stacking(
  parts: readonly Unstacked[],
  assembly: Assembly,
): {
  readonly lifts: readonly (readonly Vector[])[];
  readonly heaps: readonly (readonly number[])[];
} {
  const lifts = parts.map(({ folded }) => folded.faces.map(() => origin));
  const heaps = parts.map(({ folded }) => folded.faces.map(() => 0));
  const rests = restsOf(parts, assembly);
  // Stacks are a few layers high, and each pass settles one.
  for (let pass = 0, isSettled = false; pass < 6 && !isSettled; pass++) {
    isSettled = true;
    for (const { face, on, out, cards, off } of rests) {
      const lowerLift = lifts[on.part]?.[on.face] ?? origin;
      const row = lifts[face.part] ?? [];
      const has = row[face.face] ?? origin;
      const missing = dot(lowerLift, out) + cards - dot(has, out) - off;
      if (missing > 0) {
        row[face.face] = add(has, scale(out, missing));
        isSettled = false;
      }
      const heap = heaps[face.part] ?? [];
      const heaped = (heaps[on.part]?.[on.face] ?? 0) + cards;
      if (heaped > (heap[face.face] ?? 0)) {
        heap[face.face] = heaped;
        isSettled = false;
      }
    }
  }
  return { lifts, heaps };
}

function restsOf(parts: readonly Unstacked[], { stacks }: Assembly): readonly Rest[] {
  const find = finder(parts);
  const pairs = stacks.map(({ face, on, side }) => ({
    face: find(face),
    on: find(on),
    side: side === 'inside' ? 1 : -1,
  }));
  const isStacked = (part: number, face: number) =>
    pairs.some((pair) => pair.face.part === part && pair.face.face === face);
  const turnedOver = parts.flatMap(({ folded: { over } }, part) =>
    over
      .filter(({ face }) => !isStacked(part, face))
      .map(({ face, from, crease }) => ({
        face: { part, face },
        on: { part, face: from },
        side: Math.sign(crease.angle),
      })),
  );
  return [...pairs, ...turnedOver].flatMap(({ face, on, side }): readonly Rest[] => {
    const [lower, upper] = [parts[on.part], parts[face.part]];
    const frameOfLower = lower?.folded.faces[on.face];
    if (!lower || !upper || !frameOfLower) return [];
    const out = scale(frameOfLower.out, side);
    const cards = (lower.card + upper.card) / 2;
    const off = dot(out, cornerOf(upper.folded, face.face)) - dot(out, cornerOf(lower.folded, on.face));
    return [{ face, on, out, cards, off }];
  });
}

/** A corner of a face as that lies folded. */
function cornerOf({ pattern, faces, closed }: FoldedPart, face: number): Vector {
  const corner = pattern.corners[pattern.faces[face]?.corners[0] ?? 0] ?? origin;
  return placeInto(faces[face] ?? closed, corner);
}

/** A face with the crease that it hangs on. */
interface Hanging {
  readonly face: number;
  readonly from: number;
  readonly crease: CreasePattern['creases'][number];
}

/** Faces in the order in which they are reached from the root, with the crease that each hangs on. */
function hangings(pattern: CreasePattern, root: number): readonly Hanging[] {
  const seen = new Set([root]);
  const waiting = [root];
  const found: Hanging[] = [];
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
