import { cutSizeOf } from '../piece/index.ts';
import { toMillimetres } from '../length/index.ts';
import { placeFaces, type FoldingBox, type FoldingPart, type PlacedFace } from './folded-box.ts';
import {
  carriedAlong,
  compose,
  frame,
  placeInto,
  shifted,
  turnAbout,
  turnInto,
  type Frame,
} from './frame.ts';
import { foldedTo, poseFaces, progressOf, type FoldProgress } from './pose.ts';
import {
  add,
  cross,
  direction,
  dot,
  lengthOf,
  origin,
  scale,
  subtract,
  vector,
  type Vector,
} from './vector.ts';

/** A box at some time of its making, from flat pieces on the mat to the closed box. */
export interface Scene {
  readonly faces: readonly PlacedFace[];
  /** How far the gift has come into its place, 0–1; at 0 it is not there yet. */
  readonly gift: number;
}

/** Room between two pieces on the mat, in millimetres. */
const between = 18;

/** The frame of a part that lies flat on the mat, drawn face up, the spot that is placed at `at`. */
function lyingAt(part: FoldingPart, at: Vector): Frame {
  const flat = frame(vector(1, 0, 0), vector(0, 1, 0), origin);
  const spot = placeInto(flat, part.pattern.placeOf(part.part.root));
  return shifted(flat, subtract(at, spot));
}

/** Where the parts lie while they are flat: the first where it will stand, the others beside it; what is worn lies on them. */
export function lyingFrames(box: FoldingBox): readonly Frame[] {
  let left = 0;
  let right = 0;
  let behind = 0;
  return box.parts.map((part, i) => {
    if (part.part.worn) return part.closed;
    const { width, height } = cutSizeOf(part.piece.grid);
    const [wide, tall] = [toMillimetres(width), toMillimetres(height)];
    const ground = -part.card / 2;
    // The middle of the card at this x, and so far behind the middle of the mat.
    const centred = (x: number, y = 0) => {
      const spot = part.pattern.placeOf(part.part.root);
      return lyingAt(part, vector(x - wide / 2 + spot.x, y + tall / 2 + spot.y, ground));
    };
    // A long strip lies behind the others, where it is in view.
    if (part.part.isHandle) return centred(0, behind + between + tall / 2);
    if (i === 0) {
      left = -wide / 2;
      right = wide / 2;
      behind = tall / 2;
      const stays = dot(part.closed.out, vector(0, 0, 1)) > 0.999;
      return stays ? part.closed : centred(0);
    }
    const toRight = right <= -left;
    const x = toRight ? right + between + wide / 2 : left - between - wide / 2;
    if (toRight) right += between + wide;
    else left -= between + wide;
    return centred(x);
  });
}

/** The turn that brings one set of axes onto another, as an axis and an angle. */
function turnBetween(from: Frame, to: Frame): { readonly axis: Vector; readonly angle: number } {
  const pairs = [
    [from.right, to.right],
    [from.up, to.up],
    [from.out, to.out],
  ] as const;
  const trace = pairs.reduce((sum, [a, b]) => sum + dot(a, b), 0);
  const angle = Math.acos(Math.min(1, Math.max(-1, (trace - 1) / 2)));
  const axis = pairs.reduce<Vector>((sum, [a, b]) => add(sum, cross(a, b)), origin);
  if (lengthOf(axis) > 1e-9) return { axis: direction(axis), angle };
  if (angle < 1e-9) return { axis: vector(0, 0, 1), angle: 0 };
  // Half a turn: the axis is what both share.
  const shared = pairs.map(([a, b]) => add(a, b)).sort((a, b) => lengthOf(b) - lengthOf(a))[0];
  return { axis: direction(shared ?? vector(0, 1, 0)), angle };
}

function eased(share: number): number {
  return share * share * (3 - 2 * share);
}

