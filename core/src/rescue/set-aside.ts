import { doneOf, goTo, type Job, type Progress, type Step } from '../make/index.ts';

/** How many copies of a step so many boxes of its job are; undefined where it counts strips, or no whole boxes. */
function shareOf(step: Step, boxes: number, of: number): number | undefined {
  const isOfStrips = step.kind === 'cut' && !step.cuts.some(({ gives }) => gives.kind === 'piece');
  return isOfStrips || step.copies % of !== 0 ? undefined : (step.copies / of) * boxes;
}

/**
 * The making of a job after so many of its boxes have become one of their own: that of the rest, and that of those. What
 * is done already has come to those first, for it is they that something was seen on.
 * @param boxes fewer than there are
 */
export function setAside(
  job: Job,
  progress: Progress,
  boxes: number,
): { readonly rest: Progress; readonly aside: Progress } {
  const now = goTo(progress, undefined);
  const rest = { ...now.done };
  const aside: Record<string, number> = {};
  for (const step of job.steps) {
    const had = doneOf(progress, step);
    if (had === 0) continue;
    const share = shareOf(step, boxes, now.boxes);
    aside[step.id] = share === undefined ? had : Math.min(had, share);
    if (share !== undefined) rest[step.id] = had - Math.min(had, share);
  }
  return {
    rest: { ...now, boxes: now.boxes - boxes, done: rest },
    aside: { ...now, boxes, done: aside },
  };
}
