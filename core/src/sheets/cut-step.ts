import type { Length } from '../length/index.ts';

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
  | { readonly kind: 'piece'; readonly piece: string; readonly name: string }
  | { readonly kind: 'strip' }
  | { readonly kind: 'waste' };

/** Why a cut needs care. */
export type CutCaution = 'narrow waste' | 'narrow strip' | 'print runs up' | 'too large';

/** Cuts at one setting of the trimmer through parts of one size. */
export interface TrimStep {
  readonly kind: 'trim';
  /** The paper's name. */
  readonly name: string;
  /** The first piece that comes of it. */
  readonly piece: string;
  /** How many cuts there are in all. */
  readonly copies: number;
  readonly paper: string;
  /** What is cut: whole sheets or parts of them, how many, and how large each is. */
  readonly from: {
    readonly what: 'sheet' | 'strip' | 'rest';
    readonly count: number;
    readonly width: Length;
    readonly height: Length;
  };
  /** Cuts through each of them, one after the other at the same setting, where they are as many. */
  readonly cutsEach?: number;
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
  readonly cautions: readonly CutCaution[];
  readonly cuts: readonly SheetCut[];
}
