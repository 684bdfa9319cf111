import type { Papers } from '../paper/index.ts';
import { cutSizeOf } from '../piece/index.ts';
import type { Plan } from '../planning/index.ts';
import { laySheets, type SheetUse } from '../sheets/index.ts';

/**
 * The sheets that so many boxes are cut from, paper by paper.
 * @throws RangeError when a piece is larger than its sheet.
 */
export function sheetsFor(plan: Plan, papers: Papers, boxes: number): readonly SheetUse[] {
  const pieces = plan.pieces.map(({ id, paper, copies, grid }) => ({
    id,
    paper,
    copies: copies * boxes,
    ...cutSizeOf(grid),
  }));
  return laySheets(pieces, papers);
}
