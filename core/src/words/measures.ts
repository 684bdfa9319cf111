import {
  formatLength,
  formatSize,
  formatWithUnit,
  inchFraction,
  measureParts,
  millimetres,
  roundToGrid,
  type Length,
  type Unit,
} from '../length/index.ts';
import { inRow } from './plain.ts';

/** As near as a ruler is read by eye. */
export function nearestMark(length: Length, unit: Unit): Length {
  return roundToGrid(length, unit === 'inch' ? inchFraction(1, 32) : millimetres(0.5));
}

/** A place that no mark sets: as near as a ruler is read. */
export function formatNearest(length: Length, unit: Unit): string {
  return formatWithUnit(nearestMark(length, unit), unit);
}

/** Whether a ruler has a mark for a length. */
export function isOnMark(length: Length, unit: Unit): boolean {
  return measureParts(length, unit).kind === 'fraction' || nearestMark(length, unit) === length;
}

/** A length as a ruler finds it: about so much where it has no mark for it. */
export function formatAsFound(length: Length, unit: Unit): string {
  return isOnMark(length, unit)
    ? formatWithUnit(length, unit)
    : `about ${formatNearest(length, unit)}`;
}

/** A size as a ruler finds it: `4 × 4 in`, `183 mm × about 305 mm`. */
export function sizeAsFound(width: Length, height: Length, unit: Unit): string {
  return isOnMark(width, unit) && isOnMark(height, unit)
    ? formatSize(width, height, unit)
    : `${formatAsFound(width, unit)} × ${formatAsFound(height, unit)}`;
}

/** Figures of one ruler in a row, the unit once at its end: `2 1/8, 5 1/8 and 7 1/4 in`. */
export function figuresInRow(lengths: readonly Length[], unit: Unit): string {
  const last = lengths[lengths.length - 1];
  return inRow(
    lengths.map((length) =>
      length === last ? formatWithUnit(length, unit) : formatLength(length, unit),
    ),
  );
}

/** The same as near as a ruler is read. */
export function nearestInRow(lengths: readonly Length[], unit: Unit): string {
  return figuresInRow(
    lengths.map((length) => nearestMark(length, unit)),
    unit,
  );
}

/** From one figure to another, the unit once: `1 to 4 in`. */
export function stretchInWords(from: Length, to: Length, unit: Unit): string {
  return `${formatLength(nearestMark(from, unit), unit)} to ${formatNearest(to, unit)}`;
}
