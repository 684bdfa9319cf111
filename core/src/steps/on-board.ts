import { minus, zero, type Length } from '../length/index.ts';
import type { Side } from '../piece/index.ts';
import type { ScoringBoard } from '../tools/index.ts';
import type { ScorePass } from './step.ts';

/** A score on a piece as it is drawn: ends from its top left corner. */
export interface ScoreRun {
  readonly x1: Length;
  readonly y1: Length;
  readonly x2: Length;
  readonly y2: Length;
}

/** On which side of the maker the fence is. */
export type FenceSide = ScoringBoard['fence'];

/** Quarter turns clockwise that bring an edge of a piece to the fence. */
export function quarterTurnsTo(edge: Side, fence: FenceSide): number {
  const toTheLeft = (['left', 'bottom', 'right', 'top'] as const).indexOf(edge);
  return fence === 'left' ? toTheLeft : (toTheLeft + 2) % 4;
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
 * From where to where a pass runs down the board, from the ruler on top, once its edge lies at the fence. A
 * piece that is turned over keeps its edge at the fence and lies with its other end at the ruler.
 */
export function stretchOnBoard(
  { edge, part, over }: Pick<ScorePass, 'edge' | 'part' | 'over'>,
  width: Length,
  height: Length,
  fence: FenceSide,
): { readonly from: Length; readonly to: Length } {
  const long = edge === 'left' || edge === 'right' ? height : width;
  const { from, to } = part ?? { from: zero, to: long };
  // Turned by a half or by three quarters, the piece lies the other way up.
  const isReversed = quarterTurnsTo(edge, fence) >= 2;
  return isReversed === (over ?? false)
    ? { from, to }
    : { from: minus(long, to), to: minus(long, from) };
}
