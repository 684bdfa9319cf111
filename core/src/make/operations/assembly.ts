import type { Ribbon, StampSpot, Tag } from '../../fold/index.ts';
import type { Length } from '../../length/index.ts';
import type { AtCorners } from '../at-corners.ts';
import type { BoxSide, FaceName, FaceRow } from '../face-name.ts';
import type { PrintTowards } from '../print-towards.ts';

/** Which of the folds go away from the inside. */
export type OutFolds =
  | { readonly kind: 'none' }
  | { readonly kind: 'all' }
  /** All that slant, and so many of those across from the top edge on. */
  | { readonly kind: 'slanting'; readonly across: number }
  /** These, by where they begin and end. */
  | { readonly kind: 'these'; readonly lines: readonly AtCorners[] };

/** Fold along every score and burnish it, before anything is glued. */
export interface FoldOperation {
  readonly kind: 'fold';
  readonly piece: string;
  /** How many folds there are, and which go out. */
  readonly folds: number;
  readonly out: OutFolds;
  /** What its parts become. */
  readonly rows: readonly FaceRow[];
}

/** Fold parts where nothing is glued, to bring them where they are wanted. */
export interface FoldUpOperation {
  readonly kind: 'fold up';
  readonly piece: string;
  readonly faces: readonly FaceName[];
}

/** Glue parts of a piece to the same piece. */
export interface GlueOperation {
  readonly kind: 'glue';
  readonly piece: string;
  readonly faces: readonly FaceName[];
  /** Which face of them takes the adhesive, and on which face of the others they come to lie. */
  readonly adhesiveOn: 'inside' | 'outside';
  readonly onto: readonly FaceName[];
  readonly ontoSide: 'inside' | 'outside';
  /** Whether the part with the adhesive is folded onto the other, or the other onto it. */
  readonly moves: 'with adhesive' | 'without';
  /** Tape must be narrower than the parts. */
  readonly narrow: Length;
  /** Glued round this finished piece, so that it fits. */
  readonly round?: string;
}

/** What keeps parts where they are folded to, though nothing is glued. */
export type TuckHold =
  /** What is done next: they are covered, or pushed behind a wall. */
  | { readonly kind: 'next' }
  /** The walls behind which they are pushed, in the same order. */
  | { readonly kind: 'walls'; readonly walls: readonly FaceName[] }
  /** The first of several that overlap in a ring: the last goes under it. */
  | { readonly kind: 'first'; readonly flap: FaceName }
  /** Nothing: it wants a sticker, or a dot of glue. */
  | { readonly kind: 'sticker' };

/** Fold parts in where nothing is glued: under what comes next, or behind a wall to close the box. */
export interface TuckOperation {
  readonly kind: 'tuck';
  readonly piece: string;
  /** One after the other, where they overlap. */
  readonly faces: readonly FaceName[];
  readonly hold: TuckHold;
  /** Whether it closes the filled box. */
  readonly isLast: boolean;
}

/** Fold corners that are left whole, flat against their walls. */
export interface FoldCornersOperation {
  readonly kind: 'fold corners';
  readonly piece: string;
  readonly count: number;
  /** The walls that they come to lie on, and on which side of them. */
  readonly on: readonly FaceName[];
  readonly side: 'inside' | 'outside';
  /** Whether they are slit to hook into each other. */
  readonly isHooked: boolean;
}

/** Bring the walls of a strip round, and hook its two slit ends into each other. */
export interface HookOperation {
  readonly kind: 'hook';
  readonly piece: string;
  readonly faces: readonly FaceName[];
  readonly onto: readonly FaceName[];
}

/** What is put through holes or a slot. */
export type Threaded = 'ribbon pull' | 'wire' | 'ribbon' | 'brad' | 'tongue';

/** Put something through the holes or the slot of a piece: a pull, a handle, or what holds the box shut. */
export interface ThreadOperation {
  readonly kind: 'thread';
  readonly piece: string;
  readonly what: Threaded;
  /** Places among the cutouts of the piece. */
  readonly cutouts: readonly number[];
}

/** How something goes round the closed box: round its walls, or over its top; or round its base, under the lid. */
export type WayRound =
  | 'round the walls'
  | 'round the foot of the walls'
  | 'round from left to right'
  | 'round from front to back'
  | 'round the base';

/** Put a piece to the others. */
export interface JoinOperation {
  readonly kind: 'join';
  readonly piece: string;
  readonly onto: string;
  /** How many of it go there in one box, where that needs saying. */
  readonly count?: number;
  readonly how:
    | 'over'
    | 'into'
    | 'place'
    | 'on its floor'
    | 'on its legs'
    | 'through its slots'
    | 'between the things'
    | 'on edge'
    | WayRound;
  /** Whether what goes round has ends that hook into each other, and no seam. */
  readonly isHooked?: true;
  /** How many elastics go round a card first that the gift lies on. */
  readonly elastics?: number;
  /** Where the top of its print comes to in the finished box, where its print has a way up. */
  readonly prints?: readonly PrintTowards[];
}

