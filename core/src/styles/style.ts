import type { MarksProblem, MarksSolution, Lean } from '../fit/index.ts';
import type { ClearInsideNeeded, Extents } from '../gift/index.ts';
import type { Length, Tolerance } from '../length/index.ts';
import type { Paper } from '../paper/index.ts';
import type { Piece } from '../piece/index.ts';
import type { Kit } from '../tools/index.ts';

/** What a style is asked for. */
export interface StyleBrief<Options> {
  readonly inside: ClearInsideNeeded;
  readonly papers: { readonly base: Paper; readonly lid: Paper };
  readonly kit: Kit;
  readonly options: Options;
  readonly lean: Lean;
}

/** Which chains of the marks problem are a piece's two directions. */
export interface PieceFrame {
  readonly id: string;
  readonly name: string;
  readonly paper: 'base' | 'lid';
  readonly across: string;
  readonly down: string;
}

/** A fit of the finished box. */
export interface BoxFit {
  readonly id: string;
  /** The two pieces: which goes over which. */
  readonly outer: string;
  readonly inner: string;
  readonly direction: keyof Extents;
  readonly gap: Length;
  readonly range: Tolerance;
}

/** A box whose every length is settled. */
export interface Box {
  readonly pieces: readonly Piece[];
  readonly clearInside: Extents;
  readonly fits: readonly BoxFit[];
}

/** A style put to the solver: its sections and fits, and how to draw the box once they are chosen. */
export interface StyleFrame {
  readonly pieces: readonly PieceFrame[];
  readonly problem: MarksProblem;
  readonly build: (solution: MarksSolution) => Box;
}
