export { compareCosts, looseness, ownMisfit } from './marks-cost.ts';
export {
  type Chain,
  type ChainMarks,
  type Fit,
  type Lean,
  type MarksCost,
  type MarksProblem,
  type MarkTools,
  type ScoreReading,
  type Section,
  type SheetLimit,
  type SmallerPair,
  type Span,
} from './marks-problem.ts';
export type { MarksSolution } from './marks-solution.ts';
export { meansOf, type Grooves } from './on-mark.ts';
export { readChain } from './readings.ts';
export {
  solveMarks,
  solveMisfits,
  StagedSolver,
  type MarksInStages,
  type Patience,
} from './solve-marks.ts';
