import { inches, type Length } from '../../length/index.ts';
import { paperFor, type Papers } from '../../paper/index.ts';
import type { Kit } from '../../tools/index.ts';
import type { CutTree, Region } from './cut-tree.ts';
import type { SheetPiece, SheetUse } from './lay.ts';
import { sheetTree } from './sheet-tree.ts';

/** What is left over and wide enough to be kept: tags and bands come of it. */
const leastOffcut: Length = inches(1);

/** Whether card of this size is kept; what is narrower is waste. */
export function isOffcut(width: Length, height: Length): boolean {
  return width >= leastOffcut && height >= leastOffcut;
}

/** The parts of a sheet that nothing lies on. */
function leftOf({ region, cut }: CutTree): readonly Region[] {
  if (cut) return [...leftOf(cut.first), ...leftOf(cut.rest)];
  return region.pieces.length === 0 ? [region] : [];
}

/** What is left of the sheets when the pieces are cut from them, as shares of all their card, from 0 to 1. */
export function leftOver(
  uses: readonly SheetUse[],
  pieces: readonly SheetPiece[],
  { papers, kit }: { readonly papers: Papers; readonly kit: Kit },
): { readonly offcuts: number; readonly waste: number } {
  let [all, offcuts, waste] = [0, 0, 0];
  for (const use of uses) {
    const laid = pieces.find(({ id }) => id === use.placements[0]?.piece);
    if (!laid) continue;
    const { sheet: size } = paperFor(papers, laid.paper);
    all += use.sheets * size.width * size.height;
    for (let sheet = 0; sheet < use.sheets; sheet++)
      for (const { width, height } of leftOf(sheetTree(use, sheet, { pieces, size, kit })))
        if (isOffcut(width, height)) offcuts += width * height;
        else waste += width * height;
  }
  return all === 0 ? { offcuts: 0, waste: 0 } : { offcuts: offcuts / all, waste: waste / all };
}
