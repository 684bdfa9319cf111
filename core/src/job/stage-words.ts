import { formatLength } from '../length/index.ts';
import { countInWords, grooveFor } from '../steps/index.ts';
import type { Kit } from '../tools/index.ts';
import type { Job, JobStage, JobStep } from './job.ts';

/** The grooves that a stage scores at, in the order in which they come. */
function groovesOf({ steps }: JobStage): readonly number[] {
  const grooves = steps.flatMap(({ work }) =>
    work.kind === 'score' && work.tool === 'board' ? [grooveFor(work.reading, work.shim)] : [],
  );
  return [...new Set(grooves)];
}

function markersNote(stage: JobStage, { board }: Kit): string | undefined {
  const grooves = groovesOf(stage).slice(0, board.markers);
  if (grooves.length === 0) return undefined;
  const steps = stage.steps.flatMap(({ work }) => (work.kind === 'score' ? [work] : []));
  const said = grooves.flatMap((groove) => {
    const step = steps.find((each) => grooveFor(each.reading, each.shim) === groove);
    return step ? [formatLength(grooveFor(step.reading, step.shim), board.unit)] : [];
  });
  const list = said.join(', ').replace(/, ([^,]*)$/, ' and $1');
  return grooves.length === 1
    ? `Set a marker at ${list}.`
    : `Set ${countInWords(grooves.length)} markers, at ${list}.`;
}

/** What is to be set up before the first step of a stage: markers on the board, the tip in the trimmer. */
export function stageNote(stage: JobStage, kit: Kit): string | undefined {
  switch (stage.bench) {
    case 'board':
      return markersNote(stage, kit);
    case 'tip':
      return 'Swap the blade for the scoring tip, and back when you are through: two changes in all.';
    default:
      return undefined;
  }
}

/** What is to be set up before a step, where it is the first of its stage. */
export function noteBefore({ stages }: Job, step: JobStep, kit: Kit): string | undefined {
  const stage = stages.find(({ steps }) => steps[0]?.id === step.id);
  return stage && stageNote(stage, kit);
}
