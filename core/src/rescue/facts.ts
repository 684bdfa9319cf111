import { minus, zero, type Length } from '../length/index.ts';
import { cutSizeOf, isSameLine, type Side } from '../piece/index.ts';
import { madeAsPlanned, readingsOneWay, type MarkReading, type Plan } from '../planning/index.ts';
import type { MadeWay } from '../request/index.ts';
import { isAmong, type DoneSoFar, type Mishap } from './mishap.ts';

const ways: readonly MadeWay['way'][] = ['across', 'down'];

function isStart(edge: Side): boolean {
  return edge === 'left' || edge === 'top';
}

function wayOf(edge: Side): MadeWay['way'] {
  return edge === 'left' || edge === 'right' ? 'across' : 'down';
}

/** What a strip cut off an edge leaves of a piece one way. */
export function trimmedAt(edge: Side, depth: Length, made: MadeWay): MadeWay {
  const shift = isStart(edge) ? depth : zero;
  const cut = minus(made.cut, depth);
  return {
    ...made,
    cut,
    marks: made.marks
      .map(({ mark, at }) => ({ mark, at: minus(at, shift) }))
      .filter(({ at }) => at > 0 && at < cut),
  };
}

/** Where a score lies that was measured from the edge of its step. */
function placeOf({ from }: MarkReading, at: Length, cut: Length): Length {
  return from === 'start' ? at : minus(cut, at);
}

function afterMishap(plan: Plan, made: MadeWay, mishap: Mishap): MadeWay {
  if (mishap.piece !== made.piece) return made;
  switch (mishap.kind) {
    case 'cut': {
      const cut = made.way === 'across' ? mishap.width : mishap.height;
      // Scores that were measured from the far edge lie where they were measured.
      const readings = readingsOneWay(plan, made.piece, made.way);
      const marks = made.marks.map(({ mark, at }) => {
        const reading = readings.find((each) => each.mark === mark);
        return { mark, at: reading ? placeOf(reading, reading.reading, cut) : at };
      });
      return { ...made, cut, marks };
    }
    case 'score': {
      const reading = readingsOneWay(plan, made.piece, made.way).find((each) =>
        isSameLine(each, mishap.line),
      );
      if (reading?.mark === undefined) return made;
      const { mark } = reading;
      const others = made.marks.filter((each) => each.mark !== mark);
      return { ...made, marks: [...others, { mark, at: placeOf(reading, mishap.at, made.cut) }] };
    }
    case 'torn':
      return wayOf(mishap.edge) === made.way ? trimmedAt(mishap.edge, mishap.depth, made) : made;
  }
}

/** Everything that is cut and scored, as it was planned. */
function factsBefore(plan: Plan, done: DoneSoFar, mishap: Mishap): readonly MadeWay[] {
  return plan.pieces
    .filter(({ id }) => done.cut.has(id) || id === mishap.piece)
    .flatMap((piece) =>
      ways.map((way) =>
        madeAsPlanned(plan, piece, way, (line) => isAmong(done.scored, piece.id, line)),
      ),
    );
}

/** Everything that is cut and scored, as it is now; a torn edge counts as cut off. */
export function factsAfter(plan: Plan, done: DoneSoFar, mishap: Mishap): readonly MadeWay[] {
  return factsBefore(plan, done, mishap).map((made) => afterMishap(plan, made, mishap));
}

/** The piece of a mishap as it lies on the table, both ways; a torn edge is still there. */
export function onTable(plan: Plan, done: DoneSoFar, mishap: Mishap): readonly MadeWay[] {
  const facts = (mishap.kind === 'torn' ? factsBefore : factsAfter)(plan, done, mishap);
  return facts.filter(({ piece }) => piece === mishap.piece);
}

/** The facts with a piece that was cut too large cut down to its size; undefined where it is none. */
export function cutDown(
  plan: Plan,
  facts: readonly MadeWay[],
  mishap: Mishap,
): readonly MadeWay[] | undefined {
  const piece = plan.pieces.find(({ id }) => id === mishap.piece);
  if (mishap.kind !== 'cut' || !piece) return undefined;
  const { width, height } = cutSizeOf(piece.grid);
  const isLarger = mishap.width >= width && mishap.height >= height;
  if (!isLarger || (mishap.width === width && mishap.height === height)) return undefined;
  return facts.map((made) =>
    made.piece === mishap.piece ? { ...made, cut: made.way === 'across' ? width : height } : made,
  );
}

/**
 * What has to be cut off so that a score which lies too far in is as far from its edge as planned;
 * undefined where it lies too near to the edge.
 */
export function trimFor(plan: Plan, mishap: Mishap) {
  if (mishap.kind !== 'score') return undefined;
  const way = mishap.line.axis === 'column' ? 'across' : 'down';
  const reading = readingsOneWay(plan, mishap.piece, way).find((each) =>
    isSameLine(each, mishap.line),
  );
  if (!reading) return undefined;
  const depth = minus(mishap.at, reading.reading);
  if (depth <= 0) return undefined;
  const start: Side = way === 'across' ? 'left' : 'top';
  const end: Side = way === 'across' ? 'right' : 'bottom';
  return { edge: reading.from === 'start' ? start : end, depth, way } as const;
}
