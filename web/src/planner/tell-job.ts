import {
  noteBefore,
  papersOf,
  planJob,
  sayStep,
  sheetsFor,
  stageNote,
  type Bench,
  type Job,
  type LidCorners,
  type SheetUse,
  type StepWords,
} from '@rangoli/core';
import { figureOfMoment, type MomentFigure } from '../make/moment-words.ts';
import { momentsOf } from '../make/moments.ts';
import type { Planned } from './tell.ts';

/** A planned box that is made so many times. */
export interface PlannedBatch extends Planned {
  readonly boxes: number;
  readonly corners: LidCorners;
}

/** A step as it is told at the table. */
export interface StepTold extends StepWords {
  /** What must be known before it, where it is the first with its tool. */
  readonly before?: string;
  /** The large figure of each of its moments; none where all of it is one picture. */
  readonly figures: readonly MomentFigure[];
}

/** The making of a box, in steps and in words. */
export interface PlannedJob {
  readonly job: Job;
  /** The sheets that all boxes are cut from. */
  readonly sheets: readonly SheetUse[];
  /** The words of each step, by its id. */
  readonly told: ReadonlyMap<string, StepTold>;
  /** What is set up before the first step with a tool. */
  readonly notes: ReadonlyMap<Bench, string>;
}

/** Plans the making of a box, and puts it into words. */
export function planAndTellJob({ plan, request, boxes, corners }: PlannedBatch): PlannedJob {
  const job = planJob(plan, request, { boxes, corners });
  const telling = { job, box: plan, kit: request.kit };
  const told = job.steps.map((step): readonly [string, StepTold] => {
    const said = sayStep(step, telling);
    const before = noteBefore(job, step, request.kit);
    const figures = momentsOf(step).map((moment) => figureOfMoment(moment, said, telling));
    return [step.id, { ...said, ...(before !== undefined && { before }), figures }];
  });
  const notes = job.stages.flatMap((stage): readonly (readonly [Bench, string])[] => {
    const note = stageNote(stage, job, request.kit);
    return note === undefined ? [] : [[stage.bench, note]];
  });
  return {
    job,
    sheets: sheetsFor(plan, papersOf(request), boxes),
    told: new Map(told),
    notes: new Map(notes),
  };
}
