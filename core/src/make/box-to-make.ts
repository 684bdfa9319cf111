import { foldingBox, type Assembly, type FoldingBox } from '../fold/index.ts';
import { paperFor, type Papers } from '../paper/index.ts';
import type { LineRef, Piece } from '../piece/index.ts';

/** What goes over or into what. */
export interface MadePair {
  readonly kind: 'lid' | 'drawer' | 'liner' | 'tuck' | 'handle' | 'hinge' | 'level' | 'seat';
  readonly outer: string;
  readonly inner: string;
}

/** What the work must know of a box: its pieces, the lines to be made on each, how they go together. */
export interface BoxToMake {
  readonly pieces: readonly Piece[];
  readonly marks: readonly {
    readonly piece: string;
    readonly readings: readonly LineRef[];
  }[];
  readonly pairs: readonly MadePair[];
  readonly assembly: Assembly;
}

/**
 * A piece by its id.
 * @throws Error when the box has none of that id.
 */
export function pieceOf({ pieces }: Pick<BoxToMake, 'pieces'>, id: string): Piece {
  const piece = pieces.find((each) => each.id === id);
  if (!piece) throw new Error(`No piece ${id} in this box`);
  return piece;
}

/** How often a piece stands in a box. */
export function copiesInBox({ assembly }: Pick<BoxToMake, 'assembly'>, id: string): number {
  // A tag is no part of the box.
  return assembly.parts.filter(({ piece }) => piece === id).length || 1;
}

/** A box's pieces as a box that folds. */
export function boxOf(
  { pieces, assembly }: Pick<BoxToMake, 'pieces' | 'assembly'>,
  papers: Papers,
): FoldingBox {
  return foldingBox(pieces, ({ paper }) => paperFor(papers, paper).thickness, assembly);
}
