import type { Part } from './assembly.ts';
import type { Crease, CreasePattern } from './crease-pattern.ts';
import { compose, frame, placeInto, shifted, type Frame } from './frame.ts';
import { foldedTo, poseFaces } from './pose.ts';
import { add, dot, origin, scale, type Vector } from './vector.ts';

/** A part as it lies folded in the closed box, before what it lies on pushes its faces aside. */
export interface FoldedPart {
  readonly pattern: CreasePattern;
  /** The face that the others fold about. */
  readonly root: number;
  readonly closed: Frame;
  /** The place of each face. */
  readonly faces: readonly Frame[];
  /** Its faces that are folded right over, onto the ones that they hang on. */
  readonly over: readonly FoldedOver[];
}

/** How a face lies on another one: which way that pushes it, and how far off it is as both are folded. Millimetres. */
export interface Lying {
  readonly out: Vector;
  readonly off: number;
}

/** A face with the one of the same part that it is folded onto. */
export interface FoldedOver extends Lying {
  readonly face: number;
  readonly on: number;
}

/** How each part was folded last: a box is made ready many times over while it is planned, mostly of the same parts. */
const lastFolded = new WeakMap<Part, FoldedPart>();

/** Folds a part and puts it in its place. */
export function foldPart(part: Part, pattern: CreasePattern): FoldedPart {
  const before = lastFolded.get(part);
  if (before?.pattern === pattern) return before;
  const root = pattern.faceAt(part.root);
  const closed = frameOf(part, pattern);
  const faces = poseFaces(pattern, root, foldedTo(pattern.stages)).map((each) =>
    compose(closed, each),
  );
  const flat = { pattern, root, closed, faces };
  const folded = { ...flat, over: foldedOver(flat) };
  lastFolded.set(part, folded);
  return folded;
}

/** The frame of a part that lies with its root's spot and axes as the assembly says. */
function frameOf(part: Part, pattern: CreasePattern): Frame {
  const turned = frame(part.right, part.up, origin);
  const spot = placeInto(turned, pattern.placeOf(part.root));
  return shifted(turned, add(part.at, scale(spot, -1)));
}

type Places = Pick<FoldedPart, 'pattern' | 'closed' | 'faces'>;

/** A face of a folded part. */
export interface FaceOfPart {
  readonly of: Places;
  readonly face: number;
}

/** How one face lies on the inside of another one, or on its outside. */
export function lyingOn(upper: FaceOfPart, lower: FaceOfPart, side: 'inside' | 'outside'): Lying {
  const { out: inwards } = lower.of.faces[lower.face] ?? lower.of.closed;
  const out = scale(inwards, side === 'inside' ? 1 : -1);
  return { out, off: dot(out, cornerOf(upper)) - dot(out, cornerOf(lower)) };
}

/** A corner of a face as that lies folded. */
function cornerOf({ of: { pattern, faces, closed }, face }: FaceOfPart): Vector {
  const corner = pattern.corners[pattern.faces[face]?.corners[0] ?? 0] ?? origin;
  return placeInto(faces[face] ?? closed, corner);
}

/** What is turned farther than this, in radians, is folded right over. */
const rightOver = Math.PI - 1e-6;

function foldedOver(part: Places & Pick<FoldedPart, 'root'>): readonly FoldedOver[] {
  return hangings(part).flatMap(({ face, from, crease: { angle } }): readonly FoldedOver[] => {
    if (Math.abs(angle) < rightOver) return [];
    const side = angle > 0 ? 'inside' : 'outside';
    const lying = lyingOn({ of: part, face }, { of: part, face: from }, side);
    return [{ face, on: from, ...lying }];
  });
}

/** Faces in the order in which they are reached from the root, with the crease that each hangs on. */
function hangings({ pattern, root }: Pick<FoldedPart, 'pattern' | 'root'>) {
  const seen = new Set([root]);
  const waiting = [root];
  const found: { readonly face: number; readonly from: number; readonly crease: Crease }[] = [];
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
