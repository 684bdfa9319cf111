import { add, dot, scale, vector, type Vector } from '../fold/index.ts';
import type { RoomSide } from './inside-faces.ts';
import { boundsOfOpening } from './openings.ts';
import { boundsOf, cornersOf, type Bounds } from './outline.ts';

/** Card that stands upright in a room, along its walls. */
export interface UprightCard {
  /** Which way it faces: out of the room, or into it. */
  readonly out: Vector;
  /** Which way along it is measured. */
  readonly aside: Vector;
}

/** Walls that are turned from upright card by more than the angle of this cosine are beside it, and not behind it. */
const behind = 0.49;

/**
 * Where the walls on both sides of a room are open behind upright card: how far aside from the middle of the box, and
 * how high over the floor of the gift’s room, in millimetres.
 */
export function openingsBehind(
  walls: readonly RoomSide[],
  { out, aside }: UprightCard,
): readonly Bounds[] {
  const up = vector(0, 0, 1);
  return walls
    .filter(({ axes }) => Math.abs(dot(axes.out, out)) > behind)
    .flatMap(({ axes, behind: card }) =>
      (card?.openBehind ?? []).map((opening) =>
        boundsOf(
          cornersOf(boundsOfOpening(opening))
            .map(({ x, y }) => add(axes.at, add(scale(axes.right, x), scale(axes.up, y))))
            .map((corner) => ({ x: dot(corner, aside), y: dot(corner, up) })),
        ),
      ),
    );
}
