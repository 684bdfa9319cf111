import type { Length, Tolerance } from '../length/index.ts';

/** A fold-to-fold distance to be chosen. Where a section stands twice, both panels come out equal. */
export interface Section {
  readonly id: string;
  readonly least: Length;
  readonly target: Length;
  readonly most: Length;
  /** How much a deviation from the target counts; 0 where only a fit decides. */
  readonly weight: number;
}

/** One direction of a piece: its sections from edge to edge, by id. Their sum is the cut size. */
export interface Chain {
  readonly id: string;
  readonly sections: readonly string[];
  /** What the piece has been cut to, whatever the trimmer's marks, where it is cut already. */
  readonly cut?: Length;
}

/** Sections side by side that come to a length, because the score behind them has been made. */
export interface Span {
  readonly sections: readonly string[];
  readonly is: Length;
}

/**
 * One thing going over another: gap = outer section − inner sections − `layers`. The fits of one `group`
 * belong to the same pair (a lid over its base, both ways): none may be tight, and the closest of them
 * must hold.
 */
export interface Fit {
  readonly id: string;
  readonly group: string;
  readonly outer: string;
  readonly inner: string;
  /** How many of the inner stand side by side in the outer; √2 for the marks of a sheet that lies on its corner. */
  readonly innerTimes: number;
  readonly layers: Length;
  readonly gap: Tolerance;
  /** So far beyond its range it may be loose where another fit of its group holds. */
  readonly slack: Length;
}

/** The first section is smaller by `by` at least than the second, or than so many of it together. */
export interface SmallerPair {
  readonly less: string;
  readonly more: string;
  readonly moreTimes?: number;
  readonly by: Length;
}

/** A piece must fit its sheet, turned sideways too if it may be. */
export interface SheetLimit {
  readonly across: string;
  readonly down: string;
  readonly width: Length;
  readonly height: Length;
  readonly mayTurn: boolean;
}

/** Which side to err on when no gap in range can be had: a loose lid can be packed, a tight one can't go on. */
export type Lean = 'loose' | 'tight';

/** What the tools can hit: cut sizes on multiples of `step`, scores on multiples of `pitch` up to `reach`. */
export interface MarkTools {
  readonly step: Length;
  readonly pitch: Length;
  readonly reach: Length;
  /** With this between fence and card, a score falls so much nearer to the edge than its groove. */
  readonly shim?: Length;
  /** Whether scores can be measured from either edge, or only from the first one. */
  readonly edges: 'both' | 'first';
}

export interface MarksProblem {
  readonly sections: readonly Section[];
  readonly chains: readonly Chain[];
  readonly fits: readonly Fit[];
  /** Pairs of sections of which the first must be smaller than the second by so much at least. */
  readonly smaller: readonly SmallerPair[];
  readonly limits: readonly SheetLimit[];
  /** What is cut and scored already. */
  readonly spans: readonly Span[];
  readonly tools: MarkTools;
  readonly lean: Lean;
}

/** Where one score of a chain is measured from, and what is read there. */
export interface ScoreReading {
  /** How many sections lie before the score. */
  readonly index: number;
  readonly position: Length;
  readonly from: 'start' | 'end';
  readonly reading: Length;
  readonly onGroove: boolean;
  /** Whether it is made with the shim at the fence; the groove lies by its thickness further on. */
  readonly shimmed?: true;
}

export interface ChainMarks {
  readonly id: string;
  readonly cut: Length;
  readonly scores: readonly ScoreReading[];
}

/** What a choice of marks costs; compared in this order, less is better. */
export interface MarksCost {
  /** How far gaps are out of range in all, in nanometres, the side leant away from counted heavily. */
  readonly unfit: number;
  /** Scores that are on no groove from either edge. */
  readonly offGrid: number;
  /** Scores for which the shim must be laid in. */
  readonly shims: number;
  /** Pieces, one way, whose scores are read from either edge by turns: turned once, they would miss a groove. */
  readonly turns: number;
  /** Weighted sum of deviations of sections and gaps from their targets, in nanometres. */
  readonly deviation: number;
  /** Different readings that the maker has to set. */
  readonly settings: number;
  /** Sum of the cut sizes, in nanometres. */
  readonly size: number;
}
