/** The one way in: the web client, its workers, the server and the command line all plan with this. */
export {
  madeAsPlanned,
  missedSize,
  outsideOf,
  withFinishedSize,
  planBox,
  planJob,
  planWithLessRoom,
  planSchema,
  type PairChoice,
  type JobOrder,
  type Plan,
  type PlannedDepth,
  type PlannedPair,
  type PlanResult,
} from './planning/index.ts';
