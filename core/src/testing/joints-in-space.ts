import {
  closedFaces,
  foldingBox,
  paperFor,
  papersOf,
  toMillimetres,
  cutSizeOf,
  type FoldingBox,
  type PlacedFace,
  type Plan,
  type PlanRequest,
  type Vector,
} from '../index.ts';
import { edgesOf, fromLine, isInRing, type Place } from './reader/index.ts';

/* What lies on what in the closed box, measured in space with arithmetic of its own. */

/** A planned box, ready to be looked at closed. */
export function boxInSpace(plan: Plan, request: PlanRequest): FoldingBox {
  return foldingBox(
    plan.pieces,
    ({ paper }) => paperFor(papersOf(request), paper).thickness,
    plan.assembly,
  );
}

export function dot(a: Vector, b: Vector): number {
  return a.x * b.x + a.y * b.y + a.z * b.z;
}

export function between(a: Vector, b: Vector): Vector {
  return { x: b.x - a.x, y: b.y - a.y, z: b.z - a.z };
}

export function middleOf({ ring }: Pick<PlacedFace, 'ring'>): Vector {
  const mean = (pick: (place: Vector) => number) =>
    ring.reduce((sum, place) => sum + pick(place), 0) / ring.length;
  return { x: mean(({ x }) => x), y: mean(({ y }) => y), z: mean(({ z }) => z) };
}

export type CardSide = 'inside' | 'outside';

/**
 * On which side of a face another lies; the drawn side becomes the inside. None where they are too near, or
 * lean against each other, as the pleats of a gathered top do.
 */
function sideTowards(face: PlacedFace, other: PlacedFace): CardSide | undefined {
  const offs = other.ring.map((place) => dot(between(middleOf(face), place), face.out));
  if (Math.min(...offs) < -0.05 && Math.max(...offs) > 0.05) return undefined;
  const off = offs.reduce((sum, each) => sum + each, 0) / offs.length;
  if (Math.abs(off) < 0.09) return undefined;
  return off > 0 ? 'inside' : 'outside';
}

/** A face that takes part in a joint. */
export interface FaceInSpace {
  readonly piece: string;
  /** Its place among the faces of the piece. */
  readonly face: number;
  readonly role: PlacedFace['role'];
  /** A place well inside it on the flat piece, in millimetres from its upper left corner. */
  readonly spot: Place;
  /** Which of its sides meets its partner, where that can be told. */
  readonly side: CardSide | undefined;
  /** How high its lowest place is in the closed box. */
  readonly lowest: number;
  readonly highest: number;
}

/** A face that lies on another one in the closed box. */
export interface JointInSpace {
  readonly holds: 'glue' | 'tuck';
  readonly face: FaceInSpace;
  readonly on: FaceInSpace;
  /** How far in from the outer edge of what it lies on it is, towards the middle of the box, where both are level. */
  readonly inward: number;
}

/** The place in a flat face that is farthest from its edges, of those on a fine net. */
function wellInside(ring: readonly Place[]): Place {
  const net = (values: readonly number[]) => {
    const [low, high] = [Math.min(...values), Math.max(...values)];
    return Array.from({ length: 31 }, (_, i) => low + ((i + 0.5) / 31) * (high - low));
  };
  const [xs, ys] = [net(ring.map(({ x }) => x)), net(ring.map(({ y }) => y))];
  const far = (place: Place) => Math.min(...edgesOf(ring).map((edge) => fromLine(edge, place)));
  const [best] = xs
    .flatMap((x) => ys.map((y) => ({ x, y })))
    .filter((place) => isInRing(ring, place))
    .map((place) => ({ place, far: far(place) }))
    .sort((a, b) => b.far - a.far);
  if (!best) throw new Error('A face without an inside');
  return best.place;
}

/** How much nearer to the middle of the box a face ends than the one that it lies on, on the side where that hangs. */
function inwardOf(face: PlacedFace, on: PlacedFace): number {
  const { x, y } = middleOf(on);
  const out = Math.abs(x) > Math.abs(y) ? { x: Math.sign(x), y: 0 } : { x: 0, y: Math.sign(y) };
  const reach = ({ ring }: PlacedFace) =>
    Math.max(...ring.map((place) => place.x * out.x + place.y * out.y));
  return reach(on) - reach(face);
}

/** Everything that is glued or tucked in the closed box. */
export function jointsInSpace(plan: Plan, box: FoldingBox): readonly JointInSpace[] {
  const placed = closedFaces(box);
  const found = (ref: Plan['assembly']['stacks'][number]['face']) => {
    const part = box.parts.find(({ part: { id } }) => id === ref.part);
    const at = part?.pattern.faceAt(ref.spot);
    const face = placed.find((each) => each.part === ref.part && each.face === at);
    if (!part || !face) throw new Error('A face of the assembly is not in the box');
    const corners = part.pattern.faces[face.face]?.corners ?? [];
    const ring = corners.flatMap((corner) => part.pattern.corners[corner] ?? []);
    return { piece: part.piece.id, face, spot: wellInside(ring.map(({ x, y }) => ({ x, y: -y }))) };
  };
  const described = (one: ReturnType<typeof found>, other: ReturnType<typeof found>) => ({
    piece: one.piece,
    face: one.face.face,
    role: one.face.role,
    spot: one.spot,
    side: sideTowards(one.face, other.face),
    lowest: Math.min(...one.face.ring.map(({ z }) => z)),
    highest: Math.max(...one.face.ring.map(({ z }) => z)),
  });
  return plan.assembly.stacks.flatMap(({ face, on, holds }): readonly JointInSpace[] => {
    if (holds === 'rest') return [];
    const [one, other] = [found(face), found(on)];
    return [
      {
        holds,
        face: described(one, other),
        on: described(other, one),
        inward: inwardOf(one.face, other.face),
      },
    ];
  });
}

/** The size of a flat piece in millimetres. */
export function flatSize({ grid }: Plan['pieces'][number]): { width: number; height: number } {
  const { width, height } = cutSizeOf(grid);
  return { width: toMillimetres(width), height: toMillimetres(height) };
}
