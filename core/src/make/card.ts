import { absolute, largest, minus, nanometres, zero, type Length } from '../length/index.ts';
import {
  cutSizeOf,
  gridPlacer,
  gridPositions,
  isSameLine,
  wasteOf,
  type LineRef,
  type ScoreGrid,
  type Side,
  type Spot,
} from '../piece/index.ts';
import { spotOnGrid } from './grid-spot.ts';
import { sizeLying, spotLying, type Lying, type Size } from './lying.ts';

/** A stretch of a grid line that is scored, from the top or the left. */
export interface ScoredRun {
  readonly line: LineRef;
  readonly from: Length;
  readonly to: Length;
}

/** A piece as it is at one moment of the work: its grid with nothing on it that isn't made yet. */
export interface AsMade {
  readonly grid: ScoreGrid;
  /** Scores along grid lines, from where to where each was made. */
  readonly runs: readonly ScoredRun[];
  /** From where to where it is slit. */
  readonly slits: readonly (readonly [Spot, Spot])[];
  /** Notches that a punch board has left at the edges. */
  readonly notches: readonly Spot[];
  /** Lines that are ticked at the edges and not scored. */
  readonly ticks: readonly LineRef[];
  /** The edge, as drawn, at which the top of a print is that has a way up. */
  readonly printTop?: Side;
}

/** Something that can be seen or felt on a piece, by its spots as it lies. */
export interface Trace {
  readonly kind: 'score' | 'tick' | 'slit' | 'cut' | 'hole' | 'notch' | 'print';
  readonly spots: readonly Spot[];
}

/** A piece as the maker sees it lying: how large it is, and what is on it. */
export interface SeenCard {
  readonly size: Size;
  readonly traces: readonly Trace[];
}

/** Runs of one line that meet are one. */
function merged(runs: readonly ScoredRun[]): readonly ScoredRun[] {
  const all: ScoredRun[] = [];
  for (const run of [...runs].sort((a, b) => a.from - b.from)) {
    const at = all.findIndex((each) => isSameLine(each.line, run.line) && run.from <= each.to);
    const other = all[at];
    if (other) all[at] = { ...other, to: largest(other.to, run.to) };
    else all.push(run);
  }
  return all;
}

function lineTraces({ grid, ticks, runs }: AsMade): readonly Trace[] {
  const [xs, ys] = [gridPositions(grid.columns), gridPositions(grid.rows)];
  const { width, height } = cutSizeOf(grid);
  const place = ({ axis, index }: LineRef, along: Length): Spot =>
    axis === 'column' ? { x: xs[index] ?? zero, y: along } : { x: along, y: ys[index] ?? zero };
  return [
    ...merged(runs).map(({ line, from, to }): Trace => ({
      kind: 'score',
      spots: [place(line, from), place(line, to)],
    })),
    ...ticks.map((line): Trace => ({
      kind: 'tick',
      spots: [place(line, zero), place(line, line.axis === 'column' ? height : width)],
    })),
  ];
}

/** The corners of the cells of a grid that are cut away. */
function wasteTraces({ columns, rows, roles }: ScoreGrid): readonly Trace[] {
  const [xs, ys] = [gridPositions(columns), gridPositions(rows)];
  return roles.flatMap((row, down) =>
    row.flatMap((role, across): readonly Trace[] => {
      if (role !== 'waste') return [];
      const [left = zero, right = zero] = xs.slice(across, across + 2);
      const [top = zero, bottom = zero] = ys.slice(down, down + 2);
      return [
        {
          kind: 'cut',
          spots: [
            { x: left, y: top },
            { x: right, y: top },
            { x: right, y: bottom },
            { x: left, y: bottom },
          ],
        },
      ];
    }),
  );
}

/** A drawn place, to the micron. */
function micron(place: number): Length {
  return nanometres(Math.round(place * 1000) * 1000);
}

