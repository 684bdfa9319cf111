import { absolute, minus, nanometres, type Length } from './length.ts';
import { hair } from './tolerance.ts';

function checkStep(step: Length): void {
  if (step <= 0) throw new RangeError('A grid needs a step above zero');
}

/** Whether the length falls on a multiple of the step. */
export function isOnGrid(length: Length, step: Length): boolean {
  checkStep(step);
  return length % step === 0;
}

/** The largest multiple of the step that is not above the length. */
export function roundDown(length: Length, step: Length): Length {
  checkStep(step);
  return nanometres(Math.floor(length / step) * step);
}

/** The smallest multiple of the step that is not below the length. */
export function roundUp(length: Length, step: Length): Length {
  checkStep(step);
  return nanometres(Math.ceil(length / step) * step);
}

/** The nearest multiple of the step; halfway goes up. */
export function roundToGrid(length: Length, step: Length): Length {
  checkStep(step);
  return nanometres(Math.floor(length / step + 0.5) * step);
}

/** The multiple of the step that the length is on or misses by a hair, or else the length itself. */
export function snapToGrid(length: Length, step: Length): Length {
  const nearest = roundToGrid(length, step);
  return absolute(minus(length, nearest)) <= hair ? nearest : length;
}
