import { solveMarks } from '../marks/index.ts';
import type { PieceTemplate, StyleFrame } from '../forms/index.ts';
import { formatSize, formatWithUnit, type Length } from '../length/index.ts';
import { paperFor, type Sheet } from '../paper/index.ts';
import type { PlanRequest, Problem } from '../request/index.ts';
import { cutUnit } from '../tools/index.ts';
import { largestOn } from './mark-tools.ts';
import { scantily } from './as-wide-as-fits.ts';
import { cutSizeIn, problemOf } from './put-to-solver.ts';

function fitsSheet(
  width: Length,
  height: Length,
  {
    sheet,
    mayTurn,
  }: { readonly sheet: Pick<Sheet, 'width' | 'height'>; readonly mayTurn: boolean },
): boolean {
  const straight = width <= sheet.width && height <= sheet.height;
  return straight || (mayTurn && width <= sheet.height && height <= sheet.width);
}

/** A piece that its sheet would hold, and its punch board does not. */
function tooLargeForBoard(
  { name, punchBoard }: PieceTemplate,
  width: Length,
  height: Length,
  { kit }: PlanRequest,
): readonly Problem[] {
  const largest = largestOn(punchBoard, kit);
  if (largest === undefined || Math.max(width, height) <= largest) return [];
  const { unit } = kit.trimmer;
  return [
    {
      field: `kit.${punchBoard}Board`,
      message: `The ${name.toLowerCase()} needs a piece of ${formatSize(width, height, unit)}, and the punch board takes sheets up to ${formatWithUnit(largest, unit)}.`,
    },
  ];
}

/** What the pieces would need, where the chosen sheets are too small. None where they are not. */
export function sheetProblems(request: PlanRequest, frame: StyleFrame): readonly Problem[] {
  const free = solveMarks({ ...problemOf(scantily(frame), request), limits: [] }, 'rough');
  if (!free) return [];
  return frame.pieces.flatMap((piece): readonly Problem[] => {
    const { width, height } = cutSizeIn(free, piece.id);
    const { sheet, name, printRuns } = paperFor(request.papers, piece.paper);
    if (fitsSheet(width, height, { sheet, mayTurn: printRuns === 'any way' }))
      return tooLargeForBoard(piece, width, height, request);
    const needs = formatSize(width, height, cutUnit(request.kit));
    const has = formatSize(sheet.width, sheet.height, request.unit);
    const slot = Math.min(piece.paper, request.papers.length - 1);
    return [
      {
        field: `papers.${slot}.sheet`,
        message: `The ${piece.name.toLowerCase()} ${piece.name.endsWith('s') ? 'need' : 'needs'} a piece of ${needs}, and a sheet of ${name} is ${has}.`,
        needs: { width, height },
      },
    ];
  });
}
