import { doneOf, type CutStep, type Job, type Progress } from '../make/index.ts';

/** How many of a piece come of a step that takes sheets apart. */
function givenIn({ cuts }: CutStep, piece: string): number {
  return cuts
    .filter(({ gives }) => gives.kind === 'piece' && gives.piece === piece)
    .reduce((sum, { count }) => sum + count, 0);
}

/** The progress after so many copies of a piece are lost: they are cut again, and go through its steps once more. */
export function redone(job: Job, progress: Progress, piece: string, copies: number): Progress {
  const done = { ...progress.done };
  let toCut = copies;
  for (const step of job.steps.toReversed()) {
    const had = doneOf(progress, step);
    if (step.kind === 'cut') {
      // What comes of several cuts is cut by the last of them, as far as that goes.
      const again = Math.min(toCut, had, givenIn(step, piece));
      toCut -= again;
      done[step.id] = had - again;
    } else if (step.piece === piece && step.kind !== 'own')
      done[step.id] = Math.max(0, had - copies);
  }
  const { version, boxes, lidCorners, spent } = progress;
  return { version, boxes, lidCorners, spent, done };
}
