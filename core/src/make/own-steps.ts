import { z } from 'zod';
import type { Job, Stage } from './job.ts';
import type { Note, OwnStep, Step } from './step.ts';

/** The longest text of a step or a note of the maker’s own. */
export const longestOwnText = 300;

/** The most of them that are kept with one box. */
export const mostOwnSteps = 40;

/** Something that the maker does besides, or wants to remember, before or after a step of the job. */
export const ownStepSchema = z.object({
  id: z.string().min(1).max(40),
  what: z.enum(['step', 'note']),
  place: z.enum(['before', 'after']),
  /** The step of the job by its id; where that is no longer there, it comes in the end. */
  of: z.string().min(1).max(200),
  text: z
    .string()
    .trim()
    .min(1, { error: 'Say what is to be done, or what to remember.' })
    .max(longestOwnText, { error: `A step or a note has ${longestOwnText} letters at the most.` }),
});
export type OwnStepChoice = z.infer<typeof ownStepSchema>;

/** So long a step of the maker’s own is thought to take, in seconds. */
const usualSeconds = 60;

function ownStep({ id, text }: OwnStepChoice, { bench, piece }: Step, boxes: number): OwnStep {
  return { kind: 'own', id: `own ${id}`, bench, piece, copies: boxes, seconds: usualSeconds, text };
}

function noteOf({ id, place, text }: OwnStepChoice): Note {
  return { id, place, text };
}

/** A job with the maker’s own steps and notes in their places. */
export function withOwnSteps(job: Job, own: readonly OwnStepChoice[]): Job {
  const last = job.steps[job.steps.length - 1];
  if (own.length === 0 || !last) return job;
  const isThere = (id: string) => job.steps.some((step) => step.id === id);
  const placed = own.map((each): OwnStepChoice =>
    isThere(each.of) ? each : { ...each, of: last.id, place: 'after' },
  );
  const at = (step: Step, place: OwnStepChoice['place']) =>
    placed
      .filter((each) => each.what === 'step' && each.of === step.id && each.place === place)
      .map((each) => ownStep(each, step, job.boxes));
  const withNotes = (step: Step): Step => {
    const notes = placed.filter(({ what, of }) => what === 'note' && of === step.id).map(noteOf);
    return notes.length === 0 ? step : { ...step, notes };
  };
  const stages = job.stages.map((stage): Stage => ({
    ...stage,
    steps: stage.steps.flatMap((step) => [
      ...at(step, 'before'),
      withNotes(step),
      ...at(step, 'after'),
    ]),
  }));
  return { ...job, stages, steps: stages.flatMap(({ steps }) => steps) };
}
