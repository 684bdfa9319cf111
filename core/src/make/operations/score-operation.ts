import type { Length } from '../../length/index.ts';
import type { LineRef, Side } from '../../piece/index.ts';
import type { Lying } from '../lying.ts';

/** What straight lines are scored with. Off the grooves it is the trimmer's tip, or a ruler. */
export type ScoreTool = 'board' | 'tip' | 'ruler';

/** One line that is scored, or only ticked at both its ends. */
export interface ScoreMark {
  readonly line: LineRef;
  /** Distance from the edge that it is measured from. */
  readonly reading: Length;
  /** Thickness of the shim between fence and card, where one is needed. */
  readonly shim?: Length;
  /** The only stretch that is made now, along the line from the top or the left of the drawing. */
  readonly part?: { readonly from: Length; readonly to: Length };
  /** Where the score is longer than the grooves: as far as they go, or what is left from the other end. */
  readonly stretch?: 'to the end' | 'the rest';
}

/** All lines that are made of a piece while it lies one way, the nearest to the edge first. */
export interface ScoreOperation {
  readonly kind: 'score' | 'mark';
  readonly piece: string;
  readonly tool: ScoreTool;
  /** The edge, as drawn, that lies at the fence, or that is measured from. */
  readonly edge: Side;
  readonly lying: Lying;
  readonly marks: readonly [ScoreMark, ...ScoreMark[]];
}
