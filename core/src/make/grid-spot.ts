import { nanometres, type Length } from '../length/index.ts';
import { gridPositions, type GridPoint, type ScoreGrid, type Spot } from '../piece/index.ts';

function along(positions: readonly Length[], at: number): Length {
  const whole = Math.min(Math.floor(at), positions.length - 1);
  const from = positions[whole] ?? nanometres(0);
  const to = positions[whole + 1] ?? from;
  return nanometres(Math.round(from + (to - from) * (at - whole)));
}

/** The place of a grid point, to the nanometre, from the upper left corner of the piece. */
export function spotOnGrid(grid: ScoreGrid, { column, row }: GridPoint): Spot {
  return {
    x: along(gridPositions(grid.columns), column),
    y: along(gridPositions(grid.rows), row),
  };
}
