import type { Stack } from '../fold/index.ts';
import type { Diagonal, GridPoint } from '../piece/index.ts';
import { columnScore, diagonalScore, following, mountain, rowScore, valley } from './draw-grid.ts';
import { lies } from './placing.ts';

/** Which side of a wall the folded corners lie on. */
export type WebsLie = 'inside' | 'outside';

/** Which pair of walls they lie on. */
export type WebsOn = 'sides' | 'front and back';

/**
 * A corner that is left whole: a square cell between two walls, folded in half on its diagonal and laid
 * against one of them.
 */
export interface Web {
  /** The cell, and its corner at the floor. */
  readonly cell: { readonly column: number; readonly row: number };
  readonly floor: GridPoint;
  readonly on: WebsOn;
  readonly lie: WebsLie;
  /** The stage at which it is laid against its wall, when the walls are up. */
  readonly lays: number;
}

/** The creases of a web: two on its walls and the diagonal. */
export function webCreases({ cell, floor, on, lie, lays }: Web) {
  const outer = {
    column: cell.column === floor.column ? cell.column + 1 : cell.column,
    row: cell.row === floor.row ? cell.row + 1 : cell.row,
  };
  const inward = lie === 'inside';
  // The half beside its wall is folded right over onto it; the other half follows round the corner.
  const onto = following(inward ? valley(180, lays) : mountain(180, lays));
  const round = following(inward ? valley(90, lays) : mountain(90, lays));
  const beside = on === 'sides' ? { row: onto, column: round } : { row: round, column: onto };
  const middle: Diagonal = diagonalScore(
    floor,
    outer,
    following(inward ? mountain(180, lays) : valley(180, lays)),
  );
  return {
    lines: [
      rowScore(floor.row, cell.column, cell.column + 1, beside.row),
      columnScore(floor.column, cell.row, cell.row + 1, beside.column),
    ],
    diagonal: middle,
  };
}

/** The two halves of a web, one on its wall and one on the other. */
export function webStacks(part: string, { cell, floor, on, lie }: Web): readonly Stack[] {
  const right = cell.column === floor.column;
  const below = cell.row === floor.row;
  // The half beside the side wall borders the row line through the floor's corner.
  const bySide = [cell.column + (right ? 0.75 : 0.25), cell.row + (below ? 0.25 : 0.75)] as const;
  const byEnd = [cell.column + (right ? 0.25 : 0.75), cell.row + (below ? 0.75 : 0.25)] as const;
  const side = [cell.column + 0.5, cell.row + (below ? -0.5 : 1.5)] as const;
  const end = [cell.column + (right ? -0.5 : 1.5), cell.row + 0.5] as const;
  const [first, second, wall] = on === 'sides' ? [bySide, byEnd, side] : [byEnd, bySide, end];
  return [
    lies(part, first, wall, lie, 'tuck', 0.9),
    // The second half has turned its other face to the wall.
    lies(part, second, first, lie === 'inside' ? 'outside' : 'inside', 'tuck', 0.9),
  ];
}
