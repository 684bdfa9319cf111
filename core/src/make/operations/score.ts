import { minus } from '../../length/index.ts';
import {
  cutSizeOf,
  type GridAxis,
  type LineRef,
  type Piece,
  type Side,
} from '../../piece/index.ts';
import type { Kit } from '../../tools/index.ts';
import { asDrawn, lyingWith } from '../lying.ts';
import { chooseEnds, marksAtHand, type End } from './choose-ends.ts';
import { makingOf, wantedLine, type MadeLine } from './score-making.ts';
import type { ScoreOperation, ScoreTool } from './score-operation.ts';
import { inTurningOrder, turningOrder } from './turning-order.ts';

const edgesOf: Readonly<Record<GridAxis, Readonly<Record<End, Side>>>> = {
  column: { start: 'left', end: 'right' },
  row: { start: 'top', end: 'bottom' },
};

const tools: readonly ScoreTool[] = ['board', 'tip', 'ruler'];

/** The straight lines of a piece in both directions, as far as they are still to be made. */
export function scoreOperations(
  piece: Piece,
  lines: readonly LineRef[],
  kit: Kit,
): readonly ScoreOperation[] {
  const size = cutSizeOf(piece.grid);
  const made = (['column', 'row'] as const).flatMap((axis): readonly MadeLine[] => {
    const whole = axis === 'column' ? size.width : size.height;
    const wanted = lines
      .filter((line) => line.axis === axis)
      .map((line) => wantedLine(piece.grid, line));
    const ends = chooseEnds(
      wanted.map(({ at }) => at),
      whole,
      marksAtHand(kit),
    );
    return wanted.flatMap((each, i) => {
      const end = ends[i] ?? 'start';
      const reading = end === 'start' ? each.at : minus(whole, each.at);
      return makingOf(each, { edge: edgesOf[axis][end], reading, size, kit });
    });
  });
  // What is begun comes before what finishes it from the other end.
  const ways = [
    { over: false, finishes: false },
    { over: false, finishes: true },
    { over: true, finishes: true },
    { over: true, finishes: false },
  ];
  const operations = tools.flatMap((tool) =>
    ways.flatMap(({ over, finishes }) =>
      turningOrder.flatMap((edge) =>
        [true, false].flatMap((isScored): readonly ScoreOperation[] => {
          const [first, ...more] = made
            .filter(
              (each) =>
                each.tool === tool &&
                each.over === over &&
                (each.mark.stretch === 'the rest') === finishes &&
                each.edge === edge &&
                each.isScored === isScored,
            )
            .map(({ mark }) => mark)
            .sort((a, b) => a.reading - b.reading);
          if (!first) return [];
          const fence = tool === 'board' ? kit.board.fence : 'left';
          return [
            {
              kind: isScored ? 'score' : 'mark',
              piece: piece.id,
              tool,
              edge,
              // Along a ruler nothing has to be turned: the edge is named.
              lying: tool === 'ruler' ? asDrawn : { ...lyingWith(edge, fence), over },
              marks: [first, ...more],
            },
          ];
        }),
      ),
    ),
  );
  return tools.flatMap((tool) =>
    inTurningOrder(
      operations.filter((each) => each.tool === tool),
      size,
    ),
  );
}
