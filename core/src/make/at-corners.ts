import { absolute, minus, plus, type Length } from '../length/index.ts';
import type { Spot } from '../piece/index.ts';
import type { Size } from './lying.ts';

/** A corner of a piece as it lies. */
export type Corner = 'top left' | 'top right' | 'bottom left' | 'bottom right';

/** How far a place is from the two edges of one corner: from the side edge, and from the top or bottom edge. */
export interface FromCorner {
  readonly across: Length;
  readonly down: Length;
}

/** The same thing at one corner or at several, each time measured from that corner. */
export interface AtCorners {
  readonly corners: readonly Corner[];
  readonly spots: readonly FromCorner[];
  /** Which of the things these are, by their places in the list that was grouped. */
  readonly places: readonly number[];
}

/** Places this near are the same: shares of sections are rounded to the nanometre. */
const same = 20_000;

/** The nearest corner to the middle of these spots; the left and the upper one where two are as near. */
export function nearestCorner(spots: readonly Spot[], { width, height }: Size): Corner {
  const middle = (values: readonly Length[]) => plus(...values) / values.length;
  const isLeft = middle(spots.map(({ x }) => x)) <= width / 2 + same;
  const isTop = middle(spots.map(({ y }) => y)) <= height / 2 + same;
  if (isTop) return isLeft ? 'top left' : 'top right';
  return isLeft ? 'bottom left' : 'bottom right';
}

/** Whether a corner lies at the left. */
export function isLeft(corner: Corner): boolean {
  return corner === 'top left' || corner === 'bottom left';
}

/** Whether a corner lies at the top. */
export function isTop(corner: Corner): boolean {
  return corner === 'top left' || corner === 'top right';
}

/** How far a spot is from the edges of a corner. */
export function fromCorner({ x, y }: Spot, corner: Corner, { width, height }: Size): FromCorner {
  return {
    across: isLeft(corner) ? x : minus(width, x),
    down: isTop(corner) ? y : minus(height, y),
  };
}

function isAlike(one: readonly FromCorner[], other: readonly FromCorner[]): boolean {
  return (
    one.length === other.length &&
    one.every((a) =>
      other.some(
        (b) =>
          absolute(minus(a.across, b.across)) <= same && absolute(minus(a.down, b.down)) <= same,
      ),
    )
  );
}

/** Things by their spots, grouped where they mirror one another from corner to corner. */
export function groupAtCorners(
  things: readonly (readonly Spot[])[],
  size: Size,
): readonly AtCorners[] {
  const groups: AtCorners[] = [];
  things.forEach((spots, place) => {
    const corner = nearestCorner(spots, size);
    const measured = spots.map((spot) => fromCorner(spot, corner, size));
    const at = groups.findIndex(
      (group) => !group.corners.includes(corner) && isAlike(group.spots, measured),
    );
    const group = groups[at];
    if (group)
      groups[at] = {
        ...group,
        corners: [...group.corners, corner],
        places: [...group.places, place],
      };
    else groups.push({ corners: [corner], spots: measured, places: [place] });
  });
  return groups;
}
