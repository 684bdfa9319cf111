import {
  add,
  cross,
  direction,
  dot,
  scale,
  subtract,
  vector,
  type PlacedFace,
  type Vector,
} from '../fold/index.ts';
import type { Point } from '../piece/index.ts';

/** How the outside of a face is measured: as its inside is drawn, with `up` as the box stands. */
export interface FaceAxes {
  readonly right: Vector;
  readonly up: Vector;
  /** Out of the drawn side. */
  readonly out: Vector;
  /** Where x and y are none. */
  readonly at: Vector;
}

/** How a placed face is measured. */
export function axesOf({ out, ring }: PlacedFace): FaceAxes {
  const high = vector(0, 0, 1);
  const level = Math.abs(dot(out, high)) > 0.97;
  const up = level
    ? direction(subtract(vector(0, 1, 0), scale(out, dot(out, vector(0, 1, 0)))))
    : direction(subtract(high, scale(out, dot(out, high))));
  return axesWith(up, { out, ring });
}

/** How a face is measured that hangs on a fold which runs through this place: with `up` away from that, as all like it are. */
export function axesFromFold(fold: Vector, { out, ring }: PlacedFace): FaceAxes {
  const middle = scale(
    ring.reduce((sum, place) => add(sum, place)),
    1 / ring.length,
  );
  const away = subtract(middle, fold);
  return axesWith(direction(subtract(away, scale(out, dot(out, away)))), { out, ring });
}

function axesWith(up: Vector, { out, ring }: Pick<PlacedFace, 'out' | 'ring'>): FaceAxes {
  const [first = vector(0, 0, 0)] = ring;
  return { right: cross(up, out), up, out, at: scale(out, dot(first, out)) };
}

/** A place of space as it is measured on a face. */
export function onFace({ right, up }: FaceAxes, place: Vector): Point {
  return { x: dot(place, right), y: dot(place, up) };
}
