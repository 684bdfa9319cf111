export { finishedLimits, type FinishedSize } from './finished-size.ts';
export { type MadeWay } from './made.ts';
export {
  longestName,
  mostAdditions,
  planRequestSchema,
  projectDocumentSchema,
  type PlanRequest,
  type ProjectDocument,
} from './request.ts';
export { nameOfField, optionInQuestion, problemsFrom, type Problem } from './problem.ts';
export { papersOf } from './papers-of.ts';
export { newProject, stockPaper, usualKit, usualRequest } from './first-project.ts';
