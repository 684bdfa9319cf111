import type { PlanRequest } from '@rangoli/core';
import { planner, takePlanAhead } from './planner.ts';
import type { PlannedAndTold } from './plan-and-tell.ts';
import { useWorkedOut } from './use-worked-out.ts';

/** Where planning fails by a fault of its own, it is a refusal: no figures of another box are taken for this one. */
async function plan(request: PlanRequest): Promise<PlannedAndTold> {
  try {
    const ahead = await takePlanAhead(request);
    return ahead ?? (await planner((tasks) => tasks.planAndTell(request)));
  } catch (error) {
    console.error(error);
    const message =
      'Rangoli could not plan this box. Undo the last change, or try another measure.';
    return { ok: false, problems: [{ field: 'box', message }] };
  }
}

/** The plan for a request; the one before, while it is worked out. */
export function usePlanned(request: () => PlanRequest | undefined) {
  return useWorkedOut(request, plan).workedOut;
}
