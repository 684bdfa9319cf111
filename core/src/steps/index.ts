export { planSteps, type PieceJob } from './plan-steps.ts';
export { type PieceMarks } from './score-steps.ts';
export {
  stepSchema,
  type CutStep,
  type ScorePass,
  type ScoreStep,
  type SlitStep,
  type Step,
  type TaperStep,
  type Turn,
} from './step.ts';
export {
  edgesInWords,
  formatSize,
  readingInWords,
  scoreHeadline,
  slitHeadline,
  stepInWords,
  taperHeadline,
} from './wording.ts';
