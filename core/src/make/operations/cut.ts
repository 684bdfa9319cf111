import type { Length } from '../../length/index.ts';

/** A cut from edge to edge of one sheet, as it lies in the layout. */
export interface SheetCut {
  readonly sheet: number;
  readonly x1: Length;
  readonly y1: Length;
  readonly x2: Length;
  readonly y2: Length;
}

/** What a cut takes off: a piece, a strip that is cut on, or what is left over. */
export type CutGives =
  | { readonly kind: 'piece'; readonly piece: string }
  | { readonly kind: 'strip' }
  | { readonly kind: 'waste' };

/** What is left of the card when the cuts through it are done. */
export type CutLeaves =
  /** A piece, without another cut. */
  | { readonly kind: 'piece'; readonly piece: string }
  /** Waste, so wide. */
  | { readonly kind: 'waste'; readonly width: Length }
  /** Card that is cut on. */
  | { readonly kind: 'more' }
  | { readonly kind: 'nothing' };

/** Why a cut needs care. */
export type CutCaution = 'narrow strip' | 'too large';

/** Which way the print runs on the card that is cut, where it has a way up. */
export type PrintRuns = 'along the cut' | 'across the cut';

/** Cuts at one setting of the trimmer through parts of one size. */
export interface CutOperation {
  readonly kind: 'cut';
  readonly paper: string;
  /** The first piece that comes of it. */
  readonly piece: string;
  /** What is cut: whole sheets or parts of them, how many, and how large each is. */
  readonly from: {
    readonly what: 'sheet' | 'strip' | 'rest';
    readonly count: number;
    readonly width: Length;
    readonly height: Length;
  };
  /** How many of what it gives come of each of them, the most first. */
  readonly perPart: readonly number[];
  /** Whether the width or the height of the part, as it lies, is measured. */
  readonly measures: 'width' | 'height';
  readonly setting: Length;
  /** On which side of the blade the wanted part lies: measured on the ruler, or falling off. */
  readonly wanted: 'on the ruler' | 'beyond the blade';
  /** How wide the wanted part is. */
  readonly takes: Length;
  readonly tool: 'trimmer' | 'ruler';
  readonly arm: 'in' | 'out';
  readonly gives: CutGives;
  /** How many of what it gives come of it, over all parts: what is left over may be the last of each. */
  readonly count: number;
  /** What is left of each part. */
  readonly leaves: CutLeaves;
  readonly print?: PrintRuns;
  /** Whether whole sheets are pieces as they are, and nothing is cut. */
  readonly isWhole: boolean;
  readonly cautions: readonly CutCaution[];
  readonly cuts: readonly SheetCut[];
}
