import type { Length } from '../length/index.ts';
import { cutSizeOf } from '../piece/index.ts';
import type { Plan } from '../planning/index.ts';

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

/** What is different in a box that was made from another one. */
export interface PlanChanges {
  readonly pieces: readonly PieceChange[];
  /** Names of pieces that are no longer needed. */
  readonly gone: readonly string[];
  readonly sheetsWere: number;
  readonly sheets: number;
}

function readingsOf(plan: Plan, piece: string): readonly Length[] {
  const all = plan.marks.flatMap((marks) => (marks.piece === piece ? marks.readings : []));
  return [...new Set(all.map(({ reading }) => reading))].sort((a, b) => a - b);
}

function sheetsOf(plan: Plan): number {
  return plan.sheets.reduce((sum, { sheets }) => sum + sheets, 0);
}

/** What has changed from one plan to the next, piece by piece in the order of the new one. */
export function planChanges(before: Plan, after: Plan): PlanChanges {
  return {
    pieces: after.pieces.map(({ id, grid }): PieceChange => {
      const old = before.pieces.find((piece) => piece.id === id);
      if (!old) return { piece: id, was: undefined, sameSize: false, sameScores: false };
      const size = cutSizeOf(grid);
      const was = { ...cutSizeOf(old.grid), readings: readingsOf(before, id) };
      return {
        piece: id,
        was,
        sameSize: was.width === size.width && was.height === size.height,
        sameScores: was.readings.join() === readingsOf(after, id).join(),
      };
    }),
    gone: before.pieces
      .filter(({ id }) => after.pieces.every((piece) => piece.id !== id))
      .map(({ name }) => name),
    sheetsWere: sheetsOf(before),
    sheets: sheetsOf(after),
  };
}
