import type {
  AssemblyOperation,
  CutOperation,
  PunchOperation,
  ScoreMark,
  ScoreOperation,
  Step,
} from '@rangoli/core';

/** One thing of a step that is shown by itself: a mark with the piece lying so, a cut, a wall that is glued. */
export type Moment =
  | {
      readonly kind: 'mark';
      readonly operation: ScoreOperation;
      readonly mark: ScoreMark;
      /** Which of the marks of this lying it is, counted from 1, and how many there are. */
      readonly nth: number;
      readonly of: number;
    }
  | { readonly kind: 'cut'; readonly cut: CutOperation }
  | {
      readonly kind: 'punch';
      readonly operation: PunchOperation;
      /** Which of the settings of the board it is, counted from 1, and how many there are. */
      readonly nth: number;
      readonly of: number;
    }
  | {
      readonly kind: 'assembly';
      readonly operation: AssemblyOperation;
      /** Which of the operations of the step it is, counted from 1, and how many there are. */
      readonly nth: number;
      readonly of: number;
    };

/** What a step shows one after the other; nothing where all of it is one picture. */
export function momentsOf(step: Step): readonly Moment[] {
  if (step.kind === 'own') return [];
  if (step.kind === 'cut') return step.cuts.map((cut) => ({ kind: 'cut', cut }));
  if (step.kind === 'assembly')
    return step.operations.map((operation, i) => ({
      kind: 'assembly',
      operation,
      nth: i + 1,
      of: step.operations.length,
    }));
  const punches = step.operations.filter((each) => each.kind === 'punch');
  return step.operations.flatMap((operation): readonly Moment[] => {
    if (operation.kind === 'punch')
      return [
        { kind: 'punch', operation, nth: punches.indexOf(operation) + 1, of: punches.length },
      ];
    if (operation.kind !== 'score' && operation.kind !== 'mark') return [];
    if (operation.tool === 'ruler') return [];
    return operation.marks.map((mark, i) => ({
      kind: 'mark',
      operation,
      mark,
      nth: i + 1,
      of: operation.marks.length,
    }));
  });
}
