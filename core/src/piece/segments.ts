import { toMillimetres } from '../length/index.ts';
import type { Point } from './point.ts';
import {
  gridPositions,
  type Fold,
  type GridPoint,
  type LineRef,
  type ScoreGrid,
} from './score-grid.ts';
import type { Waste } from './waste.ts';

/** What a straight line on a piece is made with: the piece's own edge, a cut inside it, a slit or a score. */
export type Make = 'edge' | 'cut' | 'slit' | 'score';

/** A straight line on a piece, in millimetres. */
export interface Segment {
  readonly from: Point;
  readonly to: Point;
  readonly make: Make;
  readonly fold?: Fold;
  /** The grid line it belongs to, when it does. */
  readonly line?: LineRef;
}

/** The drawn place of every grid point. */
export function gridPlacer(grid: ScoreGrid): (point: GridPoint) => Point {
  const xs = gridPositions(grid.columns).map(toMillimetres);
  const ys = gridPositions(grid.rows).map(toMillimetres);
  return ({ column, row }) => ({ x: between(xs, column), y: between(ys, row) });
}

/** A position counted in sections, in millimetres. */
function between(positions: readonly number[], at: number): number {
  const whole = Math.floor(at);
  const from = positions[whole] ?? 0;
  return at === whole ? from : from + ((positions[whole + 1] ?? from) - from) * (at - whole);
}

/** Every line of a piece before they are split where they meet: edges, spans, diagonals, and round its waste. */
export function segmentsOf(
  grid: ScoreGrid,
  place: (point: GridPoint) => Point,
  wastes: readonly Waste[],
): readonly Segment[] {
  const columns = grid.columns.length;
  const rows = grid.rows.length;
  const segments: Segment[] = [];
  const corners = [
    place({ column: 0, row: 0 }),
    place({ column: columns, row: 0 }),
    place({ column: columns, row: rows }),
    place({ column: 0, row: rows }),
  ];
  corners.forEach((from, i) => {
    segments.push({ from, to: corners[(i + 1) % 4] ?? from, make: 'edge' });
  });
  for (const line of grid.lines)
    for (const span of line.spans) {
      const at = (along: number) =>
        line.axis === 'column'
          ? place({ column: line.index, row: along })
          : place({ column: along, row: line.index });
      segments.push({
        from: at(span.from),
        to: at(span.to),
        line: { axis: line.axis, index: line.index },
        ...(span.make === 'score' ? { make: 'score', fold: span.fold } : { make: 'slit' }),
      });
    }
  for (const diagonal of grid.diagonals)
    segments.push({
      from: place(diagonal.from),
      to: place(diagonal.to),
      ...(diagonal.make === 'score' ? { make: 'score', fold: diagonal.fold } : { make: 'slit' }),
    });
  for (const { cuts } of wastes)
    for (const [from, to] of cuts) segments.push({ from, to, make: 'cut' });
  segments.push(...wasteBorders(grid, place));
  return segments;
}

/** Waste is cut away even where no line was asked for on its border. */
function wasteBorders(grid: ScoreGrid, place: (point: GridPoint) => Point): readonly Segment[] {
  const borders: Segment[] = [];
  const isWaste = (column: number, row: number) => grid.roles[row]?.[column] === 'waste';
  grid.roles.forEach((roles, row) => {
    roles.forEach((_, column) => {
      if (column > 0 && isWaste(column, row) !== isWaste(column - 1, row))
        borders.push({
          from: place({ column, row }),
          to: place({ column, row: row + 1 }),
          make: 'cut',
        });
      if (row > 0 && isWaste(column, row) !== isWaste(column, row - 1))
        borders.push({
          from: place({ column, row }),
          to: place({ column: column + 1, row }),
          make: 'cut',
        });
    });
  });
  return borders;
}
