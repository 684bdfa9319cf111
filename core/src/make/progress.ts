import { z } from 'zod';
import type { Job } from './job.ts';
import { lidCornersSchema } from './lid-corners.ts';
import type { Bench, Step } from './step.ts';

/** The most boxes that one job may be for. */
export const mostBoxes = 200;

/** What so many pieces took, counted in the usual time of their step. */
export const spentSchema = z.object({
  usualTimes: z.number().nonnegative(),
  copies: z.int().nonnegative(),
});

/** How far the making of a box has come, as it is stored. */
export const progressSchema = z.object({
  version: z.literal(1),
  boxes: z
    .int({ error: 'How many boxes is a whole number.' })
    .min(1, { error: 'Make one box at least.' })
    .max(mostBoxes, { error: `Make ${mostBoxes} boxes at the most in one go.` }),
  /** Whether the last corners of a lid are glued round its finished base, or all of them flat before. */
  lidCorners: lidCornersSchema.default('round the base'),
  /** How many pieces are through each step, by its id. */
  done: z.record(z.string(), z.int().nonnegative()),
  /** The step at hand; the first that is not done without it. */
  at: z.string().optional(),
  /** Time that steps took, by the tool. */
  spent: z.record(z.string(), spentSchema),
});
export type Progress = z.infer<typeof progressSchema>;

/** Nothing made yet, of so many boxes. */
export function noProgress(boxes = 1): Progress {
  return { version: 1, boxes, lidCorners: 'round the base', done: {}, spent: {} };
}

/** How many pieces are through a step. */
export function doneOf({ done }: Progress, { id, copies }: Step): number {
  return Math.min(done[id] ?? 0, copies);
}

/** Whether all pieces are through a step. */
export function isDone(progress: Progress, step: Step): boolean {
  return doneOf(progress, step) >= step.copies;
}

/** Where the maker is: the step that was gone to, or the first that is not done. Undefined when all is. */
export function stepAtHand(job: Job, progress: Progress): Step | undefined {
  return (
    job.steps.find(({ id }) => id === progress.at) ??
    job.steps.find((step) => !isDone(progress, step))
  );
}

/** The first step after this one that is not done, or else the first of all. Undefined when all is done. */
export function nextStep(job: Job, progress: Progress, after: Step): Step | undefined {
  const open = (step: Step) => !isDone(progress, step);
  const later = job.steps.slice(job.steps.indexOf(after) + 1);
  return later.find(open) ?? job.steps.find(open);
}

/** A longer break than this is no work. */
const longestPiece = 600;

function withTime(progress: Progress, step: Step, copies: number, seconds: number): Progress {
  if (copies <= 0 || seconds <= 0 || seconds / copies > longestPiece) return progress;
  // What is counted with the folds before it has no time of its own.
  if (step.seconds === 0) return progress;
  const { bench } = step;
  const before = progress.spent[bench] ?? { usualTimes: 0, copies: 0 };
  // So long and short steps at one tool are one measure.
  const spent = {
    usualTimes: before.usualTimes + seconds / step.seconds,
    copies: before.copies + copies,
  };
  return { ...progress, spent: { ...progress.spent, [bench]: spent } };
}

/** So many more pieces are through a step, which took so long; on to the next when none is left. */
export function withDone(
  job: Job,
  progress: Progress,
  {
    step,
    copies,
    seconds,
  }: { readonly step: Step; readonly copies: number; readonly seconds: number },
): Progress {
  const had = doneOf(progress, step);
  const has = Math.min(step.copies, had + copies);
  // What the maker does besides says nothing of how long a tool takes.
  const timed = step.kind === 'own' ? progress : withTime(progress, step, has - had, seconds);
  const counted = { ...timed, done: { ...timed.done, [step.id]: has } };
  if (has < step.copies) return { ...counted, at: step.id };
  return goTo(counted, nextStep(job, counted, step));
}

/** The pieces of a step are to be done again, and it is at hand. */
export function undone(progress: Progress, step: Step): Progress {
  const done = Object.fromEntries(Object.entries(progress.done).filter(([id]) => id !== step.id));
  return { ...progress, done, at: step.id };
}

/** Goes to a step; to the first that is not done without one. */
export function goTo(
  { at: _, ...progress }: Progress,
  step: Pick<Step, 'id'> | undefined,
): Progress {
  return step ? { ...progress, at: step.id } : progress;
}

/** How much slower or faster than usual the work with a tool has gone; 1 before it has been done. */
function paceOf({ spent }: Progress, bench: Bench): number {
  const known = spent[bench];
  // A few usual ones stand beside what was measured, so that the first piece doesn't decide it all.
  return known ? (known.usualTimes + 2) / (known.copies + 2) : 1;
}

/** Seconds that are left of a step, by the maker's own pace. */
export function secondsLeft(progress: Progress, step: Step): number {
  return (step.copies - doneOf(progress, step)) * step.seconds * paceOf(progress, step.bench);
}
