import { doneOf, type Job, type Progress } from '../job/index.ts';
import type { Plan } from '../planning/index.ts';
import type { MadeWay } from '../request/index.ts';
import { lineOf, type DoneSoFar } from './mishap.ts';

/** What the progress of a job, and what was made before it, say is cut and scored. */
export function doneSoFar(
  plan: Plan,
  job: Job,
  progress: Progress,
  made: readonly MadeWay[],
): DoneSoFar {
  const cut = new Set(made.map(({ piece }) => piece));
  const scored = new Set<string>();
  for (const { piece, readings } of plan.marks)
    for (const { line, mark } of readings) {
      const way = line.startsWith('column') ? 'across' : 'down';
      const here = made.find((each) => each.piece === piece && each.way === way);
      if (here?.marks.some((each) => each.mark === mark)) scored.add(lineOf(piece, line));
    }
  for (const step of job.steps) {
    if (doneOf(progress, step) === 0) continue;
    const { work } = step;
    if (work.kind === 'trim') {
      if (work.gives.kind === 'piece') cut.add(work.gives.piece);
      continue;
    }
    cut.add(work.piece);
    if (work.kind === 'score')
      for (const { line } of work.passes) scored.add(lineOf(work.piece, line));
    if (work.kind === 'punch')
      for (const { piece, readings } of plan.marks)
        if (piece === work.piece) for (const { line } of readings) scored.add(lineOf(piece, line));
  }
  return { cut, scored };
}
