import { plus, times, zero, type Length } from '../length/index.ts';
import type { Paper } from '../paper/index.ts';
import { cutSizeOf, type Piece } from '../piece/index.ts';
import type { CornerBoard, Kit } from '../tools/index.ts';
import { scoringOf } from './face-up.ts';
import { isAt45, slantSteps } from './slant-steps.ts';
import { minus } from '../length/index.ts';
import type { PunchStep, ScoreStep, Step } from './step.ts';

type PunchCommon = Pick<
  PunchStep,
  'kind' | 'piece' | 'name' | 'copies' | 'board' | 'face' | 'lightly'
>;

/**
 * A sheet on a diagonal punch board: both marks of the first side, then each other side by the lines that
 * end on it; what does not run at 45° stays for the ruler.
 */
function onDiagonalBoard(piece: Piece, paper: Paper, common: PunchCommon): readonly Step[] {
  const [first = zero, band = zero] = piece.grid.columns;
  const marks = [first, plus(first, band)];
  return [
    ...marks.map((at): PunchStep => ({ ...common, setting: { kind: 'mark', at }, sides: 1 })),
    { ...common, setting: { kind: 'last lines', lines: marks.length }, sides: 3 },
    ...slantSteps(piece, paper, (diagonal) => isAt45(diagonal, piece.grid)),
  ];
}

/** What lies between the lines of two corners, where the board's lines are too short to meet. */
function joinedAlongRuler(
  piece: Piece,
  paper: Paper,
  wall: Length,
  { lineLength }: CornerBoard,
): readonly ScoreStep[] {
  const { width, height } = cutSizeOf(piece.grid);
  const sides = [
    { edges: ['left', 'right'], names: ['column 1', 'column 2'], long: height },
    { edges: ['top', 'bottom'], names: ['row 1', 'row 2'], long: width },
  ] as const;
  return sides.flatMap(({ edges, names, long }): readonly ScoreStep[] => {
    if (times(lineLength, 2) >= long) return [];
    const part = { from: lineLength, to: minus(long, lineLength) };
    return [
      {
        kind: 'score',
        piece: piece.id,
        name: piece.name,
        copies: piece.copies,
        tool: 'ruler',
        make: 'score',
        ...scoringOf(paper),
        reading: wall,
        square: width === height,
        longSides: height >= width ? 'left and right' : 'top and bottom',
        passes: edges.map((edge, i) => ({
          edge,
          line: names[i] ?? names[0],
          turn: i === 0 ? 'none' : 'half',
          part,
        })),
      },
    ];
  });
}

/** A sheet on a corner punch board: the same mark at all four corners, turning each time. */
function onCornerBoard(
  piece: Piece,
  paper: Paper,
  common: PunchCommon,
  board: CornerBoard,
): readonly Step[] {
  const wall = piece.grid.columns[0] ?? zero;
  const name = board.marks.find(({ at }) => at === wall)?.name;
  return [
    {
      ...common,
      setting: { kind: 'mark', at: wall, ...(name !== undefined && { name }) },
      sides: 4,
    },
    ...joinedAlongRuler(piece, paper, wall, board),
  ];
}

/** The lines of a piece that is made on a punch board; undefined where the kit has none for it. */
export function punchSteps(piece: Piece, paper: Paper, kit: Kit): readonly Step[] | undefined {
  const { id, name, copies, punchBoard } = piece;
  if (punchBoard === 'diagonal' && kit.diagonalBoard)
    return onDiagonalBoard(piece, paper, {
      kind: 'punch',
      piece: id,
      name,
      copies,
      board: 'diagonal',
      ...scoringOf(paper),
    });
  if (punchBoard === 'corner' && kit.cornerBoard)
    return onCornerBoard(
      piece,
      paper,
      { kind: 'punch', piece: id, name, copies, board: 'corner', ...scoringOf(paper) },
      kit.cornerBoard,
    );
  return undefined;
}
