import { doneOf, type Job, type Progress } from '../make/index.ts';

/** The progress after so many copies of a piece have been cut again: they go through its steps once more. */
export function redone(job: Job, progress: Progress, piece: string, copies: number): Progress {
  const done = { ...progress.done };
  for (const step of job.steps) {
    if (step.piece !== piece || step.kind === 'cut' || step.kind === 'own') continue;
    done[step.id] = Math.max(0, doneOf(progress, step) - copies);
  }
  const { version, boxes, lidCorners, spent } = progress;
  return { version, boxes, lidCorners, spent, done };
}