/** Glue plates to the inside of walls of a piece that is put together. */
export interface LineOperation {
  readonly kind: 'line';
  readonly piece: string;
  readonly onto: string;
  /** The walls, by where they are, or how many there are all round where these are too many to be told so. */
  readonly walls: readonly BoxSide[] | number;
  /** Tape must be narrower than the plate. */
  readonly narrow: Length;
  /** Where the top of its print comes to in the finished box, where its print has a way up. */
  readonly prints?: readonly PrintTowards[];
}

/** Glue one piece to another. */
export interface AttachOperation {
  readonly kind: 'attach';
  readonly piece: string;
  readonly onto: string;
  /** The parts with the adhesive, and what each of them goes to. */
  readonly joints: readonly {
    readonly face: FaceName;
    readonly adhesiveOn: 'inside' | 'outside';
    readonly on: FaceName;
    readonly onSide: 'inside' | 'outside';
    /** How far its lower edge is above that of what it goes on; level where it is not said. */
    readonly above?: Length;
    /** Whether it is their upper edges that are level. */
    readonly isLevelAbove?: boolean;
  }[];
  /** How many of the piece are glued on; where there are several each has a joint of its own. */
  readonly pieces: number;
  readonly narrow: Length;
  /** Whether the other piece lies flat for it. */
  readonly isFlat: boolean;
}

/** Glue a piece that is worn on to the outside of a face, or on to the layer under it. */
export interface DressOperation {
  readonly kind: 'dress';
  readonly piece: string;
  readonly onto:
    | {
        readonly kind: 'faces';
        readonly piece: string;
        readonly faces: readonly FaceName[];
        /** Whether these are all the walls of a piece that goes round in many. */
        readonly isAllRound: boolean;
        /** What the parts of the flat piece become, where these could not be told from others alike. */
        readonly rows: readonly FaceRow[];
      }
    /** A piece that is one face, and a layer that lies there already. */
    | { readonly kind: 'piece'; readonly piece: string }
    | { readonly kind: 'layer'; readonly piece: string };
  /** How many are put on in one go: one on each face. */
  readonly count: number;
  /** Tape must be narrower than the piece. */
  readonly narrow: Length;
  /** Whether what it is put on lies flat for it, or is folded and glued already. */
  readonly lies: 'flat' | 'folded';
  /** On which side of the box it goes: outside as far in from every edge, inside in the middle. */
  readonly side: 'inside' | 'outside';
  /** So far in from the fold of a petal its wide end is put, as its other edges are not as far in everywhere. */
  readonly fromFold?: Length;
  /** Whether it is film, which is stuck by its edges over a window. */
  readonly isFilm: boolean;
  /** Where the top of its print comes to in the finished box, where its print has a way up. */
  readonly prints?: readonly PrintTowards[];
}

/** Stamp the outside of a flat piece, or put a sticker on it. */
export interface SpotOperation {
  readonly kind: 'spot';
  readonly piece: string;
  readonly spot: StampSpot;
}

/** Cut a ribbon and put it through or under a piece that is not in its place yet, to be tied later. */
export interface LayRibbonOperation {
  readonly kind: 'lay ribbon';
  /** What it is put through, or what it is laid in, for that to come on top of it. */
  readonly piece: string;
  readonly through: string;
  readonly ribbon: Ribbon;
}

/**
 * Cut a ribbon and put it on: round the closed box or its lid, or, where it goes through holes, only cut it. One that
 * has been laid before is only tied.
 */
export interface TieOperation {
  readonly kind: 'tie';
  readonly piece: string;
  readonly ribbon: Ribbon;
}

/** Put a tag together: folded, its layers stuck on, its hole punched, and hung on the box. */
export interface TagOperation {
  readonly kind: 'tag';
  readonly piece: string;
  readonly tag: Tag;
}

/** Put the gift in. */
export interface PutInOperation {
  readonly kind: 'put in';
  readonly piece: string;
  /** What of the card that it lies on holds it, where something does without a ribbon. */
  readonly heldBy?: 'elastics' | 'slits';
}

/** Close the filled box by a way of its own. */
export interface CloseOperation {
  readonly kind: 'close';
  readonly piece: string;
  readonly way:
    /** The lid is folded down over the box, or one half over the other. */
    | { readonly kind: 'fold over'; readonly faces: readonly FaceName[] }
    /** Two walls are pushed in along their middle, and the others meet over them. */
    | { readonly kind: 'pinch'; readonly pushedIn: readonly BoxSide[] }
    /** All walls are drawn in along their pleats, till they meet or till the necks on them stand side by side. */
    | { readonly kind: 'gather'; readonly to: 'a point' | 'a neck' }
    /** The flap on one side of the pinched top goes over the other. */
    | { readonly kind: 'fold down'; readonly face: FaceName }
    /** Parts of several pieces go over one another, all round: so many, told with the first of them. */
    | { readonly kind: 'go round'; readonly face: FaceName; readonly count: number };
}

/** What is done with a piece once it is cut, scored and snipped. */
export type AssemblyOperation =
  | FoldOperation
  | FoldUpOperation
  | GlueOperation
  | TuckOperation
  | FoldCornersOperation
  | HookOperation
  | ThreadOperation
  | JoinOperation
  | LineOperation
  | AttachOperation
  | DressOperation
  | SpotOperation
  | LayRibbonOperation
  | TieOperation
  | TagOperation
  | PutInOperation
  | CloseOperation;
