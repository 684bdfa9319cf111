import { minus, zero, type Length } from '../length/index.ts';
import type { Side } from '../piece/index.ts';
import { isUpright, type Size } from './lying.ts';
import type { ScoreMark } from './operations/score-operation.ts';

/** A score on a piece as it is drawn: ends from its top left corner. */
export interface ScoreRun {
  readonly x1: Length;
  readonly y1: Length;
  readonly x2: Length;
  readonly y2: Length;
}

/** Where a mark scores a piece, from the edge that it is measured from and its reading alone. */
export function scoreRun(
  edge: Side,
  { reading, part }: Pick<ScoreMark, 'reading' | 'part'>,
  { width, height }: Size,
): ScoreRun {
  const upright = isUpright(edge);
  const whole = upright ? width : height;
  const at = edge === 'left' || edge === 'top' ? reading : minus(whole, reading);
  const { from, to } = part ?? { from: zero, to: upright ? height : width };
  return upright ? { x1: at, y1: from, x2: at, y2: to } : { x1: from, y1: at, x2: to, y2: at };
}
