import type { Point } from './point.ts';
import type { LineRef, ScoreGrid } from './score-grid.ts';
import { gridPlacer } from './segments.ts';

/** A straight run on a piece, in millimetres from its top left corner. */
export interface Run {
  readonly from: Point;
  readonly to: Point;
}

/**
 * What is made at the mark of a grid line: the line across the piece, or the slanting lines that start from
 * the mark at the piece's edges where nothing runs along the grid.
 */
export function linesAtMark(grid: ScoreGrid, { axis, index }: LineRef): readonly Run[] {
  const place = gridPlacer(grid);
  const [columns, rows] = [grid.columns.length, grid.rows.length];
  if (grid.lines.some((line) => line.axis === axis && line.index === index))
    return axis === 'column'
      ? [{ from: place({ column: index, row: 0 }), to: place({ column: index, row: rows }) }]
      : [{ from: place({ column: 0, row: index }), to: place({ column: columns, row: index }) }];
  return grid.diagonals
    .filter(({ from, to }) =>
      [from, to].some(({ column, row }) =>
        axis === 'column'
          ? column === index && (row === 0 || row === rows)
          : row === index && (column === 0 || column === columns),
      ),
    )
    .map(({ from, to }) => ({ from: place(from), to: place(to) }));
}
