import { doneOf, type Job, type Progress } from '../make/index.ts';
import type { LineRef } from '../piece/index.ts';
import type { Plan } from '../planning/index.ts';
import type { MadeWay } from '../request/index.ts';
import type { DoneSoFar, PieceLine } from './mishap.ts';

/** All lines that a piece is marked at. */
function linesOf({ marks }: Plan, piece: string): readonly PieceLine[] {
  return marks
    .filter((each) => each.piece === piece)
    .flatMap(({ readings }) =>
      readings.map(({ axis, index }) => ({ piece, line: { axis, index } })),
    );
}

/** Lines that stood before the plan was made round them. */
function madeBefore(plan: Plan, made: readonly MadeWay[]): readonly PieceLine[] {
  return plan.marks.flatMap(({ piece, readings }) =>
    readings.flatMap(({ axis, index, mark }): readonly PieceLine[] => {
      const way = axis === 'column' ? 'across' : 'down';
      const here = made.find((each) => each.piece === piece && each.way === way);
      const isMade = here?.marks.some((each) => each.mark === mark) ?? false;
      return isMade ? [{ piece, line: { axis, index } }] : [];
    }),
  );
}

/** What the progress of a job, and what was made before it, say is cut and scored. */
export function doneSoFar(
  plan: Plan,
  job: Job,
  progress: Progress,
  made: readonly MadeWay[],
): DoneSoFar {
  const cut = new Set(made.map(({ piece }) => piece));
  const scored: PieceLine[] = [...madeBefore(plan, made)];
  const begun = job.steps.filter((step) => doneOf(progress, step) > 0);
  for (const step of begun) {
    if (step.kind === 'cut') {
      for (const { gives, leaves } of step.cuts)
        for (const part of [gives, leaves]) if (part.kind === 'piece') cut.add(part.piece);
      continue;
    }
    cut.add(step.piece);
    if (step.kind !== 'flat') continue;
    for (const operation of step.operations) {
      const line = (ref: LineRef): PieceLine => ({ piece: step.piece, line: ref });
      if (operation.kind === 'score' || operation.kind === 'mark')
        scored.push(...operation.marks.map((mark) => line(mark.line)));
      if (operation.kind === 'punch') scored.push(...linesOf(plan, step.piece));
    }
  }
  return { cut, scored };
}