/** The lower left corner of a print, then both ends of its top. */
function printSpots(top: Side, { width, height }: Size): readonly Spot[] {
  const corners: Readonly<Record<Side, readonly Spot[]>> = {
    top: [
      { x: zero, y: height },
      { x: zero, y: zero },
      { x: width, y: zero },
    ],
    right: [
      { x: zero, y: zero },
      { x: width, y: zero },
      { x: width, y: height },
    ],
    bottom: [
      { x: width, y: zero },
      { x: width, y: height },
      { x: zero, y: height },
    ],
    left: [
      { x: width, y: height },
      { x: zero, y: height },
      { x: zero, y: zero },
    ],
  };
  return corners[top];
}

/** Everything on a piece, where it is drawn. */
function tracesOf(made: AsMade): readonly Trace[] {
  const { grid, printTop } = made;
  const { width, height } = cutSizeOf(grid);
  const openings = grid.cutouts.flatMap((cutout): readonly Trace[] =>
    cutout.shape === 'hole' || cutout.shape === 'notch'
      ? [{ kind: cutout.shape, spots: [cutout.centre] }]
      : [],
  );
  const edged = grid.cutouts.filter(({ shape }) => shape === 'corner' || shape === 'trim');
  const cuts = wasteOf({ ...grid, cutouts: edged }, gridPlacer(grid)).map(({ ring }): Trace => ({
    kind: 'cut',
    spots: ring.map(({ x, y }) => ({ x: micron(x), y: micron(y) })),
  }));
  return [
    ...lineTraces(made),
    ...grid.diagonals.map(({ from, to }): Trace => ({
      kind: 'score',
      spots: [spotOnGrid(grid, from), spotOnGrid(grid, to)],
    })),
    ...made.slits.map((spots): Trace => ({ kind: 'slit', spots })),
    ...made.notches.map((spot): Trace => ({ kind: 'notch', spots: [spot] })),
    ...wasteTraces(grid),
    ...cuts,
    ...openings,
    ...(printTop
      ? [{ kind: 'print', spots: printSpots(printTop, { width, height }) } as const]
      : []),
  ];
}

/** A piece as it lies in front of the maker. */
export function seen(made: AsMade, lying: Lying): SeenCard {
  const size = cutSizeOf(made.grid);
  return {
    size: sizeLying(size, lying),
    traces: tracesOf(made).map(({ kind, spots }) => ({
      kind,
      spots: spots.map((spot) => spotLying(spot, size, lying)),
    })),
  };
}

/** Two places this near can't be told apart, nor does it matter. */
const near = 20_000;

function isNear(one: Length, other: Length): boolean {
  return absolute(minus(one, other)) <= near;
}

function isSameTrace(one: Trace, other: Trace): boolean {
  if (one.kind !== other.kind || one.spots.length !== other.spots.length) return false;
  const holds = (a: Spot, b: Spot) => isNear(a.x, b.x) && isNear(a.y, b.y);
  if (one.kind === 'print')
    return one.spots.every((spot, i) => holds(spot, other.spots[i] ?? spot));
  return one.spots.every((spot) => other.spots.some((each) => holds(spot, each)));
}

/** Whether a piece looks the same in two lyings: then it does not matter which of them it is. */
export function looksTheSame(one: SeenCard, other: SeenCard): boolean {
  return (
    isNear(one.size.width, other.size.width) &&
    isNear(one.size.height, other.size.height) &&
    one.traces.every((trace) => other.traces.some((each) => isSameTrace(trace, each)))
  );
}

/** A straight line on a card that runs along an edge of it, by its distance from that edge. */
export function distancesFrom(side: Side, { size, traces }: SeenCard): readonly Length[] {
  const upright = side === 'left' || side === 'right';
  const places = traces.flatMap(({ kind, spots: [from, to] }): readonly Length[] => {
    if ((kind !== 'score' && kind !== 'tick') || !from || !to) return [];
    if (upright ? from.x !== to.x : from.y !== to.y) return [];
    return [upright ? from.x : from.y];
  });
  const whole = upright ? size.width : size.height;
  const isFirst = side === 'left' || side === 'top';
  return [...new Set(places.map((at) => (isFirst ? at : minus(whole, at))))].sort((a, b) => a - b);
}
