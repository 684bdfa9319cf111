import type { Length } from '../length/index.ts';
import { plus, zero } from '../length/index.ts';
import type { Job, Stage, Step } from '../make/index.ts';
import type { Kit } from '../tools/index.ts';
import { figuresInRow } from './measures.ts';
import { countInWords } from './plain.ts';

/** The grooves that a stage scores at, each with how often, the most used first. */
function groovesOf({ steps }: Stage): readonly Length[] {
  const times = new Map<Length, number>();
  for (const step of steps) {
    if (step.kind !== 'flat') continue;
    for (const operation of step.operations) {
      if ((operation.kind !== 'score' && operation.kind !== 'mark') || operation.tool !== 'board')
        continue;
      for (const { reading, shim } of operation.marks) {
        const groove = plus(reading, shim ?? zero);
        times.set(groove, (times.get(groove) ?? 0) + step.copies);
      }
    }
  }
  return [...times].sort((a, b) => b[1] - a[1]).map(([groove]) => groove);
}

/** Markers find a groove again: they are worth setting where a batch comes back to it. */
function markersNote(stage: Stage, boxes: number, { board }: Kit): string | undefined {
  const grooves = [...groovesOf(stage).slice(0, board.markers)].sort((a, b) => a - b);
  if (boxes < 2 || grooves.length === 0) return undefined;
  const places = figuresInRow(grooves, board.unit);
  return grooves.length === 1
    ? `Set a marker at ${places}.`
    : `Set ${countInWords(grooves.length)} markers, at ${places}.`;
}

/** What is to be set up before the first step of a stage: markers on the board, the tip in the trimmer. */
export function stageNote(
  stage: Stage,
  { boxes }: Pick<Job, 'boxes'>,
  kit: Kit,
): string | undefined {
  switch (stage.bench) {
    case 'board':
      return markersNote(stage, boxes, kit);
    case 'tip':
      return 'Swap the blade for the scoring tip, and back when you are through: two changes in all.';
    default:
      return undefined;
  }
}

/** What is to be set up before a step, where it is the first of its stage. */
export function noteBefore(job: Job, step: Step, kit: Kit): string | undefined {
  const stage = job.stages.find(({ steps }) => steps[0]?.id === step.id);
  return stage && stageNote(stage, job, kit);
}
