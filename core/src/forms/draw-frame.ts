import type { Length } from '../length/index.ts';
import type { Piece, ScoreGrid } from '../piece/index.ts';
import type { PieceTemplate, SettledBox, SizeOf, StyleFrame } from './brief.ts';

/** A frame's own pieces and how they go together, at lengths that were chosen. */
export interface DrawnFrame extends SettledBox {
  readonly pieces: readonly Piece[];
}

/** Whether a piece has come out the same twice; most that differ do so in a size. */
function isAlike(one: ScoreGrid, other: ScoreGrid): boolean {
  const isSame = (own: readonly Length[], others: readonly Length[]) =>
    own.length === others.length && own.every((size, i) => size === others[i]);
  return (
    isSame(one.columns, other.columns) &&
    isSame(one.rows, other.rows) &&
    JSON.stringify(one) === JSON.stringify(other)
  );
}

/** How each piece came out last. */
const lastDrawn = new WeakMap<PieceTemplate, ScoreGrid>();

/** A piece at its lengths. Where it comes out as it last did it is the same grid: what is known of that serves again. */
function drawn(template: PieceTemplate, size: SizeOf): ScoreGrid {
  const grid = template.draw(size);
  const before = lastDrawn.get(template);
  if (before && isAlike(before, grid)) return before;
  lastDrawn.set(template, grid);
  return grid;
}

/** Draws the pieces of a frame. */
export function drawFrame(frame: StyleFrame, size: SizeOf): DrawnFrame {
  return {
    ...frame.settle(size),
    pieces: frame.pieces.map((template) => {
      const { id, name, paper, copies, punchBoard } = template;
      const grid = drawn(template, size);
      return { id, name, paper, copies, ...(punchBoard && { punchBoard }), grid };
    }),
  };
}
