import { paperFor, type Papers } from '../paper/index.ts';
import { cutSizeOf } from '../piece/index.ts';
import type { Plan } from '../planning/index.ts';
import type { PlanRequest } from '../request/index.ts';
import {
  cutPlan,
  layBatch,
  type NamedPiece,
  type SheetUse,
  type TrimStep,
} from '../sheets/index.ts';

/**
 * The sheets that so many boxes are cut from, paper by paper.
 * @throws RangeError when a piece is larger than its sheet.
 */
export function sheetsFor(plan: Plan, papers: Papers, boxes: number): readonly SheetUse[] {
  return layBatch(piecesOf(plan, boxes), papers);
}

function piecesOf(plan: Plan, boxes: number): readonly NamedPiece[] {
  return plan.pieces.map(({ id, name, paper, copies, grid }) => ({
    id,
    name,
    paper,
    copies: copies * boxes,
    ...cutSizeOf(grid),
  }));
}

/**
 * The cuts that make the pieces of so many boxes from whole sheets, in order.
 * @throws RangeError when a piece is larger than its sheet.
 */
export function trimSteps(
  plan: Plan,
  { papers, kit, made }: Pick<PlanRequest, 'papers' | 'kit' | 'made'>,
  boxes: number,
): readonly TrimStep[] {
  // What is cut already, and planned round, is not cut again.
  const isCut = new Set(made.map(({ piece }) => piece));
  const pieces = piecesOf(plan, boxes).filter(({ id }) => !isCut.has(id));
  const uses = layBatch(pieces, papers).flatMap((use) => {
    // The same card in two sheet sizes is told apart by the pieces that lie on it.
    const laid = use.placements[0]?.piece;
    const slot = plan.pieces.find(({ id }) => id === laid)?.paper;
    return slot === undefined ? [] : [{ use, paper: paperFor(papers, slot) }];
  });
  return cutPlan(uses, pieces, kit);
}
