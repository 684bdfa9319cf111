import { minus, nanometres, smallest, type Length } from '../length/index.ts';
import type { Paper } from '../paper/index.ts';
import {
  cutSizeOf,
  gridPositions,
  type Diagonal,
  type GridPoint,
  type Piece,
  type ScoreGrid,
  type Spot,
} from '../piece/index.ts';
import { scoringOf } from './face-up.ts';
import type { SlantEnd, SlantStep } from './step.ts';

function along(positions: readonly Length[], at: number): Length {
  const whole = Math.floor(at);
  const from = positions[whole] ?? nanometres(0);
  const to = positions[whole + 1] ?? from;
  return nanometres(Math.round(from + (to - from) * (at - whole)));
}

/** The place of a grid point, to the nanometre. */
export function spotOf(grid: ScoreGrid, { column, row }: GridPoint): Spot {
  return {
    x: along(gridPositions(grid.columns), column),
    y: along(gridPositions(grid.rows), row),
  };
}

/** How far a spot is from the edges next to it. */
export function fromEdges({ x, y }: Spot, grid: ScoreGrid): SlantEnd {
  const { width, height } = cutSizeOf(grid);
  return { across: smallest(x, minus(width, x)), down: smallest(y, minus(height, y)) };
}

/** Whether a diagonal runs at 45°, up to rounding, as a diagonal punch board scores. */
export function isAt45({ from, to }: Diagonal, grid: ScoreGrid): boolean {
  const [a, b] = [spotOf(grid, from), spotOf(grid, to)];
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
  isElsewhere: (diagonal: Diagonal) => boolean,
): readonly Straight[] {
  let lines: readonly Straight[] = [];
  grid.diagonals.forEach((diagonal, place) => {
    if (diagonal.make !== 'score' || isElsewhere(diagonal)) return;
    let line: Straight = {
      from: spotOf(grid, diagonal.from),
      to: spotOf(grid, diagonal.to),
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

/** The end nearer to the edges first, so that lines that mirror one another read alike. */
function endsOf({ from, to }: Straight, grid: ScoreGrid): readonly [SlantEnd, SlantEnd] {
  const [one, other] = [fromEdges(from, grid), fromEdges(to, grid)];
  const out = ({ across, down }: SlantEnd) => across + down;
  return out(one) <= out(other) ? [one, other] : [other, one];
}

/** Ends that read alike, whichever edge they are nearer to. */
function near({ across, down }: SlantEnd): string {
  const tenths = [across, down].map((each) => Math.round(each / 100_000));
  return tenths.sort((a, b) => a - b).join(' ');
}

/** How far a line goes across and down, to a tenth of a millimetre. */
function reachOf({ from, to }: Straight): readonly [number, number] {
  const tenths = (one: number, other: number) => Math.round(Math.abs(one - other) / 100_000);
  return [tenths(to.x, from.x), tenths(to.y, from.y)];
}

/** How lines run that are told in one go. */
function runOf(lines: readonly Straight[]): SlantStep['run'] {
  const reaches = lines.map(reachOf);
  if (reaches.some(([across, down]) => across > 0 && down > 0)) return 'aslant';
  if (reaches.every(([, down]) => down === 0)) return 'level';
  return reaches.every(([across]) => across === 0) ? 'upright' : 'straight';
}

function lengthOf({ from, to }: Straight): Length {
  return nanometres(Math.round(Math.hypot(to.x - from.x, to.y - from.y)));
}

/** Lines in groups that are told in one go, by what a name says of each. */
function grouped(
  lines: readonly Straight[],
  nameOf: (line: Straight) => string,
): readonly (readonly [Straight, ...Straight[]])[] {
  const groups = new Map<string, [Straight, ...Straight[]]>();
  for (const line of lines) {
    const group = groups.get(nameOf(line));
    if (group) group.push(line);
    else groups.set(nameOf(line), [line]);
  }
  return [...groups.values()];
}

/** Lines scored along a ruler: one step for those that are alike, or at least as long and as steep. */
export function slantSteps(
  piece: Piece,
  paper: Paper,
  isElsewhere: (diagonal: Diagonal) => boolean,
): readonly SlantStep[] {
  const { grid, id, name, copies } = piece;
  const byEnds = grouped(straightLines(grid, isElsewhere), (line) =>
    endsOf(line, grid).map(near).join(' to '),
  );
  const alone = byEnds.flatMap((group) => (group.length === 1 ? group : []));
  const groups = [
    ...byEnds.filter((group) => group.length > 1),
    ...grouped(alone, (line) => reachOf(line).join(' ')),
  ];
  return groups.map((lines): SlantStep => {
    const [first] = lines;
    const [from, to] = endsOf(first, grid);
    const isOneOfAKind = lines.length === 1 || !alone.includes(first);
    return {
      kind: 'slant',
      piece: id,
      name,
      copies,
      ...scoringOf(paper),
      run: runOf(lines),
      length: lengthOf(first),
      ...(isOneOfAKind && { ends: { from, to } }),
      lines: lines.map(({ places }) => [...places]),
    };
  });
}
