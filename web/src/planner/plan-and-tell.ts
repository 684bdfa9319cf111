import { planBox, type PlanRequest, type PlanResult } from '@rangoli/core';
import { tell, type BoxTold } from './tell.ts';

/** What came of a request, in words too where it can be made. */
export type PlannedAndTold =
  | (Extract<PlanResult, { ok: true }> & { readonly told: BoxTold })
  | Extract<PlanResult, { ok: false }>;

/** Plans what was asked for, and puts it into words. */
export function planAndTell(request: PlanRequest): PlannedAndTold {
  const result = planBox(request);
  return result.ok ? { ...result, told: tell({ plan: result.plan, request }) } : result;
}
