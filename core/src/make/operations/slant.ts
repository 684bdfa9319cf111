import { nanometres, type Length } from '../../length/index.ts';
import { cutSizeOf, type Diagonal, type ScoreGrid, type Spot } from '../../piece/index.ts';
import { groupAtCorners, type AtCorners } from '../at-corners.ts';
import { spotOnGrid } from '../grid-spot.ts';

/** Scores along a ruler from one place to another, the same at one corner or at several. */
export interface SlantOperation {
  readonly kind: 'slanted score';
  readonly piece: string;
  /** Where each begins and ends. */
  readonly at: AtCorners;
  /** The places of its runs among the diagonals of the piece, line by line. */
  readonly diagonals: readonly (readonly number[])[];
  /** How long each of them is. */
  readonly length: Length;
}

/** Whether a diagonal runs at 45°, up to rounding, as a diagonal punch board scores. */
export function isAt45({ from, to }: Diagonal, grid: ScoreGrid): boolean {
  const [a, b] = [spotOnGrid(grid, from), spotOnGrid(grid, to)];
  return Math.abs(Math.abs(a.x - b.x) - Math.abs(a.y - b.y)) < 10;
}

/** Diagonals that make up one straight line, by their places, and where the line ends. */
interface Straight {
  readonly from: Spot;
  readonly to: Spot;
  readonly places: readonly number[];
}

/** Two spots this near are one: grid points are worked out from shares of sections. */
const same = 1000;

function isSame(a: Spot, b: Spot): boolean {
  return Math.abs(a.x - b.x) <= same && Math.abs(a.y - b.y) <= same;
}

/** One line out of two that meet end to end and run the same way; undefined where they don't. */
function joined(a: Straight, b: Straight): Straight | undefined {
  for (const [far, near] of [
    [a.from, a.to],
    [a.to, a.from],
  ] as const)
    for (const [start, end] of [
      [b.from, b.to],
      [b.to, b.from],
    ] as const) {
      if (!isSame(near, start)) continue;
      const [ax, ay] = [near.x - far.x, near.y - far.y];
      const [bx, by] = [end.x - start.x, end.y - start.y];
      const long = Math.hypot(ax, ay) * Math.hypot(bx, by);
      if (Math.abs(ax * by - ay * bx) > long * 1e-5 || ax * bx + ay * by < 0) continue;
      return { from: far, to: end, places: [...a.places, ...b.places] };
    }
  return undefined;
}

/** The scored diagonals of a piece as they are drawn along a ruler: whole lines from end to end. */
function straightLines(
  grid: ScoreGrid,
  isWanted: (diagonal: Diagonal) => boolean,
): readonly Straight[] {
  let lines: readonly Straight[] = [];
  grid.diagonals.forEach((diagonal, place) => {
    if (diagonal.make !== 'score' || !isWanted(diagonal)) return;
    let line: Straight = {
      from: spotOnGrid(grid, diagonal.from),
      to: spotOnGrid(grid, diagonal.to),
      places: [place],
    };
    const apart: Straight[] = [];
    for (const other of lines) {
      const both = joined(line, other);
      if (both) line = both;
      else apart.push(other);
    }
    lines = [...apart, line];
  });
  return lines;
}

/** The lines of a piece that run aslant, or that begin and end elsewhere than at its grid lines' ends. */
export function slantOperations(
  piece: { readonly id: string; readonly grid: ScoreGrid },
  isWanted: (diagonal: Diagonal) => boolean,
): readonly SlantOperation[] {
  const lines = straightLines(piece.grid, isWanted);
  const groups = groupAtCorners(
    lines.map(({ from, to }) => [from, to]),
    cutSizeOf(piece.grid),
  );
  return groups.map((at): SlantOperation => {
    const here = at.places.flatMap((place) => lines[place] ?? []);
    const [first] = here;
    const long = first ? Math.hypot(first.to.x - first.from.x, first.to.y - first.from.y) : 0;
    return {
      kind: 'slanted score',
      piece: piece.id,
      at,
      diagonals: here.map(({ places }) => places),
      length: nanometres(Math.round(long)),
    };
  });
}
