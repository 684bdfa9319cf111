import { jobFor, withOwnSteps, type Job, type LidCorners } from '../make/index.ts';
import type { LineRef } from '../piece/index.ts';
import { papersOf, type PlanRequest } from '../request/index.ts';
import type { Plan } from './plan.ts';

/** How many boxes are made, and how the last corners of a lid are glued. */
export interface JobOrder {
  readonly boxes: number;
  readonly corners?: LidCorners;
}

/**
 * The whole job for so many boxes of a plan; what is made already is not made again, and what the maker
 * does besides is among its steps.
 */
export function planJob(
  plan: Plan,
  request: Pick<PlanRequest, 'papers' | 'style' | 'additions' | 'kit' | 'made' | 'ownSteps'>,
  { boxes, corners = 'round the base' }: JobOrder,
): Job {
  const { kit, made } = request;
  const isMade = (piece: string, line: LineRef) => {
    const way = line.axis === 'column' ? 'across' : 'down';
    const mark = plan.marks
      .find((marks) => marks.piece === piece)
      ?.readings.find(({ axis, index }) => axis === line.axis && index === line.index)?.mark;
    return made.some(
      (each) =>
        each.piece === piece && each.way === way && each.marks.some((done) => done.mark === mark),
    );
  };
  const job = jobFor(plan, {
    papers: papersOf(request),
    kit,
    cut: made.map(({ piece }) => piece),
    isMade,
    boxes,
    corners,
  });
  return withOwnSteps(job, request.ownSteps);
}
