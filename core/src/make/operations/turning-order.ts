import { minus, zero } from '../../length/index.ts';
import type { Side } from '../../piece/index.ts';
import { isUpright, lyingWith, type Size } from '../lying.ts';
import type { ScoreOperation } from './score-operation.ts';

/** The edges in the order in which quarter turns clockwise bring them to a fence on the left. */
export const turningOrder: readonly Side[] = ['left', 'bottom', 'right', 'top'];

/** What two operations share that are done at the same marks, one after the other, with a turn between. */
export function settingOf({ kind, tool, edge, lying, marks }: ScoreOperation, size: Size): string {
  const long = isUpright(edge) ? size.height : size.width;
  const isReversed = lyingWith(edge, 'left').turns >= 2 !== lying.over;
  return JSON.stringify([
    kind,
    tool,
    lying.over,
    marks.map(({ reading, shim, part, stretch }) => {
      const { from, to } = part ?? { from: zero, to: long };
      const ends = isReversed ? [minus(long, to), minus(long, from)] : [from, to];
      return [reading, shim ?? 0, part ? ends : 'all', stretch ?? ''];
    }),
  ]);
}

/** Quarter turns clockwise from one lying to another. */
function turnsTo(one: ScoreOperation | undefined, other: ScoreOperation | undefined): number {
  return one && other ? (other.lying.turns - one.lying.turns + 4) % 4 : 0;
}

/** Lyings in an order that turns the piece on clockwise: it begins after the largest turn. */
function turnedOn(operations: readonly ScoreOperation[]): readonly ScoreOperation[] {
  const sorted = [...operations].sort((a, b) => a.lying.turns - b.lying.turns);
  const gaps = sorted.map((each, i) =>
    turnsTo(sorted[(i + sorted.length - 1) % sorted.length], each),
  );
  const start = gaps.indexOf(Math.max(...gaps));
  return [...sorted.slice(start), ...sorted.slice(0, start)];
}

/** Lyings with the same marks follow one another, each turned on from the last. */
export function inTurningOrder(
  operations: readonly ScoreOperation[],
  size: Size,
): readonly ScoreOperation[] {
  const settings = [...new Set(operations.map((each) => settingOf(each, size)))];
  return settings.flatMap((setting) =>
    turnedOn(operations.filter((each) => settingOf(each, size) === setting)),
  );
}
