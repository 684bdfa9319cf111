import type { Stack } from '../fold/index.ts';
import { half, millimetres, minus, plus, zero, type Length } from '../length/index.ts';
import type { Cutout, Diagonal, GridPoint, Spot } from '../piece/index.ts';
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
  // The half beside its wall is folded right over onto it; the other half goes on along that wall, round the
  // box's own corner, whichever side of the wall they lie on.
  const onto = following(inward ? valley(180, lays) : mountain(180, lays));
  const round = following(valley(90, lays));
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

/** A spot on each half of a web: on the one that is folded right over, and on the one that lies on that. */
function webHalves({ cell, floor, on }: Web) {
  const right = cell.column === floor.column;
  const below = cell.row === floor.row;
  // Near the floor's corner, where nothing is trimmed; the half beside the side wall borders its row line.
  const out = (share: number) => ({
    column: floor.column + (right ? share : -share),
    row: floor.row + (below ? share : -share),
  });
  const bySide = [out(0.01).column, out(0.005).row] as const;
  const byEnd = [out(0.005).column, out(0.01).row] as const;
  return on === 'sides' ? { first: bySide, second: byEnd } : { first: byEnd, second: bySide };
}

/** The two halves of a web, one on its wall and one on the other. */
export function webStacks(part: string, web: Web): readonly Stack[] {
  const { cell, floor, on, lie } = web;
  const right = cell.column === floor.column;
  const below = cell.row === floor.row;
  const { first, second } = webHalves(web);
  const side = [cell.column + 0.5, cell.row + (below ? -0.5 : 1.5)] as const;
  const end = [cell.column + (right ? -0.5 : 1.5), cell.row + 0.5] as const;
  return [
    lies(part, {
      face: first,
      on: on === 'sides' ? side : end,
      side: lie,
      holds: 'tuck',
    }),
    // The second half has turned its other face to the wall.
    lies(part, {
      face: second,
      on: first,
      side: lie === 'inside' ? 'outside' : 'inside',
      holds: 'tuck',
    }),
  ];
}

/** Two webs that cross over the middle of their wall and hook into each other: one lies on the other there. */
export function hookStack(
  part: string,
  { over, under }: { readonly over: Web; readonly under: Web },
): Stack {
  // A second half shows its drawn face on the side away from the first.
  return lies(part, {
    face: webHalves(over).first,
    on: webHalves(under).second,
    side: over.lie,
    holds: 'rest',
  });
}

/** How near the middle of its wall a web may reach that is to leave the other one room. */
export const webStand = millimetres(0.8);

/**
 * What is cut off the outer corners of webs, in a piece whose first corner cell begins at `from`: along their
 * wall they reach no farther than `most`.
 */
export function webTrims(from: Spot, wall: Length, floor: Spot, most: Length): readonly Cutout[] {
  if (wall <= most) return [];
  const spare = minus(wall, most);
  return [from.x, plus(from.x, wall, floor.x, most)].flatMap((x) =>
    [from.y, plus(from.y, wall, floor.y, most)].map((y): Cutout => {
      const to = { x: plus(x, spare), y: plus(y, spare) };
      return {
        shape: 'trim',
        use: 'web corner',
        corners: [{ x, y }, { x: to.x, y }, to, { x, y: to.y }],
      };
    }),
  );
}

/** How wide a slit is cut that card is pushed into. */
export const slitWidth = millimetres(0.8);

/** How much higher than half of its side a wall must be for two corners to hook into each other. */
export const hookReach = millimetres(10);

/**
 * The slits by which two corners that lie on one wall hook into each other, where they cross over the middle
 * of the wall: one from its edge, the other from its fold, each half as deep as they overlap. `at` turns a
 * place counted from the outer corner of the sheet into a place on the piece.
 */
export function hookSlits(
  hook: 'from the edge' | 'from the fold',
  wall: Length,
  lieOn: Length,
  at: (across: Length, down: Length) => Spot,
): readonly Cutout[] {
  const cross = minus(wall, half(lieOn));
  const deep = half(cross);
  const [from, to] = [minus(cross, half(slitWidth)), plus(cross, half(slitWidth))];
  const slit = (corners: readonly (readonly [Length, Length])[]): Cutout => ({
    shape: 'trim',
    use: 'hook',
    corners: corners.map(([across, down]) => at(across, down)),
  });
  if (hook === 'from the edge')
    return [
      slit([
        [zero, from],
        [deep, from],
        [deep, to],
        [zero, to],
      ]),
      slit([
        [from, zero],
        [from, deep],
        [to, deep],
        [to, zero],
      ]),
    ];
  return [
    slit([
      [deep, from],
      [from, from],
      [from, deep],
      [to, deep],
      [to, to],
      [deep, to],
    ]),
  ];
}
