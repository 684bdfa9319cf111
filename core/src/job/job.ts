import type { Length } from '../length/index.ts';
import type { Plan } from '../planning/index.ts';
import type { PlanRequest } from '../request/index.ts';
import type { TrimStep } from '../sheets/index.ts';
import {
  inTurningOrder,
  scoreRun,
  type CutStep,
  type ScoreRun,
  type ScoreStep,
  type Step,
} from '../steps/index.ts';
import type { AssemblyStep } from './assembly-step.ts';
import { assemblySteps } from './assembly-steps.ts';
import type { LidCorners } from './lid-corners.ts';
import { trimSteps } from './job-sheets.ts';
import { usualSeconds } from './usual-time.ts';

/** Where on the table a step is done. */
export type Bench = 'trimmer' | 'punch board' | 'board' | 'tip' | 'ruler' | 'scissors' | 'glue';

/** What a step of the job does: cuts sheets, makes what the plan says of a piece, or puts the box together. */
export type Work = TrimStep | Exclude<Step, CutStep> | AssemblyStep;

/** One thing to do at the table with one setting, for every piece that needs it. */
export interface JobStep {
  /** Stays the same while the step does, so that progress is kept when the box is planned anew. */
  readonly id: string;
  readonly bench: Bench;
  readonly work: Work;
  /** How many pieces go through it, over all boxes. */
  readonly copies: number;
  /** About how long one of them takes a practised hand, in seconds. */
  readonly usual: number;
}

/** Steps that are done with the same tool, one after the other. */
export interface JobStage {
  readonly bench: Bench;
  readonly steps: readonly JobStep[];
}

/** Everything that there is to do for so many boxes, in order. */
export interface Job {
  readonly boxes: number;
  readonly stages: readonly JobStage[];
  /** The same steps in one row. */
  readonly steps: readonly JobStep[];
}

const benches: readonly Bench[] = [
  'trimmer',
  'punch board',
  'board',
  'tip',
  'ruler',
  'scissors',
  'glue',
];

function benchOf(work: Work): Bench {
  switch (work.kind) {
    case 'trim':
      return 'trimmer';
    case 'punch':
      return 'punch board';
    case 'score':
      return work.tool;
    case 'slant':
      return 'ruler';
    case 'slit':
    case 'taper':
    case 'snip':
      return 'scissors';
    default:
      return 'glue';
  }
}

/** What tells a step from the others of its piece. */
function detailOf(work: Work): string {
  switch (work.kind) {
    case 'trim':
      return [
        work.paper,
        work.from.width,
        work.from.height,
        work.measures,
        work.takes,
        work.gives.kind,
      ].join(' ');
    case 'punch':
      return work.setting.kind === 'mark' ? `${work.setting.at}` : work.setting.kind;
    case 'score':
      return `${work.make} ${work.tool} ${work.reading} ${work.passes.map(({ edge }) => edge).join('')}`;
    case 'slit':
      return work.slits.map(({ line, from }) => `${line} ${from}`).join(',');
    case 'slant':
      return work.lines.map((runs) => runs.join('+')).join(',');
    case 'taper':
      return `${work.role} ${work.inset}`;
    case 'snip':
      return `${work.shape} ${work.use} ${work.size ?? ''}`;
    case 'glue':
      return `${work.role} ${work.onto} ${work.stage} ${work.round ?? ''}`;
    case 'close':
      return `${work.role} ${work.stage}`;
    case 'fasten':
      return work.with;
    case 'fold':
    case 'join':
    case 'gift':
      return '';
  }
}

/** Scores that need the same setting follow one another, whatever piece they are on. */
function bySetting(steps: readonly JobStep[]): readonly JobStep[] {
  const settingOf = ({ work }: JobStep) => (work.kind === 'score' ? work.reading : undefined);
  const settings = [...new Set(steps.map(settingOf))];
  return settings.flatMap((setting) => steps.filter((step) => settingOf(step) === setting));
}

function isScore(work: Work): work is ScoreStep {
  return work.kind === 'score';
}

/** A score step without the lines that have been made already. */
function stillToScore(
  step: ScoreStep,
  { marks }: Plan,
  made: PlanRequest['made'],
): readonly ScoreStep[] {
  const readings = marks.find(({ piece }) => piece === step.piece)?.readings ?? [];
  const isMade = (line: string) => {
    const mark = readings.find((each) => each.line === line)?.mark;
    const way = line.startsWith('column') ? 'across' : 'down';
    return made.some(
      (each) =>
        each.piece === step.piece &&
        each.way === way &&
        each.marks.some((done) => done.mark === mark),
    );
  };
  const passes = step.passes.filter(({ line }) => !isMade(line));
  if (passes.length === step.passes.length) return [step];
  return passes.length === 0 ? [] : [{ ...step, passes: inTurningOrder(passes) }];
}

/**
 * The whole job for so many boxes: what the plan says for one, for all of them and in the order of the
 * table, then folding and gluing. Everything that can't be done after gluing comes before it.
 */
export function planJob(
  plan: Plan,
  request: PlanRequest,
  boxes: number,
  corners: LidCorners = 'round the base',
): Job {
  const lines = plan.steps.flatMap((step): readonly Work[] => {
    if (step.kind === 'cut') return [];
    return step.kind === 'score' ? stillToScore(step, plan, request.made) : [step];
  });
  const works: readonly Work[] = [
    ...trimSteps(plan, request, boxes),
    ...lines,
    ...assemblySteps(plan, request.papers, corners),
  ];
  const ids = new Set<string>();
  const all = works.map((work): JobStep => {
    const name = `${work.kind} ${work.piece} ${detailOf(work)}`.trim();
    let id = name;
    for (let again = 2; ids.has(id); again++) id = `${name} (${again})`;
    ids.add(id);
    return {
      id,
      bench: benchOf(work),
      work,
      // Sheets are counted for all boxes together.
      copies: work.kind === 'trim' ? work.copies : work.copies * boxes,
      usual: usualSeconds(work),
    };
  });
  const stages = benches.flatMap((bench): readonly JobStage[] => {
    const here = all.filter((step) => step.bench === bench);
    if (here.length === 0) return [];
    const steps = here.every(({ work }) => isScore(work)) ? bySetting(here) : here;
    return [{ bench, steps }];
  });
  return { boxes, stages, steps: stages.flatMap(({ steps }) => steps) };
}

/** Everything that the steps before this one have scored on its piece, which was cut to this size. */
export function scoredBefore(
  { steps }: Job,
  step: JobStep,
  { width, height }: { readonly width: Length; readonly height: Length },
): readonly ScoreRun[] {
  return steps
    .slice(0, steps.indexOf(step))
    .flatMap(({ work }) =>
      isScore(work) && work.piece === step.work.piece && work.make === 'score'
        ? work.passes.map((pass) => scoreRun(pass, work.reading, width, height))
        : [],
    );
}
