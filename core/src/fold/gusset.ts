import { add, cross, direction, dot, lengthOf, scale, subtract, type Vector } from './vector.ts';
import { compose, flat, frame, seenFrom, type Frame } from './frame.ts';

/** Two edges count as one line when they are within this of each other, as a sine. */
const nearly = 1e-6;

/** The frame that lays a flat face on a corner and two directions in space, as they are in the flat. */
export function frameOnTwoEdges(
  corner: { readonly flat: Vector; readonly placed: Vector },
  one: { readonly flat: Vector; readonly placed: Vector },
  other: { readonly flat: Vector; readonly placed: Vector },
): Frame {
  const turns = cross(one.flat, other.flat).z < 0 ? -1 : 1;
  const out = scale(direction(cross(one.placed, other.placed)), turns);
  const placed = frame(one.placed, cross(out, one.placed), corner.placed);
  const lying = frame(one.flat, cross(flat.out, one.flat), corner.flat);
  return compose(placed, inverse(lying));
}

function inverse(of: Frame): Frame {
  const right = { x: of.right.x, y: of.up.x, z: of.out.x };
  const up = { x: of.right.y, y: of.up.y, z: of.out.y };
  const out = { x: of.right.z, y: of.up.z, z: of.out.z };
  return { right, up, out, at: seenFrom(of, { x: 0, y: 0, z: 0 }) };
}

/** One half of a gusset: the edge that it hangs on, flat and in space, and its neighbour across that edge. */
export interface GussetSide {
  readonly edge: { readonly flat: Vector; readonly placed: Vector };
  /** From the edge into the neighbour, at right angles to the edge. */
  readonly neighbour: Vector;
  /** Whether the half ends lying flat on this neighbour, and how far it has gone there, 0–1. */
  readonly lies: number | undefined;
}

/**
 * The direction in space of the fold in the middle of a gusset: it keeps the angles that it has in the flat
 * to the two edges on which the halves hang. Two directions do; the one is taken in which the middle folds
 * as `sense` says. Where the two edges have come together the gusset is folded flat, and then swings from
 * the middle between the two neighbours onto the one on which it ends.
 */
export function middleOfGusset(
  one: GussetSide,
  other: GussetSide,
  middle: Vector,
  sense: 'valley' | 'mountain',
): Vector {
  const a = one.edge.placed;
  const b = other.edge.placed;
  const cosA = dot(middle, one.edge.flat);
  const cosB = dot(middle, other.edge.flat);
  const normal = cross(a, b);
  const sine = lengthOf(normal);
  if (sine < nearly) return swungFlat(one, other, cosA, sense);
  const between = dot(a, b);
  const along = (cosA - cosB * between) / (sine * sine);
  const beside = (cosB - cosA * between) / (sine * sine);
  const level = add(scale(a, along), scale(b, beside));
  const rise = Math.sqrt(Math.max(0, 1 - dot(level, level)));
  const up = scale(normal, rise / sine);
  // A valley closes its drawn faces on one another: then the middle goes away from them.
  const turns = cross(one.edge.flat, middle).z < 0 ? -1 : 1;
  const candidate = add(level, up);
  const drawnFace = scale(cross(a, candidate), turns);
  const isValley = dot(drawnFace, b) > 0;
  return isValley === (sense === 'valley') ? candidate : subtract(level, up);
}

function swungFlat(
  one: GussetSide,
  other: GussetSide,
  cosine: number,
  sense: 'valley' | 'mountain',
): Vector {
  const axis = one.edge.placed;
  const sine = Math.sqrt(Math.max(0, 1 - cosine * cosine));
  const inward = direction(add(one.neighbour, other.neighbour));
  const start = scale(inward, sense === 'valley' ? -1 : 1);
  const target = one.lies !== undefined ? one.neighbour : other.neighbour;
  const share = one.lies ?? other.lies ?? 0;
  const full = Math.acos(Math.min(1, Math.max(-1, dot(start, target))));
  const side = direction(subtract(target, scale(start, dot(start, target))));
  const swung = add(scale(start, Math.cos(full * share)), scale(side, Math.sin(full * share)));
  return add(scale(axis, cosine), scale(swung, sine));
}
