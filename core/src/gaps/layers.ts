import { half, minus, nanometres, plus, type Length } from '../length/index.ts';

/*
 * The layer rule. A score is where the mid-plane of one panel meets the mid-plane of the next, so each of
 * two facing walls takes half its thickness from the room between their scores and adds half outside.
 */

/** Clear inside between two walls of `card` whose scores stand `foldToFold` apart, with `layers` lying inside them. */
export function clearInside(foldToFold: Length, card: Length, layers: Length): Length {
  return minus(foldToFold, card, layers);
}

/** The fold-to-fold distance that gives this clear inside. */
export function foldToFoldFor(clear: Length, card: Length, layers: Length): Length {
  return plus(clear, card, layers);
}

/** Outside over two walls of `card` whose scores stand `foldToFold` apart, with `layers` lying outside them. */
export function outside(foldToFold: Length, card: Length, layers: Length): Length {
  return plus(foldToFold, card, layers);
}

/** Clear depth over a floor of `card` inside a wall of the given height from edge to score. */
export function clearDepth(wall: Length, card: Length): Length {
  return minus(wall, half(card));
}

/** The wall height that gives this clear depth; never short by the odd nanometre. */
export function wallFor(depth: Length, card: Length): Length {
  return plus(depth, nanometres(Math.ceil(card / 2)));
}
