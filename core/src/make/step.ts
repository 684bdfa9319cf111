import type { Paper } from '../paper/index.ts';
import { millimetres } from '../length/index.ts';
import type { Laid } from './laid.ts';
import type { FlatOperation } from './operation.ts';
import type { AssemblyOperation } from './operations/assembly.ts';
import type { CutOperation } from './operations/cut.ts';

/** Where on the table a step is done. */
export type Bench =
  'trimmer' | 'punch board' | 'board' | 'tip' | 'ruler' | 'scissors' | 'punch' | 'glue';

/** How the card lies to be scored: the face that will be inside the box up; a print or foil down. */
export type FaceUp = 'inside up' | 'print down' | 'foil down';

/** How a card lies, and how hard it is scored. */
export interface Handling {
  readonly face: FaceUp;
  /** Thin card is scored lightly, so that it isn't cut through. */
  readonly lightly: boolean;
}

/** Card under this thickness tears where it is scored as hard as other card. */
const thin = millimetres(0.2);

/** How a paper is handled: foil and prints must not be scored on, thin card lightly. */
export function handlingOf({ finish, print, thickness }: Paper): Handling {
  const face = finish === 'foil' ? 'foil down' : print === 'one face' ? 'print down' : 'inside up';
  return { face, lightly: thickness < thin };
}

interface Common {
  /** Stays the same while the step does, so that progress is kept when the box is planned anew. */
  readonly id: string;
  readonly bench: Bench;
  /** The piece that it is about; of a cut through a sheet the first that comes of it. */
  readonly piece: string;
  /** How many pieces go through it, over all boxes. */
  readonly copies: number;
  /** About how long one of them takes a practised hand, in seconds. */
  readonly seconds: number;
  /** What the maker wants to remember with it. */
  readonly notes?: readonly Note[];
}

/** A note of the maker’s own, told before a step or after it. */
export interface Note {
  readonly id: string;
  readonly place: 'before' | 'after';
  readonly text: string;
}

/** A step of the maker’s own. */
export interface OwnStep extends Common {
  readonly kind: 'own';
  readonly text: string;
}

/** Taking sheets apart at one setting of the trimmer. */
export interface CutStep extends Common {
  readonly kind: 'cut';
  /** A strip is cut on in the same go where it is the only one of its size. */
  readonly cuts: readonly [CutOperation, ...CutOperation[]];
}

/** What is done to a flat piece without putting it down. */
export interface FlatStep extends Common {
  readonly kind: 'flat';
  readonly handling: Handling;
  /** How the piece lies at first. */
  readonly laid: Laid;
  readonly operations: readonly [FlatOperation, ...FlatOperation[]];
}

/** Folding, gluing and closing, without putting the piece down. */
export interface AssemblyStep extends Common {
  readonly kind: 'assembly';
  /** How the flat piece lies at first, where it is still flat: of a piece that is worn, the one that it is put on. */
  readonly flat?: { readonly handling: Handling; readonly laid: Laid };
  readonly operations: readonly [AssemblyOperation, ...AssemblyOperation[]];
  /** Between which stages of the folding box it is done, for its picture. */
  readonly from: number;
  readonly to: number;
}

/** What a maker does with one tool without putting the piece down. */
export type Step = CutStep | FlatStep | AssemblyStep | OwnStep;
