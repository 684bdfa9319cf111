import { times } from '../length/index.ts';
import type { PlanRequest } from '../request/index.ts';
import { planBox, type PlanResult } from './plan-box.ts';

/** Shares of the room asked for that do as well, where all of it is too much. */
const shares = [0.75, 0.5, 0.25, 0];

function withShare(request: PlanRequest, share: number): PlanRequest {
  const { across, deep, high } = request.room;
  const some = ({ target, floor }: typeof across) => ({ target, floor: times(floor, share) });
  return { ...request, room: { across: some(across), deep: some(deep), high: some(high) } };
}

/** A plan with the request that it answers. */
export interface RoomPlan {
  readonly request: PlanRequest;
  readonly result: PlanResult;
}

/**
 * Plans a box round what is made, with as much of the room asked for as it leaves: what was wished for is
 * still aimed at. Where even none does, the answer to the request itself.
 */
export function planWithLessRoom(request: PlanRequest): RoomPlan {
  const strict = { request, result: planBox(request) };
  if (strict.result.ok) return strict;
  for (const share of shares) {
    const less = withShare(request, share);
    const result = planBox(less);
    if (result.ok) return { request: less, result };
  }
  return strict;
}
