import { foldingBox, type FoldingBox } from '../fold/index.ts';
import { paperFor } from '../paper/index.ts';
import type { Piece } from '../piece/index.ts';
import type { Undressed } from './addition.ts';

/** A box with what it wears already, ready to fold; its pieces as `draw` leaves them. */
export function wornBox(
  { drawn, papers, worn }: Undressed,
  draw: (pieces: readonly Piece[]) => readonly Piece[] = (pieces) => pieces,
): FoldingBox {
  const { assembly } = drawn;
  return foldingBox(
    draw([...drawn.pieces, ...worn.pieces]),
    ({ paper }) => paperFor(papers, paper).thickness,
    {
      ...assembly,
      parts: [...assembly.parts, ...worn.parts],
      stacks: [...assembly.stacks, ...worn.stacks],
    },
  );
}
