import { minus, smallest, zero, type Length } from '../length/index.ts';
import type { ScoreRun } from './score-run.ts';

/**
 * The line that a diagonal punch board scores from a mark on one side of a square sheet, as the sheet is
 * drawn: the first side is the upper one, and each quarter turn clockwise brings the next one up.
 */
export function lineFromMark(side: number, mark: Length, sheet: Length): ScoreRun {
  const far = minus(sheet, mark);
  switch (side % 4) {
    case 0:
      return { x1: mark, y1: zero, x2: zero, y2: mark };
    case 1:
      return { x1: zero, y1: mark, x2: far, y2: sheet };
    case 2:
      return { x1: far, y1: sheet, x2: sheet, y2: far };
    default:
      return { x1: sheet, y1: far, x2: mark, y2: zero };
  }
}

/**
 * The three lines that a corner punch board scores at a mark, as the sheet is drawn: the first corner is the
 * upper left one, and each quarter turn clockwise brings the next one there.
 */
export function linesAtCorner(
  corner: number,
  mark: Length,
  long: Length,
  { width, height }: { readonly width: Length; readonly height: Length },
): readonly ScoreRun[] {
  const isLeft = corner % 4 < 2;
  const isTop = corner % 4 === 0 || corner % 4 === 3;
  const x = (at: Length) => (isLeft ? at : minus(width, at));
  const y = (at: Length) => (isTop ? at : minus(height, at));
  return [
    { x1: x(mark), y1: y(zero), x2: x(mark), y2: y(smallest(long, height)) },
    { x1: x(zero), y1: y(mark), x2: x(smallest(long, width)), y2: y(mark) },
    { x1: x(zero), y1: y(zero), x2: x(mark), y2: y(mark) },
  ];
}
