import type { ChainMarks } from '../fit/index.ts';
import { minus, roundToGrid, type Length } from '../length/index.ts';
import type { Paper } from '../paper/index.ts';
import { cutSizeOf, lineName, type Piece, type Side } from '../piece/index.ts';
import type { ScoringBoard } from '../tools/index.ts';
import type { ScorePass, ScoreStep, Turn } from './step.ts';

/** The edges in the order in which quarter turns clockwise bring them to a fence on the left. */
const turningOrder: readonly Side[] = ['left', 'bottom', 'right', 'top'];
const turns: readonly Turn[] = ['none', 'quarter', 'half', 'three quarters'];

interface Reading {
  readonly edge: Side;
  readonly line: string;
  readonly reading: Length;
  readonly onGroove: boolean;
}

function readingsOf(axis: 'column' | 'row', marks: ChainMarks): readonly Reading[] {
  const edges: Record<'start' | 'end', Side> =
    axis === 'column' ? { start: 'left', end: 'right' } : { start: 'top', end: 'bottom' };
  return marks.scores.map(({ index, from, reading, onGroove }) => ({
    edge: edges[from],
    line: lineName({ axis, index }),
    reading,
    onGroove,
  }));
}

/** The passes of one setting in turning order, with the turn from each to the next. */
function passesOf(readings: readonly Reading[]): ScorePass[] {
  const ordered = [...readings].sort(
    (a, b) => turningOrder.indexOf(a.edge) - turningOrder.indexOf(b.edge),
  );
  return ordered.map(({ edge, line }, i) => {
    const before = ordered[i - 1]?.edge ?? edge;
    const quarters = (turningOrder.indexOf(edge) - turningOrder.indexOf(before) + 4) % 4;
    return { edge, line, turn: turns[quarters] ?? 'none' };
  });
}

function faceFor(paper: Paper): ScoreStep['face'] {
  if (paper.finish === 'foil') return 'foil down';
  return paper.print === 'one face' ? 'print down' : 'inside up';
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
  board: ScoringBoard,
): readonly ScoreStep[] {
  const readings = [...readingsOf('column', marks.across), ...readingsOf('row', marks.down)];
  const { width, height } = cutSizeOf(piece.grid);
  const settings = [...new Set(readings.map(({ reading }) => reading))].sort((a, b) => a - b);
  return settings.map((reading): ScoreStep => {
    const here = readings.filter((each) => each.reading === reading);
    const onGroove = here.every((each) => each.onGroove);
    const nearest = roundToGrid(reading, board.pitch);
    return {
      kind: 'score',
      piece: piece.id,
      name: piece.name,
      copies: piece.copies,
      tool: onGroove ? 'board' : 'ruler',
      face: faceFor(paper),
      reading,
      ...(!onGroove && {
        offGroove: { nearest, beyond: minus(reading, nearest) },
      }),
      square: width === height,
      longSides: height >= width ? 'left and right' : 'top and bottom',
      passes: passesOf(here),
    };
  });
}
