import type { Piece } from '../piece/index.ts';
import type { SettledBox, SizeOf, StyleFrame } from './brief.ts';

/** A frame's own pieces and how they go together, at lengths that were chosen. */
export interface DrawnFrame extends SettledBox {
  readonly pieces: readonly Piece[];
}

/** Draws the pieces of a frame. */
export function drawFrame(frame: StyleFrame, size: SizeOf): DrawnFrame {
  return {
    ...frame.settle(size),
    pieces: frame.pieces.map(({ id, name, paper, copies, punchBoard, draw }) => ({
      id,
      name,
      paper,
      copies,
      ...(punchBoard && { punchBoard }),
      grid: draw(size),
    })),
  };
}
