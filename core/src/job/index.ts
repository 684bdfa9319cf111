export {
  type AssemblyStep,
  type CloseStep,
  type FoldStep,
  type GiftStep,
  type GlueStep,
  type JoinStep,
} from './assembly-step.ts';
export { boxOf } from './assembly-steps.ts';
export { lessonOf, taughtPairs, type Lesson, type TaughtPair } from './calibration.ts';
export { type LidCorners } from './lid-corners.ts';
export { insideLesson } from './inside-lesson.ts';
export { sheetsFor } from './job-sheets.ts';
export { planJob, scoredBefore, type Bench, type Job, type JobStage, type JobStep } from './job.ts';
export {
  doneOf,
  goTo,
  isDone,
  mostBoxes,
  nextStep,
  noProgress,
  progressSchema,
  secondsLeft,
  stepAtHand,
  undone,
  withDone,
  type Progress,
} from './progress.ts';
export { plural } from './plural.ts';
export { noteBefore, stageNote } from './stage-words.ts';
export { sayJobStep, type JobWords } from './job-words.ts';
