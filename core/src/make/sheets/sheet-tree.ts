import type { Length } from '../../length/index.ts';
import type { Kit } from '../../tools/index.ts';
import { cutTree, type CutTree, type LaidPiece } from './cut-tree.ts';
import type { SheetPiece, SheetUse } from './lay.ts';

/** Pieces of one sheet as they lie on it. */
function laidOn(
  { placements }: SheetUse,
  sheet: number,
  pieces: readonly SheetPiece[],
): readonly LaidPiece[] {
  return placements
    .filter((each) => each.sheet === sheet)
    .flatMap(({ piece, x, y, turned }): readonly LaidPiece[] => {
      const size = pieces.find(({ id }) => id === piece);
      if (!size) return [];
      const [width, height] = turned ? [size.height, size.width] : [size.width, size.height];
      return [{ piece, x, y, width, height }];
    });
}

/** The cuts that take one sheet of a layout apart. */
export function sheetTree(
  use: SheetUse,
  sheet: number,
  {
    pieces,
    size,
    kit,
  }: {
    readonly pieces: readonly SheetPiece[];
    readonly size: { readonly width: Length; readonly height: Length };
    readonly kit: Kit;
  },
): CutTree {
  return cutTree(size, laidOn(use, sheet, pieces), kit.trimmer.leastStrip);
}
