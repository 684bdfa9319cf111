import type { GridLine, ScoreGrid, Spot, Taper } from '../piece/index.ts';
import { moveCutout } from './move-cutout.ts';

/** What more a larger grid has before the smaller one: so many columns and rows, and how far they reach. */
interface Before {
  readonly columns: number;
  readonly rows: number;
  readonly reach: Spot;
}

function moveLine(line: GridLine, { columns, rows }: Before): GridLine {
  const [own, other] = line.axis === 'row' ? [rows, columns] : [columns, rows];
  return {
    ...line,
    index: line.index + own,
    spans: line.spans.map((span) => ({ ...span, from: span.from + other, to: span.to + other })),
  };
}

/** The lines, tapers and cutouts of a grid as they lie in a larger one that goes on before its first edges. */
export function moveGrid(
  { lines, tapers, cutouts }: ScoreGrid,
  before: Before,
): Pick<ScoreGrid, 'lines' | 'tapers' | 'cutouts'> {
  const { columns, rows, reach } = before;
  return {
    lines: lines.map((line) => moveLine(line, before)),
    tapers: tapers.map((taper): Taper => ({
      ...taper,
      cell: { column: taper.cell.column + columns, row: taper.cell.row + rows },
    })),
    cutouts: cutouts.map((cutout) => moveCutout(cutout, reach)),
  };
}
