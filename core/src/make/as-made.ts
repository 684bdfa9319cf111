import { absolute, half, minus, plus, zero, type Length } from '../length/index.ts';
import type { Paper } from '../paper/index.ts';
import {
  cutSizeOf,
  gridPositions,
  isSameLine,
  type Diagonal,
  type Fold,
  type GridLine,
  type LineRef,
  type LineSpan,
  type Piece,
  type ScoreGrid,
  type Spot,
} from '../piece/index.ts';
import type { AsMade, ScoredRun } from './card.ts';
import { printTopOf } from './print-top.ts';
import { spotOnGrid } from './grid-spot.ts';
import type { FlatOperation } from './operation.ts';
import type { PunchOperation } from './operations/punch.ts';
import type { ScoreMark } from './operations/score-operation.ts';
import { isAt45 } from './operations/slant.ts';

/** A piece as it is cut, with nothing on it yet. */
export function justCut(piece: Pick<Piece, 'grid' | 'printTop'>, paper: Paper): AsMade {
  const { grid } = piece;
  const printTop = printTopOf(piece, paper);
  return {
    grid: {
      ...grid,
      roles: grid.roles.map((row) => row.map((role) => (role === 'waste' ? 'wall' : role))),
      lines: [],
      diagonals: [],
      tapers: [],
      cutouts: [],
      patches: grid.patches.filter(({ role }) => role !== 'waste'),
    },
    runs: [],
    slits: [],
    notches: [],
    ticks: [],
    ...(printTop && { printTop }),
  };
}

/** How a score that runs through waste or along a slit shows: as a crease that is never folded. */
const bare: Fold = { sense: 'mark', angle: 0, stage: 0 };

function lineIn({ lines }: ScoreGrid, line: LineRef): GridLine | undefined {
  return lines.find((each) => isSameLine(each, line));
}

/** Cells in a row that are made alike, as spans. */
function spansOf(cells: readonly (Fold | 'slit' | undefined)[]): readonly LineSpan[] {
  const spans: LineSpan[] = [];
  cells.forEach((cell, at) => {
    if (cell === undefined) return;
    const last = spans[spans.length - 1];
    const isAlike =
      last?.to === at && (last.make === 'slit' ? cell === 'slit' : last.fold === cell);
    if (last && isAlike) spans[spans.length - 1] = { ...last, to: at + 1 };
    else
      spans.push(
        cell === 'slit'
          ? { make: 'slit', from: at, to: at + 1 }
          : { make: 'score', from: at, to: at + 1, fold: cell },
      );
  });
  return spans;
}

function cellsOf(line: GridLine | undefined, count: number): (Fold | 'slit' | undefined)[] {
  return Array.from({ length: count }, (_, at) => {
    const span = line?.spans.find(({ from, to }) => from <= at && at < to);
    if (!span) return undefined;
    return span.make === 'slit' ? 'slit' : span.fold;
  });
}

function withLine(grid: ScoreGrid, line: LineRef, spans: readonly LineSpan[]): ScoreGrid {
  const others = grid.lines.filter((each) => !isSameLine(each, line));
  return { ...grid, lines: [...others, { ...line, spans: [...spans] }] };
}

/** A line scored as far as a mark says. */
function scored(made: ScoreGrid, whole: ScoreGrid, { line, part, stretch }: ScoreMark): ScoreGrid {
  const sections = line.axis === 'column' ? whole.rows : whole.columns;
  const places = gridPositions(sections);
  const wanted = cellsOf(lineIn(whole, line), sections.length);
  const before = cellsOf(lineIn(made, line), sections.length);
  const cells = sections.map((_, at) => {
    const [from = zero, to = zero] = places.slice(at, at + 2);
    // A score that is longer than the grooves counts as there once it is begun.
    // Two passes may meet within a cell: it is scored once its middle is.
    const middle = half(plus(from, to));
    const isWithin =
      part === undefined || stretch !== undefined || (part.from <= middle && middle <= part.to);
    if (!isWithin) return before[at];
    const fold = wanted[at];
    return fold === undefined || fold === 'slit' ? bare : fold;
  });
  return withLine(made, line, spansOf(cells));
}

/** Slits where they are wanted along a line. */
function slit(made: ScoreGrid, whole: ScoreGrid, line: LineRef): ScoreGrid {
  const count = (line.axis === 'column' ? whole.rows : whole.columns).length;
  const wanted = cellsOf(lineIn(whole, line), count);
  const before = cellsOf(lineIn(made, line), count);
  return withLine(
    made,
    line,
    spansOf(before.map((cell, at) => (wanted[at] === 'slit' ? 'slit' : cell))),
  );
}

function withCutouts(made: ScoreGrid, whole: ScoreGrid, places: readonly number[]): ScoreGrid {
  return {
    ...made,
    cutouts: [...made.cutouts, ...places.flatMap((place) => whole.cutouts[place] ?? [])],
  };
}

