import {
  formatWithUnit,
  inchFraction,
  millimetres,
  roundToGrid,
  type Length,
  type Unit,
} from '../length/index.ts';

/** A clearance as it is told: to the nearest 1/64 in or 0.1 mm. */
export function roundedClearance(length: Length, unit: Unit): Length {
  return roundToGrid(length, unit === 'inch' ? inchFraction(1, 64) : millimetres(0.1));
}

/** A clearance, said to be about that where it is not quite. */
export function clearanceInWords(length: Length, unit: Unit): string {
  const rounded = roundedClearance(length, unit);
  return `${rounded === length ? '' : 'about '}${formatWithUnit(rounded, unit)}`;
}
