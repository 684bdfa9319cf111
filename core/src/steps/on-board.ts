import { minus, zero, type Length } from '../length/index.ts';
import type { Side } from '../piece/index.ts';
import type { ScorePass } from './step.ts';

/** A score on a piece as it is drawn: ends from its top left corner. */
export interface ScoreRun {
  readonly x1: Length;
  readonly y1: Length;
  readonly x2: Length;
  readonly y2: Length;
}

/** Quarter turns clockwise that bring an edge of a piece to a fence on the left. */
export function quarterTurnsTo(edge: Side): number {
  return (['left', 'bottom', 'right', 'top'] as const).indexOf(edge);
}

/** Where a pass scores a piece of this size, from the edge at the fence and the reading alone. */
export function scoreRun(
  { edge, part }: Pick<ScorePass, 'edge' | 'part'>,
  reading: Length,
  width: Length,
  height: Length,
): ScoreRun {
  const isUpright = edge === 'left' || edge === 'right';
  const long = isUpright ? height : width;
  const at =
    edge === 'left' || edge === 'top' ? reading : minus(isUpright ? width : height, reading);
  const { from, to } = part ?? { from: zero, to: long };
  return isUpright ? { x1: at, y1: from, x2: at, y2: to } : { x1: from, y1: at, x2: to, y2: at };
}

/**
 * From where to where a pass runs down the board, from the ruler on top, once its edge lies at the fence on
 * the left.
 */
export function stretchOnBoard(
  { edge, part }: Pick<ScorePass, 'edge' | 'part'>,
  width: Length,
  height: Length,
): { readonly from: Length; readonly to: Length } {
  const long = edge === 'left' || edge === 'right' ? height : width;
  const { from, to } = part ?? { from: zero, to: long };
  // Turned half round or to its top, the piece lies the other way up.
  return edge === 'left' || edge === 'bottom'
    ? { from, to }
    : { from: minus(long, to), to: minus(long, from) };
}