/** Whether both ends of a diagonal lie on the line from a place on the upper edge down to the left. */
function isOnLineFrom(at: Length, { from, to }: Diagonal, grid: ScoreGrid): boolean {
  return [from, to].every((point) => {
    const { x, y } = spotOnGrid(grid, point);
    return absolute(minus(plus(x, y), at)) < isOnLine;
  });
}

/** Grid points are worked out from shares of sections: this near, in nanometres, is on the line. */
const isOnLine = 1000;

/** What a punch board leaves: one line by a mark, all that run at 45° after the turns, or all at once. */
function punched(made: ScoreGrid, whole: ScoreGrid, punch: PunchOperation): ScoreGrid {
  const scores = whole.diagonals.filter(({ make }) => make === 'score');
  const { setting, board } = punch;
  if (board === 'corner') return { ...made, lines: whole.lines, diagonals: scores };
  const slanting = scores.filter((diagonal) => isAt45(diagonal, whole));
  if (setting.kind === 'last lines') return { ...made, diagonals: slanting };
  const added = slanting.filter((diagonal) => isOnLineFrom(setting.at, diagonal, whole));
  return { ...made, diagonals: [...made.diagonals, ...added] };
}

/** The notches at the edges after a punch: one at a mark, then one at every end of every line. */
function notchesAfter({ grid, notches }: AsMade, { board, setting }: PunchOperation) {
  if (board === 'corner') return notches;
  if (setting.kind === 'mark') return [...notches, { x: setting.at, y: zero }];
  const { width, height } = cutSizeOf(grid);
  return notches.flatMap(({ x: at }): readonly Spot[] => [
    { x: at, y: zero },
    { x: zero, y: at },
    { x: minus(width, at), y: height },
    { x: width, y: minus(height, at) },
  ]);
}

function gridAfter(made: ScoreGrid, whole: ScoreGrid, operation: FlatOperation): ScoreGrid {
  switch (operation.kind) {
    case 'score':
      return operation.marks.reduce((grid, mark) => scored(grid, whole, mark), made);
    case 'mark':
      return made;
    case 'punch':
      return punched(made, whole, operation);
    case 'slanted score':
      return {
        ...made,
        diagonals: [
          ...made.diagonals,
          ...operation.diagonals.flat().flatMap((place) => whole.diagonals[place] ?? []),
        ],
      };
    case 'slit':
      return operation.lines.reduce((grid, line) => slit(grid, whole, line), made);
    case 'cut away': {
      const roles = made.roles.map((row, down) =>
        row.map((role, across) =>
          operation.cells.some(({ column, row: at }) => column === across && at === down)
            ? ('waste' as const)
            : role,
        ),
      );
      const patches = operation.patches.flatMap((place) => whole.patches[place] ?? []);
      return withCutouts(
        { ...made, roles, patches: [...made.patches, ...patches] },
        whole,
        operation.cutouts,
      );
    }
    case 'taper':
      return {
        ...made,
        tapers: [...made.tapers, ...operation.places.flatMap((place) => whole.tapers[place] ?? [])],
      };
    case 'cut to shape':
    case 'round':
    case 'cut out':
      return withCutouts(made, whole, operation.cutouts);
  }
}

/** What an operation scores along grid lines. */
function runsOf(operation: FlatOperation, { grid }: Pick<Piece, 'grid'>): readonly ScoredRun[] {
  const { width, height } = cutSizeOf(grid);
  if (operation.kind === 'score')
    return operation.marks.map(({ line, part }) => ({
      line,
      ...(part ?? { from: zero, to: line.axis === 'column' ? height : width }),
    }));
  // A punch board leaves all its lines at once: they are told by following one another.
  if (operation.kind !== 'punch') return [];
  return grid.lines.flatMap(({ axis, index, spans }) => {
    const places = gridPositions(axis === 'column' ? grid.rows : grid.columns);
    return spans.map(({ from, to }) => ({
      line: { axis, index },
      from: places[from] ?? zero,
      to: places[to] ?? zero,
    }));
  });
}

/** A piece after an operation. */
export function afterOperation(
  made: AsMade,
  { grid }: Pick<Piece, 'grid'>,
  operation: FlatOperation,
): AsMade {
  return {
    ...made,
    grid: gridAfter(made.grid, grid, operation),
    runs: [...made.runs, ...runsOf(operation, { grid })],
    slits: operation.kind === 'slit' ? [...made.slits, ...operation.runs] : made.slits,
    notches: operation.kind === 'punch' ? notchesAfter(made, operation) : made.notches,
    ticks:
      operation.kind === 'mark'
        ? [...made.ticks, ...operation.marks.map(({ line }) => line)]
        : made.ticks,
  };
}
