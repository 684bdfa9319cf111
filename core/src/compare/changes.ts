import { minus, zero, type Length } from '../length/index.ts';
import { cutSizeOf, isSameLine } from '../piece/index.ts';
import type { Plan } from '../planning/index.ts';
import type { PlanRequest } from '../request/index.ts';

/** A piece of a box beside the same piece of the box that it was made from. */
export interface PieceChange {
  readonly piece: string;
  /** What was cut and set before; undefined for a piece that the other box did not have. */
  readonly was:
    | {
        readonly width: Length;
        readonly height: Length;
        /** Every setting of its scores, smallest first. */
        readonly readings: readonly Length[];
      }
    | undefined;
  readonly sameSize: boolean;
  readonly sameScores: boolean;
}

/** What a box may have kept of the one that it was made from. */
export type KeptPart = 'kind of box' | 'options' | 'papers';

/** A plan with what was asked for. */
interface Answered {
  readonly plan: Plan;
  readonly request: PlanRequest;
}

/** What is different in a box that was made from another one. */
export interface PlanChanges {
  readonly pieces: readonly PieceChange[];
  /** Names of pieces that are no longer needed. */
  readonly gone: readonly string[];
  readonly sheetsWere: number;
  readonly sheets: number;
  readonly kept: readonly KeptPart[];
}

function readingsOf(plan: Plan, piece: string): readonly Length[] {
  const all = plan.marks.flatMap((marks) => (marks.piece === piece ? marks.readings : []));
  return [...new Set(all.map(({ reading }) => reading))].sort((a, b) => a - b);
}

/**
 * Whether a piece is still scored as it was: every line of it is as far from one of its edges as before,
 * whichever edge the plan now reads it from.
 */
function isScoredAsBefore(before: Plan, after: Plan, id: string): boolean {
  const linesOf = (plan: Plan) => {
    const grid = plan.pieces.find((piece) => piece.id === id)?.grid;
    const readings = plan.marks.find((marks) => marks.piece === id)?.readings ?? [];
    return readings.map(({ axis, index, position }) => {
      const size = grid && cutSizeOf(grid);
      const whole = axis === 'column' ? size?.width : size?.height;
      return { axis, index, fromFirst: position, fromSecond: minus(whole ?? zero, position) };
    });
  };
  const [were, are] = [linesOf(before), linesOf(after)];
  return (
    were.length === are.length &&
    are.every((now) =>
      were.some(
        (was) =>
          isSameLine(was, now) &&
          (was.fromFirst === now.fromFirst || was.fromSecond === now.fromSecond),
      ),
    )
  );
}

function sheetsOf(plan: Plan): number {
  return plan.sheets.reduce((sum, { sheets }) => sum + sheets, 0);
}

function keptParts(before: PlanRequest, after: PlanRequest): readonly KeptPart[] {
  const isSame = (one: unknown, other: unknown) => JSON.stringify(one) === JSON.stringify(other);
  if (before.style.style !== after.style.style)
    return isSame(before.papers, after.papers) ? ['papers'] : [];
  return [
    'kind of box',
    ...(isSame(before.style.options, after.style.options) ? (['options'] as const) : []),
    ...(isSame(before.papers, after.papers) ? (['papers'] as const) : []),
  ];
}

/** What has changed from one plan to the next, piece by piece in the order of the new one. */
export function planChanges(old: Answered, now: Answered): PlanChanges {
  const [before, after] = [old.plan, now.plan];
  return {
    pieces: after.pieces.map(({ id, grid }): PieceChange => {
      const other = before.pieces.find((piece) => piece.id === id);
      if (!other) return { piece: id, was: undefined, sameSize: false, sameScores: false };
      const size = cutSizeOf(grid);
      const was = { ...cutSizeOf(other.grid), readings: readingsOf(before, id) };
      return {
        piece: id,
        was,
        sameSize: was.width === size.width && was.height === size.height,
        sameScores: isScoredAsBefore(before, after, id),
      };
    }),
    gone: before.pieces
      .filter(({ id }) => after.pieces.every((piece) => piece.id !== id))
      .map(({ name }) => name),
    sheetsWere: sheetsOf(before),
    sheets: sheetsOf(after),
    kept: keptParts(old.request, now.request),
  };
}
