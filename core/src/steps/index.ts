export { planSteps, type PieceJob } from './plan-steps.ts';
export { type PieceMarks } from './score-steps.ts';
export {
  quarterTurnsTo,
  scoreRun,
  stretchOnBoard,
  type FenceSide,
  type ScoreRun,
} from './on-board.ts';
export { lineFromMark, linesAtCorner } from './on-punch-board.ts';
export { inTurningOrder } from './passes.ts';
export { grooveFor } from './score-means.ts';
export { missingTools, type MissingTool } from './missing-tools.ts';
export { scoreStrips, type ScoreStrip } from './score-strips.ts';
export {
  stepSchema,
  type CutStep,
  type FaceUp,
  type PunchStep,
  type ScorePass,
  type ScoreStep,
  type SlantStep,
  type SlitStep,
  type SnipStep,
  type Step,
  type TaperStep,
  type Turn,
} from './step.ts';
export { countInWords } from './count-in-words.ts';
export { formatNearest } from './nearest.ts';
export { roleInWords, severalInWords } from './role-words.ts';
export {
  edgesInWords,
  formatSize,
  partsInWords,
  punchHeadline,
  punchInWords,
  readingInWords,
  scoreHeadline,
  scoreLyingInWords,
  scoreUnit,
  slantDetail,
  slantHeadline,
  slitHeadline,
  snipHeadline,
  stepInWords,
  taperDepth,
  taperHeadline,
} from './wording.ts';
