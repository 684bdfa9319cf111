import type { FoldingBox } from '../fold/index.ts';
import type { DrawnFrame, PieceCutout, Refusal, Worn, WornAnswer } from '../forms/index.ts';
import type { Gift } from '../gift/index.ts';
import type { Length, Unit } from '../length/index.ts';
import type { Papers } from '../paper/index.ts';
import type { FlatFace, FlatFaces } from './flat-faces.ts';
import type { Kit } from '../tools/index.ts';
import type { RoomTaken } from './room-taken.ts';

/** A box that something is put on. */
export interface Undressed {
  readonly drawn: DrawnFrame;
  /** It is ready to fold without its openings, and without anything that it wears. */
  readonly plain: FoldingBox;
  /** Its faces that something may be glued on, and those of them that wear something already. */
  readonly faces: FlatFaces;
  readonly taken: readonly FlatFace[];
  readonly papers: Papers;
  /** What it wears already. */
  readonly worn: Worn;
}

/** How an addition is cut, and how what it says is worded. */
export interface DressBrief {
  /** The path of its field in the request. */
  readonly field: string;
  /** Which of the box’s papers the first of its own is. */
  readonly firstPaper: number;
  /** The step that cuts are made in, and all that the maker has. */
  readonly step: Length;
  readonly kit: Kit;
  readonly unit: Unit;
  readonly gift: Gift;
  /** How wide the ribbon is that goes through this band, where one does. */
  readonly threaded?: Length;
  /** What lies nearer to the gift than its own card does. */
  readonly inner: RoomTaken;
}

/** Card that an addition lays on the outside of a face which other pieces lie close over. */
export interface LaidCard {
  readonly face: FlatFace;
  readonly card: Length;
}

/** A band round the walls of a piece that a lid comes down over, and between which heights it lies, in millimetres. */
export interface BandUnderLid {
  readonly piece: string;
  readonly from: number;
  readonly to: number;
}

/** How what is laid there is cut, what lies there already, and the band that goes over it there. */
export type LaidBrief = DressBrief & {
  readonly laid: readonly LaidCard[];
  readonly band?: BandUnderLid;
};

/**
 * What something goes over, whenever it was put on: nothing, as what is glued to the bare card does, all that lies in the
 * box, all that covers a face, all that the box wears, or a band round it too.
 */
export type GoesRound = 'under all' | 'within all' | 'on it' | 'over it' | 'over all';

/** What is to be cut out of the box’s own pieces for something, or why that can’t be. */
export type OpensAnswer =
  | { readonly ok: true; readonly cutouts: readonly PieceCutout[] }
  | { readonly ok: false; readonly refusal: Refusal };

/** Why an addition that is asked for is not on the box. */
export interface LeftOff {
  /** The addition. */
  readonly id: string;
  readonly why: 'no such face' | 'worn already';
}

/** Something that a box wears. */
export interface Addition<Choice> {
  /** The room inside the box that it takes, which the box must be larger by. */
  readonly room: (choice: Choice, gift: Gift) => RoomTaken;
  /** Whether it may lie under something that goes over the box: where that is so must be looked for then. */
  readonly goesUnder?: (choice: Choice) => boolean;
  /** What lies under something that goes over the box, so that room must be made for it. */
  readonly laid?: (choice: Choice, box: Undressed, brief: LaidBrief) => readonly LaidCard[];
  /** What is cut out of the box’s own pieces for it, before anything is worn. */
  readonly opens?: (choice: Choice, box: Undressed, brief: DressBrief) => OpensAnswer;
  /** Its pieces, cut to the box as it came. */
  readonly wear: (choice: Choice, box: Undressed, brief: DressBrief) => WornAnswer;
  /** What of it is not on the box. */
  readonly leftOff: (
    choice: Choice,
    box: Undressed,
    brief: Pick<DressBrief, 'step' | 'gift'>,
  ) => readonly LeftOff[];
  /** How far it holds the things of the gift apart, where it stands between them. */
  readonly apart?: (choice: Choice, gift: Gift) => Length;
  /** Whether it goes over other things, whenever it was put on. */
  readonly goesRound?: GoesRound;
  /** Whether it is cut to the bare faces alone, whatever else is worn. */
  readonly isCutToFace?: true;
  /** The faces that it takes. */
  readonly takes: (choice: Choice, box: Undressed) => readonly FlatFace[];
}
