import { cutSizeOf, type LineRef, type Piece } from '../piece/index.ts';
import type { MadeWay } from '../request/index.ts';
import type { Plan } from './plan.ts';

/** A mark of a piece as it is planned. */
export type MarkReading = Plan['marks'][number]['readings'][number];

/** The marks of a piece across, or down. */
export function readingsOneWay(
  plan: Plan,
  piece: string,
  way: MadeWay['way'],
): readonly MarkReading[] {
  const axis = way === 'across' ? 'column' : 'row';
  return plan.marks.flatMap((marks) =>
    marks.piece === piece ? marks.readings.filter((reading) => reading.axis === axis) : [],
  );
}

/** A piece one way when it is cut as planned, and those of its lines scored for which `isMade` holds. */
export function madeAsPlanned(
  plan: Plan,
  { id, grid }: Piece,
  way: MadeWay['way'],
  isMade: (line: LineRef) => boolean,
): MadeWay {
  const { width, height } = cutSizeOf(grid);
  return {
    piece: id,
    way,
    cut: way === 'across' ? width : height,
    marks: readingsOneWay(plan, id, way).flatMap(({ axis, index, position, mark }) =>
      mark !== undefined && isMade({ axis, index }) ? [{ mark, at: position }] : [],
    ),
  };
}