/** The frame a share of the way from one to another, about the spot that is placed, over an arc. */
function onTheWay(part: FoldingPart, from: Frame, to: Frame, share: number): Frame {
  if (share <= 0) return from;
  if (share >= 1) return to;
  const spot = part.pattern.placeOf(part.part.root);
  const start = placeInto(from, spot);
  const end = placeInto(to, spot);
  const { axis, angle } = turnBetween(from, to);
  const turned = turnAbout(origin, axis, angle * share);
  const high = Math.min(90, lengthOf(subtract(end, start)) * 0.5);
  const lift = vector(0, 0, high * 4 * share * (1 - share));
  const at = add(add(scale(start, 1 - share), scale(end, share)), lift);
  const right = turnInto(turned, from.right);
  const up = turnInto(turned, from.up);
  const placed = frame(right, up, origin);
  return shifted(placed, subtract(at, placeInto(placed, spot)));
}

/** How a part is shown on the way to the closed box. */
export interface PartPose {
  /** Where it lies as a whole. */
  readonly place: Frame;
  /** How far each of its folds has gone. */
  readonly progress: FoldProgress;
  /** How far its faces have come to lie on the card under them, 0–1. */
  readonly settled: number;
  /** Drawn away from its place by this much. */
  readonly away?: Vector;
}

/** Where a part is as a whole when it has come a share of its way: from the mat, say, into the box. */
export function partPlace(
  part: FoldingPart,
  { from, to, share }: { readonly from: Frame; readonly to: Frame; readonly share: number },
): Frame {
  return onTheWay(part, from, to, eased(share));
}

/** The faces of a part that is folded so far, in its place. */
export function posePart(part: FoldingPart, pose: PartPose): readonly PlacedFace[] {
  const { place, progress, settled, away = origin } = pose;
  const moved = shifted(place, away);
  const frames = poseFaces(part.pattern, part.root, progress).map((each, face) => {
    const lift = part.lifts[face] ?? origin;
    // Lifts are known in the closed box; on the way they turn with the part.
    const turned = turnInto(place, inFrame(part.closed, lift));
    return shifted(compose(moved, each), scale(turned, settled));
  });
  return placeFaces(part, frames);
}

/** The part that wears another one; undefined for what is worn by none. */
export function wearerOf(
  box: FoldingBox,
  { part: { worn } }: FoldingPart,
): FoldingPart | undefined {
  return worn && box.parts.find(({ part: { id } }) => id === worn.part);
}

/** How something that is worn is shown, while the part that wears it is: it moves with its face. */
export function poseWorn(part: FoldingPart, wearer: FoldingPart, pose: PartPose): PartPose {
  const { worn } = part.part;
  const face = worn ? wearer.pattern.faceAt(worn.spot) : wearer.root;
  const from = wearer.faces[face] ?? wearer.closed;
  const to = compose(
    pose.place,
    poseFaces(wearer.pattern, wearer.root, pose.progress)[face] ?? pose.place,
  );
  return { ...pose, place: carriedAlong(part.closed, { from, to }), settled: 1 };
}

/** How far the gift has come into its place at a time, 0–1. */
export function giftAt({ assembly }: FoldingBox, time: number): number {
  return eased(progressOf(assembly.giftEnters, time));
}

/**
 * The box at a time counted in stages, 0 flat to `box.end` closed, with what opens drawn away by a share
 * of its way, 0–1.
 */
export function sceneAt(box: FoldingBox, time: number, open: number): Scene {
  const lying = lyingFrames(box);
  const poseOf = (part: FoldingPart): PartPose => ({
    place: partPlace(part, {
      from: lying[box.parts.indexOf(part)] ?? part.closed,
      to: part.closed,
      share: progressOf(part.part.joins, time),
    }),
    progress: foldedTo(time),
    settled: progressOf(part.pattern.stages - 1, time),
    away: scale(part.part.opens ?? origin, open),
  });
  const faces = box.parts.flatMap((part) => {
    const wearer = wearerOf(box, part);
    return posePart(part, wearer ? poseWorn(part, wearer, poseOf(wearer)) : poseOf(part));
  });
  return { faces, gift: giftAt(box, time) };
}

/** A direction as it is seen from a frame. */
function inFrame(of: Frame, v: Vector): Vector {
  return vector(dot(v, of.right), dot(v, of.up), dot(v, of.out));
}
