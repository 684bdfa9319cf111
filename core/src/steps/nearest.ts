import {
  formatWithUnit,
  inchFraction,
  millimetres,
  roundToGrid,
  type Length,
  type Unit,
} from '../length/index.ts';

/** As near as a ruler is read by eye. */
export function nearestMark(length: Length, unit: Unit): Length {
  return roundToGrid(length, unit === 'inch' ? inchFraction(1, 32) : millimetres(0.5));
}

/** A place that no mark sets: as near as a ruler is read. */
export function formatNearest(length: Length, unit: Unit): string {
  return formatWithUnit(nearestMark(length, unit), unit);
}
