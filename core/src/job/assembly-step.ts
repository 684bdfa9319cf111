import type { Length } from '../length/index.ts';
import type { CellRole } from '../piece/index.ts';

interface Common {
  readonly piece: string;
  readonly name: string;
  /** In one box. */
  readonly copies: number;
  /** When it is done, counted in the stages of the folding box. */
  readonly stage: number;
}

/** Fold along every score and burnish it, before anything is glued. */
export interface FoldStep extends Common {
  readonly kind: 'fold';
  /** Folds towards the drawn face, which lies inside, and away from it. */
  readonly inwards: number;
  readonly outwards: number;
}

/** Glue flaps of a piece to the same piece. */
export interface GlueStep extends Common {
  readonly kind: 'glue';
  readonly role: CellRole;
  readonly count: number;
  readonly onto: CellRole;
  /** Which face of the flaps takes the adhesive. */
  readonly adhesiveOn: 'inside' | 'outside';
  /** Tape must be narrower than the flaps. */
  readonly narrow: Length;
  /** Glued round this finished piece, so that it fits. */
  readonly round?: string;
}

/** Put a piece to the others. */
export interface JoinStep extends Common {
  readonly kind: 'join';
  readonly how: 'glue' | 'over' | 'into' | 'place';
  readonly onto: string;
}

/** Put the gift in. */
export interface GiftStep extends Common {
  readonly kind: 'gift';
}

/** Fold flaps in where nothing is glued: under what is glued next, or to close the box. */
export interface CloseStep extends Common {
  readonly kind: 'close';
  /** Whether they are slit to hook into each other. */
  readonly hooked?: true;
  readonly isLast: boolean;
  readonly role: CellRole;
  readonly count: number;
  /** Which of several it is that are folded in one after the other, counted from one. */
  readonly turn?: { readonly nth: number; readonly of: number };
}

/** Put something through the holes or the slot of a piece: a pull, a handle, or what holds the box shut. */
export interface FastenStep extends Common {
  readonly kind: 'fasten';
  readonly with: 'ribbon pull' | 'wire' | 'ribbon' | 'brad' | 'tongue';
  /** While the piece is flat, before the gift goes in, or to close the box. */
  readonly when: 'flat' | 'before the gift' | 'to close';
  /** The places of its holes among the cutouts of the piece. */
  readonly places: readonly number[];
}

/** What is done with a piece once it is cut, scored and snipped. */
export type AssemblyStep = FoldStep | GlueStep | JoinStep | FastenStep | GiftStep | CloseStep;
