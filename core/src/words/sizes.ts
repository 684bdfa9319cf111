import {
  formatLength,
  formatWithUnit,
  inchFraction,
  millimetres,
  roundDown,
  roundToGrid,
  type Length,
  type Unit,
} from '../length/index.ts';
import type { Plan } from '../planning/index.ts';

type Size = Plan['clearInside'];

function inWords({ across, deep, high }: Size, unit: Unit, round: typeof roundDown): string {
  const mark = unit === 'inch' ? inchFraction(1, 32) : millimetres(0.5);
  const said = (length: Length) => round(length, mark);
  return `${formatLength(said(across), unit)} × ${formatLength(said(deep), unit)} × ${formatWithUnit(said(high), unit)}`;
}

/** Width, depth and height as near as a ruler tells them: `2 1/2 × 2 15/32 × 5/8 in`. */
export function sizeInWords(size: Size, unit: Unit): string {
  return inWords(size, unit, roundToGrid);
}

/** The largest thing on a ruler that is no larger than this. */
export function sizeWithin(size: Size, unit: Unit): string {
  return inWords(size, unit, roundDown);
}
