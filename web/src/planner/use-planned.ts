import type { PlanRequest } from '@rangoli/core';
import { planner } from './planner.ts';
import { useWorkedOut } from './use-worked-out.ts';

/** The plan for a request; the one before, while it is worked out. */
export function usePlanned(request: () => PlanRequest | undefined) {
  return useWorkedOut(request, (next) => planner((tasks) => tasks.planBox(next))).workedOut;
}
