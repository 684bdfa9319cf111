export type { AtCorners, Corner, FromCorner } from './at-corners.ts';
export { afterOperation, justCut } from './as-made.ts';
export { assemblyScenes, type AssemblyMoment, type AssemblyScene } from './assembly-moment.ts';
export { boxOf, copiesInBox, pieceOf, type BoxToMake } from './box-to-make.ts';
export { seen, type AsMade } from './card.ts';
export { cardSoFar, type ScoredWay } from './card-so-far.ts';
export { carryOver } from './carry-over.ts';
export { cutoutPlaces } from './cutout-places.ts';
export { faceNames, type BoxSide, type FaceName, type FaceRow } from './face-name.ts';
export type { RowWay } from './rows-of-part.ts';
export { flatOperations } from './flat-operations.ts';
export { flatSteps, type FlatDraft } from './flat-steps.ts';
export { jobFor, secondsToMake, sheetsFor, type Job, type JobBrief, type Stage } from './job.ts';
export { laidAs, type Feature, type Laid } from './laid.ts';
export { litBy, litCutouts, type Lit } from './lit.ts';
export { isTurnedByPrint, printTopOf } from './print-top.ts';
export type { PrintTowards } from './print-towards.ts';
export { seenPrints, showsDrawnSide, type SeenFace } from './print-seen.ts';
export { madeBefore } from './made-before.ts';
export { lidCornersSchema, type LidCorners } from './lid-corners.ts';
export {
  asDrawn,
  drawnSide,
  isUpright,
  lyingWith,
  opposite,
  sideLying,
  sizeLying,
  spotLying,
  type Lying,
  type QuarterTurns,
} from './lying.ts';
export { missingTools, type MissingTool } from './missing-tools.ts';
export { isFlatOperation, type FlatOperation, type Operation } from './operation.ts';
export type {
  AssemblyOperation,
  AttachOperation,
  CloseOperation,
  DressOperation,
  FoldCornersOperation,
  FoldOperation,
  FoldUpOperation,
  HookOperation,
  LayRibbonOperation,
  GlueOperation,
  JoinOperation,
  LineOperation,
  OutFolds,
  PutInOperation,
  SpotOperation,
  TagOperation,
  Threaded,
  ThreadOperation,
  TieOperation,
  TuckHold,
  TuckOperation,
} from './operations/assembly.ts';
export type { CutAwayOperation } from './operations/cut-away.ts';
export { punchFor, type CutOutOperation } from './operations/cut-out.ts';
export type { CutOperation, SheetCut } from './operations/cut.ts';
export type { OutlineOperation } from './operations/outline.ts';
export type { PunchOperation } from './operations/punch.ts';
export { isCircular, type RoundOperation } from './operations/round.ts';
export {
  chooseEnds,
  countOffMarks,
  readLines,
  type LineReading,
} from './operations/choose-ends.ts';
export { stretchOnBoard } from './operations/score-making.ts';
export type { ScoreMark, ScoreOperation } from './operations/score-operation.ts';
export type { SlantOperation } from './operations/slant.ts';
export type { SlitOperation } from './operations/slit.ts';
export type { Ends, TaperOperation } from './operations/taper.ts';
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
export {
  mergeFacts,
  noFacts,
  progressFactsSchema,
  progressOf,
  storedProgressSchema,
  tell,
  type Moment,
  type ProgressFacts,
} from './progress-facts.ts';
export { lineFromMark, linesAtCorner } from './on-punch-board.ts';
export { scoreRun, type ScoreRun } from './score-run.ts';
export {
  isOffcut,
  layOut,
  leftOver,
  type Placement,
  type SheetPiece,
  type SheetUse,
} from './sheets/index.ts';
export {
  handlingOf,
  type AssemblyStep,
  type Bench,
  type CutStep,
  type FaceUp,
  type FlatStep,
  type Handling,
  type Note,
  type OwnStep,
  type Step,
} from './step.ts';
export {
  longestOwnText,
  mostOwnSteps,
  ownStepSchema,
  withOwnSteps,
  type OwnStepChoice,
} from './own-steps.ts';
