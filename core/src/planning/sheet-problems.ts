import { solveMarks } from '../marks/index.ts';
import type { PieceTemplate, StyleFrame } from '../forms/index.ts';
import { formatSize, formatWithUnit, largest, plus, zero, type Length } from '../length/index.ts';
import { paperFor, type Sheet } from '../paper/index.ts';
import type { PlanRequest, Problem } from '../request/index.ts';
import { cutUnit } from '../tools/index.ts';
import { largestOn } from './mark-tools.ts';
import { scantily } from './as-wide-as-fits.ts';
import { cutSizeIn, problemOf } from './put-to-solver.ts';

type SheetSize = Pick<Sheet, 'width' | 'height'>;

function fitsStraight(width: Length, height: Length, sheet: SheetSize): boolean {
  return width <= sheet.width && height <= sheet.height;
}

function fitsSheet(width: Length, height: Length, sheet: SheetSize): boolean {
  return fitsStraight(width, height, sheet) || fitsStraight(height, width, sheet);
}

/** A piece that its sheet would hold, and its punch board does not. */
function tooLargeForBoard(
  { name, punchBoard }: PieceTemplate,
  width: Length,
  height: Length,
  { kit }: PlanRequest,
): readonly Problem[] {
  const most = largestOn(punchBoard, kit);
  if (most === undefined || Math.max(width, height) <= most) return [];
  const { unit } = kit.trimmer;
  return [
    {
      field: `kit.${punchBoard}Board`,
      message: `The ${name.toLowerCase()} needs a piece of ${formatSize(width, height, unit)}, and the punch board takes sheets up to ${formatWithUnit(most, unit)}.`,
    },
  ];
}

/** Whether some piece would be too large for its sheet or its punch board if every section were as large as it may be. */
export function mayBeTooLarge(
  { papers, kit }: PlanRequest,
  { pieces, sections }: StyleFrame,
): boolean {
  const most = new Map(sections.map((section) => [section.id, section.most]));
  const long = (ids: readonly string[]) => plus(...ids.map((id) => most.get(id) ?? zero));
  return pieces.some(({ paper, across, down, punchBoard }) => {
    const { sheet } = paperFor(papers, paper);
    const [width, height] = [long(across), long(down)];
    const onBoard = largestOn(punchBoard, kit) ?? largest(width, height);
    return !fitsStraight(width, height, sheet) || largest(width, height) > onBoard;
  });
}

/** What the pieces would need, where the chosen sheets are too small. None where they are not. */
export function sheetProblems(request: PlanRequest, frame: StyleFrame): readonly Problem[] {
  const free = solveMarks({ ...problemOf(scantily(frame), request), limits: [] }, 'rough');
  if (!free) return [];
  return frame.pieces.flatMap((piece): readonly Problem[] => {
    const { width, height } = cutSizeIn(free, piece.id);
    const tooLarge = tooLargeForSheet({ ...piece, width, height }, request);
    return tooLarge.length > 0 ? tooLarge : tooLargeForBoard(piece, width, height, request);
  });
}

/** A piece of this size, where its sheet is too small for it. */
export function tooLargeForSheet(
  {
    name: piece,
    paper,
    width,
    height,
  }: Pick<PieceTemplate, 'name' | 'paper'> & Pick<Sheet, 'width' | 'height'>,
  { papers, kit }: PlanRequest,
): readonly Problem[] {
  const { sheet, name } = paperFor(papers, paper);
  if (fitsSheet(width, height, sheet)) return [];
  // Both as they are laid on the trimmer, so that one is seen to be larger than the other.
  const unit = cutUnit(kit);
  const needs = formatSize(width, height, unit);
  const has = formatSize(sheet.width, sheet.height, unit);
  const slot = Math.min(paper, papers.length - 1);
  return [
    {
      field: `papers.${slot}.sheet`,
      message: `The ${piece.toLowerCase()} ${piece.endsWith('s') ? 'need' : 'needs'} a piece of ${needs}, and a sheet of ${name} is ${has}.`,
      needs: { width, height },
    },
  ];
}
