import type { ChainMarks } from '../fit/index.ts';
import { isOnGrid, minus, roundToGrid, zero, type Length } from '../length/index.ts';
import type { Paper } from '../paper/index.ts';
import {
  cutSizeOf,
  gridPositions,
  lineName,
  type Piece,
  type ScoreGrid,
  type Side,
} from '../piece/index.ts';
import type { Kit, Trimmer } from '../tools/index.ts';
import type { ScorePass, ScoreStep, Turn } from './step.ts';

/** The edges in the order in which quarter turns clockwise bring them to a fence on the left. */
const turningOrder: readonly Side[] = ['left', 'bottom', 'right', 'top'];
const turns: readonly Turn[] = ['none', 'quarter', 'half', 'three quarters'];

interface Reading {
  readonly part: { readonly from: Length; readonly to: Length } | undefined;
  readonly isScored: boolean;
  readonly edge: Side;
  readonly line: string;
  readonly reading: Length;
  readonly onGroove: boolean;
}

/** What is made along a grid line: nothing, a score over all that stays of it, or over a part. */
function lineOf(grid: ScoreGrid, axis: 'column' | 'row', index: number) {
  const spans = grid.lines.filter((line) => line.axis === axis && line.index === index);
  const scored = spans.flatMap((line) => line.spans);
  const cells = axis === 'column' ? grid.rows : grid.columns;
  const roleAt = (before: boolean, along: number) =>
    axis === 'column'
      ? grid.roles[along]?.[before ? index - 1 : index]
      : grid.roles[before ? index - 1 : index]?.[along];
  // Where card stays on both sides and nothing is made, a score would be one too many.
  const isBare = cells.map(
    (_, along) =>
      !scored.some(({ from, to }) => from <= along && along < to) &&
      roleAt(true, along) !== 'waste' &&
      roleAt(false, along) !== 'waste',
  );
  if (scored.length === 0) return { isScored: false, part: undefined };
  if (!isBare.includes(true)) return { isScored: true, part: undefined };
  const places = gridPositions(cells);
  const from = Math.min(...scored.map((span) => span.from));
  const to = Math.max(...scored.map((span) => span.to));
  return {
    isScored: true,
    part: { from: places[from] ?? zero, to: places[to] ?? zero },
  };
}

function readingsOf(
  grid: ScoreGrid,
  axis: 'column' | 'row',
  marks: ChainMarks,
): readonly Reading[] {
  const edges: Record<'start' | 'end', Side> =
    axis === 'column' ? { start: 'left', end: 'right' } : { start: 'top', end: 'bottom' };
  return marks.scores.map(({ index, from, reading, onGroove }) => ({
    edge: edges[from],
    line: lineName({ axis, index }),
    reading,
    onGroove,
    ...lineOf(grid, axis, index),
  }));
}

/** The passes of one setting in turning order, with the turn from each to the next. */
function passesOf(readings: readonly Reading[]): ScorePass[] {
  const ordered = [...readings].sort(
    (a, b) => turningOrder.indexOf(a.edge) - turningOrder.indexOf(b.edge),
  );
  return ordered.map(({ edge, line, part }, i) => {
    const before = ordered[i - 1]?.edge ?? edge;
    const quarters = (turningOrder.indexOf(edge) - turningOrder.indexOf(before) + 4) % 4;
    return { edge, line, turn: turns[quarters] ?? 'none', ...(part && { part }) };
  });
}

function faceFor(paper: Paper): ScoreStep['face'] {
  if (paper.finish === 'foil') return 'foil down';
  return paper.print === 'one face' ? 'print down' : 'inside up';
}

/** The trimmer's tip scores right across, at any mark of its ruler; for the rest there is the ruler. */
function toolOffGrooves(
  reading: Length,
  here: readonly Reading[],
  { scoringTip, step, widthWithArm }: Trimmer,
): ScoreStep['tool'] {
  const isAcross = here.every(({ part, isScored }) => isScored && part === undefined);
  const isMarked = isOnGrid(reading, step) && reading <= widthWithArm;
  return scoringTip && isAcross && isMarked ? 'tip' : 'ruler';
}

/** Marks of a piece in its two directions. */
export interface PieceMarks {
  readonly across: ChainMarks;
  readonly down: ChainMarks;
}

/** The scores of a piece, one step for each setting of the board, smallest reading first. */
export function scoreSteps(
  piece: Piece,
  marks: PieceMarks,
  paper: Paper,
  { board, trimmer }: Kit,
): readonly ScoreStep[] {
  const readings = [
    ...readingsOf(piece.grid, 'column', marks.across),
    ...readingsOf(piece.grid, 'row', marks.down),
  ];
  const { width, height } = cutSizeOf(piece.grid);
  const settings = [...new Set(readings.map(({ reading }) => reading))].sort((a, b) => a - b);
  const groups = settings.flatMap((reading) =>
    [true, false].map((isScored) =>
      readings.filter((each) => each.reading === reading && each.isScored === isScored),
    ),
  );
  return groups.flatMap((here): readonly ScoreStep[] => {
    const [first] = here;
    if (!first) return [];
    const { reading, isScored } = first;
    const onGroove = here.every((each) => each.onGroove);
    const nearest = roundToGrid(reading, board.pitch);
    return [
      {
        kind: 'score',
        piece: piece.id,
        name: piece.name,
        copies: piece.copies,
        tool: onGroove ? 'board' : toolOffGrooves(reading, here, trimmer),
        make: isScored ? 'score' : 'mark',
        face: faceFor(paper),
        reading,
        ...(!onGroove && {
          offGroove: { nearest, beyond: minus(reading, nearest) },
        }),
        square: width === height,
        longSides: height >= width ? 'left and right' : 'top and bottom',
        passes: passesOf(here),
      },
    ];
  });
}
