import { millimetres, zero, type Length, type Tolerance } from '../length/index.ts';

/*
 * How much air there may be between two parts of a box: at least so much, wanted so much, at most so much.
 * All are full clearances, of both sides together, between the card that faces each other. They are what
 * makers of boxes go by with card of 0.2 to 0.4 mm; a paper's own, once a trial box has taught them, take
 * the place of the first three.
 */

/** A lid over its base: a light tug at the target. */
export const lidGap: Tolerance = {
  least: millimetres(0.25),
  target: millimetres(0.45),
  most: millimetres(0.8),
};

/** A drawer in its sleeve: it slides, and doesn't fall out. */
export const drawerGap: Tolerance = {
  least: millimetres(0.6),
  target: millimetres(1),
  most: millimetres(1.5),
};

/** A liner in its box, and a tray in its cover. */
export const linerGap: Tolerance = {
  least: millimetres(0.3),
  target: millimetres(0.6),
  most: millimetres(1),
};

/** A hinged lid can't fall off, so it may clear the sides by more than one that is put on. */
export const hingedSidesGap: Tolerance = {
  least: millimetres(0.3),
  target: millimetres(1.2),
  most: millimetres(3.4),
};

/** A hinged lid before the front of its box. */
export const hingedFrontGap: Tolerance = {
  least: millimetres(0.15),
  target: millimetres(0.6),
  most: millimetres(1.8),
};

/**
 * How far a lid may stand over its walls at the hinge, or be drawn down onto them, and still lie level to the
 * eye and the hand.
 */
export const levelGap: Tolerance = {
  least: millimetres(-0.5),
  target: zero,
  most: millimetres(0.5),
};

/** A seat between two walls of its own piece: longer it would push them apart, and much shorter draw them in. */
export const seatGap: Tolerance = {
  least: zero,
  target: millimetres(0.5),
  most: millimetres(1.5),
};

/** A handle that lies on both sides may bow by a little and never pull them in. */
export const handleGap: Tolerance = {
  least: zero,
  target: millimetres(0.2),
  most: millimetres(1.8),
};

/** How much shorter than the panel that it covers a lid may be, so that its flap tucks in behind the wall. */
export const tuckGap: Tolerance = {
  least: zero,
  target: millimetres(0.4),
  most: millimetres(1.6),
};

/** How far a tower's wrapper may stand over the topmost tray. */
export const stackGap: Tolerance = {
  least: zero,
  target: millimetres(0.8),
  most: millimetres(6),
};

/**
 * How far over its range one gap of a pair may be while another one holds: about 1/16 in. A lid is kept
 * on by its closest direction; beyond this it rattles in the other.
 */
export const slackBeyond: Length = millimetres(1.6);
