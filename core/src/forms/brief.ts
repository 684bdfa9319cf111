import type { Lean, Section, SmallerPair } from '../marks/index.ts';
import type { Assembly, Ribbon, StampSpot, Tag } from '../fold/index.ts';
import type { ClearInsideNeeded, Direction, Extents } from '../gift/index.ts';
import type { Length, Tolerance } from '../length/index.ts';
import type { Papers } from '../paper/index.ts';
import type { Cutout, Piece, PunchBoard, ScoreGrid } from '../piece/index.ts';
import type { Kit } from '../tools/index.ts';

/** Scores of a piece one way that are made already, by their marks. */
export interface MadeLines {
  readonly piece: string;
  readonly way: 'across' | 'down';
  readonly cut: Length;
  readonly marks: readonly { readonly mark: number; readonly at: Length }[];
}

/** What a style is asked for. */
export interface StyleBrief<Options> {
  readonly inside: ClearInsideNeeded;
  /** The gift itself, without its room. */
  readonly gift: Extents;
  /** Whether the gift is round seen from above, so that its corners need no room. */
  readonly round: boolean;
  /** One for each piece that the style may give its own, in the style's order. */
  readonly papers: Papers;
  readonly kit: Kit;
  readonly options: Options;
  readonly lean: Lean;
  /** Whether what would be square may come out oblong, because a part of it is made already. */
  readonly mayBeOblong: boolean;
  /** What is cut and scored already. */
  readonly made: readonly MadeLines[];
}

/** Tells the chosen length of a section. */
export type SizeOf = (section: string) => Length;

/** A piece before its lengths are chosen: the sections from edge to edge, and how it is drawn once they are. */
export interface PieceTemplate {
  readonly id: string;
  readonly name: string;
  /** Which of the papers it is cut from. */
  readonly paper: number;
  readonly copies: number;
  /** The punch board that its lines are made on, where it is one. */
  readonly punchBoard?: PunchBoard;
  readonly across: readonly string[];
  readonly down: readonly string[];
  /**
   * Where else rows are scored across than the rest, from the first edge: marks that are counted on from the
   * last of the sections.
   */
  readonly alsoAcross?: (size: SizeOf) => readonly Length[];
  readonly draw: (size: SizeOf) => ScoreGrid;
}

/** What goes over what, and how it should feel. */
export type FitKind = 'lid' | 'drawer' | 'liner' | 'tuck' | 'handle' | 'hinge' | 'level' | 'seat';

/** One piece going over another, one way: gap = outer section − inner sections − layers. */
export interface StyleFit {
  readonly kind: FitKind;
  readonly outer: string;
  readonly inner: string;
  readonly direction: Direction;
  readonly outerSection: string;
  readonly innerSection: string;
  /** How many of the inner section stand side by side; one where it isn't said. */
  readonly innerTimes?: number;
  readonly layers: Length;
  readonly gap: Tolerance;
  /** How much a difference of the sections opens the gap; as much where it isn't said. */
  readonly opens?: number;
}

/** A fit with the gap that came out. */
export interface SettledFit extends Pick<
  StyleFit,
  'kind' | 'outer' | 'inner' | 'direction' | 'gap'
> {
  readonly came: Length;
  /** What it is the rest of, where two sections decide it. */
  readonly rule?: LayerRule;
}

/** Gap = outer section − inner section − layers of card in between. */
export interface LayerRule {
  readonly outer: Length;
  readonly inner: Length;
  readonly layers: Length;
}

/** What is settled once every length is. */
export interface SettledBox {
  readonly clearInside: Extents;
  readonly assembly: Assembly;
}

/** A section that has nothing to do but hold a shape, which is known once the rest is chosen. */
export interface RoughSection {
  readonly section: string;
  readonly holds: (size: SizeOf) => Length;
}

/** A section of a style, which may have to do with less where its sheet has no room for what is good. */
export interface StyleSection extends Section {
  readonly scant?: Length;
}

/** A pair of sections of a style, which may have to do with less in the same way. */
export interface StyleSmaller extends SmallerPair {
  readonly scantBy?: Length;
}

/** A depth, width or height that a maker may ask for as a figure. */
export interface StyleDepth {
  /** The option that says it. */
  readonly option: string;
  /** What it may be on this box. */
  readonly least: Length;
  readonly most: Length;
  /** What it comes to. */
  readonly comes: (size: SizeOf) => Length;
  /** The section that is chosen by it, and how long that is for a figure; none where the style reckons with it. */
  readonly sets?: { readonly section: string; readonly to: (figure: Length) => Length };
}

/** Something that is cut out of one of the box’s own pieces. */
export interface PieceCutout {
  readonly piece: string;
  readonly cutout: Cutout;
}

/** What a box wears on its own pieces: cut to what came, since it bears on no length of theirs. */
export interface Worn {
  /** What is cut out of the box’s own pieces for it. */
  readonly cutouts?: readonly PieceCutout[];
  readonly pieces: readonly Piece[];
  readonly parts: Assembly['parts'];
  readonly stacks: Assembly['stacks'];
  readonly ribbons?: readonly Ribbon[];
  readonly spots?: readonly StampSpot[];
  readonly tags?: readonly Tag[];
}

export type WornAnswer =
  { readonly ok: true; readonly worn: Worn } | { readonly ok: false; readonly refusal: Refusal };

/** A style put to the solver. */
export interface StyleFrame {
  readonly sections: readonly StyleSection[];
  /** Chosen large enough for whatever comes, and cut down to what came. */
  readonly rough?: readonly RoughSection[];
  readonly pieces: readonly PieceTemplate[];
  readonly fits: readonly StyleFit[];
  /** Fits that the style settles itself, since they bear on nothing else. */
  readonly settledFits?: (size: SizeOf) => readonly SettledFit[];
  /** Pairs of sections of which the first must be smaller than the second by so much at least. */
  readonly smaller: readonly StyleSmaller[];
  /** What of it a maker may ask for as a figure. */
  readonly depths?: readonly StyleDepth[];
  readonly settle: (size: SizeOf) => SettledBox;
  /** What it wears, where it wears anything, once its own pieces are drawn. */
  readonly wears?: (drawn: SettledBox & { readonly pieces: readonly Piece[] }) => WornAnswer;
}

/** Why a style can't go round this gift: the field, the sentence with its way out, and the nearest value. */
export interface Refusal {
  readonly field: string;
  readonly message: string;
  readonly nearest?: Length;
}

export type StyleAnswer =
  | { readonly ok: true; readonly frame: StyleFrame }
  | { readonly ok: false; readonly refusal: Refusal };
