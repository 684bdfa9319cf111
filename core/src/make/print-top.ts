import { vector, type Vector } from '../fold/index.ts';
import { hasWayUp, type Paper } from '../paper/index.ts';
import type { Piece, Side } from '../piece/index.ts';

/** The way from the middle of a flat piece to its edges, as its crease pattern has them. */
export const waysToEdges: Readonly<Record<Side, Vector>> = {
  top: vector(0, 1, 0),
  bottom: vector(0, -1, 0),
  left: vector(-1, 0, 0),
  right: vector(1, 0, 0),
};

/** The edge of a piece, as drawn, at which the top of its print is; undefined where its print has no way up. */
export function printTopOf(
  { printTop = 'top' }: Pick<Piece, 'printTop'>,
  paper: Pick<Paper, 'print' | 'printRuns'>,
): Side | undefined {
  return hasWayUp(paper) ? printTop : undefined;
}

/** Whether a piece lies on its side on the sheet, so that its print comes to stand so. */
export function isTurnedByPrint({ printTop }: Pick<Piece, 'printTop'>): boolean {
  return printTop === 'left' || printTop === 'right';
}
