import type { Length } from '../length/index.ts';
import { isSameLine, type LineRef, type Side } from '../piece/index.ts';

/** What came out otherwise than planned. */
export type Mishap =
  /** A piece was cut to another size. */
  | {
      readonly kind: 'cut';
      readonly piece: string;
      readonly width: Length;
      readonly height: Length;
    }
  /** A score lies elsewhere, measured from the same edge as in its step. */
  | {
      readonly kind: 'score';
      readonly piece: string;
      readonly line: LineRef;
      readonly at: Length;
    }
  /** The card is torn or spoilt at an edge, so far in. */
  | {
      readonly kind: 'torn';
      readonly piece: string;
      readonly edge: Side;
      readonly depth: Length;
    };

/** What has been done to the pieces of a box so far. */
export interface DoneSoFar {
  /** Pieces that are cut. */
  readonly cut: ReadonlySet<string>;
  /** Lines that are scored or ticked. */
  readonly scored: readonly PieceLine[];
}

/** A grid line of one of the pieces. */
export interface PieceLine {
  readonly piece: string;
  readonly line: LineRef;
}

/** Whether a line of a piece is among these. */
export function isAmong(lines: readonly PieceLine[], piece: string, line: LineRef): boolean {
  return lines.some((each) => each.piece === piece && isSameLine(each.line, line));
}
