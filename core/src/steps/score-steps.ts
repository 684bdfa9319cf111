import type { ChainMarks } from '../fit/index.ts';
import { minus, roundToGrid, zero } from '../length/index.ts';
import type { Paper } from '../paper/index.ts';
import {
  cutSizeOf,
  gridPositions,
  lineName,
  type Piece,
  type ScoreGrid,
  type Side,
} from '../piece/index.ts';
import type { Kit } from '../tools/index.ts';
import { scoringOf } from './face-up.ts';
import { inTurningOrder } from './passes.ts';
import { makingOf, type MadeScore, type WantedScore } from './score-means.ts';
import type { ScoreStep } from './step.ts';

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

function wantedOf(
  grid: ScoreGrid,
  axis: 'column' | 'row',
  marks: ChainMarks,
): readonly WantedScore[] {
  const edges: Record<'start' | 'end', Side> =
    axis === 'column' ? { start: 'left', end: 'right' } : { start: 'top', end: 'bottom' };
  return marks.scores.map(({ index, from, reading }) => ({
    edge: edges[from],
    line: lineName({ axis, index }),
    reading,
    ...lineOf(grid, axis, index),
  }));
}

/** Marks of a piece in its two directions. */
export interface PieceMarks {
  readonly across: ChainMarks;
  readonly down: ChainMarks;
}

/** Scores of one setting: the same reading on the same tool, made in the same way. */
function settingOf({ reading, tool, isScored, on, pass }: MadeScore): string {
  return [reading, tool, isScored, on, pass.over ?? false, pass.stretch ?? ''].join(' ');
}

/** Scores before mere marks, whole scores before what is finished from the other end. */
function compareSettings(a: MadeScore, b: MadeScore): number {
  return (
    a.reading - b.reading ||
    Number(b.isScored) - Number(a.isScored) ||
    Number(a.pass.over ?? false) - Number(b.pass.over ?? false)
  );
}

/** The scores of a piece, one step for each setting of the board, smallest reading first. */
export function scoreSteps(
  piece: Piece,
  marks: PieceMarks,
  paper: Paper,
  kit: Kit,
): readonly ScoreStep[] {
  const size = cutSizeOf(piece.grid);
  const { width, height } = size;
  const made = [
    ...wantedOf(piece.grid, 'column', marks.across),
    ...wantedOf(piece.grid, 'row', marks.down),
  ].flatMap((wanted) => makingOf(wanted, size, kit));
  const settings = new Map<string, [MadeScore, ...MadeScore[]]>();
  for (const each of [...made].sort(compareSettings)) {
    const setting = settings.get(settingOf(each));
    if (setting) setting.push(each);
    else settings.set(settingOf(each), [each]);
  }
  const { pitch, shim } = kit.board;
  return [...settings.values()].map((here): ScoreStep => {
    const [{ reading, isScored, tool, on }] = here;
    const nearest = roundToGrid(reading, pitch);
    return {
      kind: 'score',
      piece: piece.id,
      name: piece.name,
      copies: piece.copies,
      tool,
      make: isScored ? 'score' : 'mark',
      ...scoringOf(paper),
      reading,
      ...(on === 'none' && { offGroove: { nearest, beyond: minus(reading, nearest) } }),
      ...(on === 'shim' && shim !== undefined && { shim }),
      square: width === height,
      longSides: height >= width ? 'left and right' : 'top and bottom',
      passes: inTurningOrder(here.map(({ pass }) => pass)),
    };
  });
}
