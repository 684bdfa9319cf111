import { flatOperations, type FlatOperation, type Kit, type Plan } from '../index.ts';

/** Everything that is done to the flat pieces of a plan. */
export function flatOf(plan: Plan, kit: Kit): readonly FlatOperation[] {
  return plan.pieces.flatMap((piece) =>
    flatOperations(
      piece,
      plan.marks.find((marks) => marks.piece === piece.id)?.readings ?? [],
      kit,
    ),
  );
}
