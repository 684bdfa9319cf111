export { missedSize, outsideOf, withFinishedSize } from './finished-size.ts';
export { planWithLessRoom, type RoomPlan } from './less-room.ts';
export {
  printsOnBox,
  type PrintedFaces,
  type PrintOnPiece,
  type PrintStands,
  type PrintTurn,
} from './prints-on-box.ts';
export { planJob, type JobOrder } from './plan-job.ts';
export { sizeSums, type SectionReason, type SizePart, type SizeSum } from './size-sums.ts';
export { planBox, type PlanResult } from './plan-box.ts';
export {
  planSchema,
  type PairChoice,
  type Plan,
  type PlannedDepth,
  type PlannedPair,
} from './plan.ts';
export { madeAsPlanned, readingsOneWay, type MarkReading } from './made-as-planned.ts';
