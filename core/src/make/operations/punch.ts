import { minus, plus, times, zero, type Length } from '../../length/index.ts';
import { cutSizeOf, type Piece, type PunchBoard, type Side } from '../../piece/index.ts';
import type { CornerBoard, Kit } from '../../tools/index.ts';
import { asDrawn } from '../lying.ts';
import type { ScoreMark, ScoreOperation } from './score-operation.ts';
import { isAt45, slantOperations, type SlantOperation } from './slant.ts';

/** What a punch board is set by: a mark of its ruler or its table, or the lines that the side before left. */
export type PunchSetting =
  | { readonly kind: 'mark'; readonly at: Length; readonly name?: string }
  | { readonly kind: 'last lines'; readonly lines: number };

/** Notches and scores on a punch board, on so many sides with a quarter turn between. */
export interface PunchOperation {
  readonly kind: 'punch';
  readonly piece: string;
  readonly board: PunchBoard;
  readonly setting: PunchSetting;
  readonly sides: number;
}

/** What a piece on a punch board needs: lines punched, and what the board leaves for a ruler. */
export type PunchBoardOperation = PunchOperation | ScoreOperation | SlantOperation;

/**
 * A sheet on a diagonal punch board: both marks of the first side, then each other side by the lines that
 * end on it; what does not run at 45° stays for the ruler.
 */
function onDiagonalBoard(piece: Piece): readonly PunchBoardOperation[] {
  const [first = zero, band = zero] = piece.grid.columns;
  const marks = [first, plus(first, band)];
  const common = { kind: 'punch', piece: piece.id, board: 'diagonal' } as const;
  return [
    ...marks.map((at): PunchOperation => ({ ...common, setting: { kind: 'mark', at }, sides: 1 })),
    { ...common, setting: { kind: 'last lines', lines: marks.length }, sides: 3 },
    ...slantOperations(piece, (diagonal) => !isAt45(diagonal, piece.grid)),
  ];
}

/** What lies between the lines of two corners, where the board's lines are too short to meet. */
function joinedAlongRuler(
  piece: Piece,
  wall: Length,
  { lineLength }: CornerBoard,
): readonly ScoreOperation[] {
  const { width, height } = cutSizeOf(piece.grid);
  const pairs: readonly { axis: 'column' | 'row'; edges: readonly Side[]; long: Length }[] = [
    { axis: 'column', edges: ['left', 'right'], long: height },
    { axis: 'row', edges: ['top', 'bottom'], long: width },
  ];
  return pairs.flatMap(({ axis, edges, long }) => {
    if (times(lineLength, 2) >= long) return [];
    const part = { from: lineLength, to: minus(long, lineLength) };
    return edges.map((edge, i): ScoreOperation => {
      const mark: ScoreMark = { line: { axis, index: i + 1 }, reading: wall, part };
      return {
        kind: 'score',
        piece: piece.id,
        tool: 'ruler',
        edge,
        lying: asDrawn,
        marks: [mark],
      };
    });
  });
}

/** A sheet on a corner punch board: the same mark at all four corners, turning each time. */
function onCornerBoard(piece: Piece, board: CornerBoard): readonly PunchBoardOperation[] {
  const wall = piece.grid.columns[0] ?? zero;
  const name = board.marks.find(({ at }) => at === wall)?.name;
  return [
    {
      kind: 'punch',
      piece: piece.id,
      board: 'corner',
      setting: { kind: 'mark', at: wall, ...(name !== undefined && { name }) },
      sides: 4,
    },
    ...joinedAlongRuler(piece, wall, board),
  ];
}

/** The lines of a piece that is made on a punch board; undefined where the kit has none for it. */
export function punchOperations(
  piece: Piece,
  kit: Kit,
): readonly PunchBoardOperation[] | undefined {
  if (piece.punchBoard === 'diagonal' && kit.diagonalBoard) return onDiagonalBoard(piece);
  if (piece.punchBoard === 'corner' && kit.cornerBoard)
    return onCornerBoard(piece, kit.cornerBoard);
  return undefined;
}
