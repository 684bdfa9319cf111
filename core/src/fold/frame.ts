import { add, cross, dot, scale, subtract, vector, type Vector } from './vector.ts';

/**
 * Where a flat thing lies in space: its own axes and origin as they stand there. A point (x, y, z) of the
 * thing is at `at + x·right + y·up + z·out`. The axes are at right angles and of length one.
 */
export interface Frame {
  readonly right: Vector;
  readonly up: Vector;
  readonly out: Vector;
  readonly at: Vector;
}

export const flat: Frame = {
  right: vector(1, 0, 0),
  up: vector(0, 1, 0),
  out: vector(0, 0, 1),
  at: vector(0, 0, 0),
};

export function frame(right: Vector, up: Vector, at: Vector): Frame {
  return { right, up, out: cross(right, up), at };
}

/** A direction of the thing as it stands in space. */
export function turnInto(into: Frame, v: Vector): Vector {
  return add(add(scale(into.right, v.x), scale(into.up, v.y)), scale(into.out, v.z));
}

/** A point of the thing as it stands in space. */
export function placeInto(into: Frame, point: Vector): Vector {
  return add(into.at, turnInto(into, point));
}

/** The frame of a thing that is placed by `inner` in a thing that is placed by `outer`. */
export function compose(outer: Frame, inner: Frame): Frame {
  return {
    right: turnInto(outer, inner.right),
    up: turnInto(outer, inner.up),
    out: turnInto(outer, inner.out),
    at: placeInto(outer, inner.at),
  };
}

export function shifted(by: Frame, shift: Vector): Frame {
  return { ...by, at: add(by.at, shift) };
}

/** The turn by an angle in radians about a line through a point, anticlockwise seen against `axis`. */
export function turnAbout(through: Vector, axis: Vector, angle: number): Frame {
  const cos = Math.cos(angle);
  const sin = Math.sin(angle);
  const turned = (v: Vector): Vector =>
    add(add(scale(v, cos), scale(cross(axis, v), sin)), scale(axis, dot(axis, v) * (1 - cos)));
  return {
    right: turned(flat.right),
    up: turned(flat.up),
    out: turned(flat.out),
    at: subtract(through, turned(through)),
  };
}

/** A point in space as the thing in the frame sees it. */
export function seenFrom(from: Frame, point: Vector): Vector {
  const away = subtract(point, from.at);
  return { x: dot(away, from.right), y: dot(away, from.up), z: dot(away, from.out) };
}

/** Where a thing comes to be that goes along with another one, as that comes from one frame to another. */
export function carriedAlong(
  thing: Frame,
  { from, to }: { readonly from: Frame; readonly to: Frame },
): Frame {
  const turned = (v: Vector) =>
    turnInto(to, vector(dot(v, from.right), dot(v, from.up), dot(v, from.out)));
  return {
    right: turned(thing.right),
    up: turned(thing.up),
    out: turned(thing.out),
    at: placeInto(to, seenFrom(from, thing.at)),
  };
}
