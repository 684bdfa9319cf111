import { allStyles, planBox, type Plan, type PlanRequest } from '@rangoli/core';
import { requestsIn } from '@rangoli/core/testing';
import type { Arbitrary } from 'fast-check';

/** A planned box with what was asked for. */
export interface PlannedBox {
  readonly request: PlanRequest;
  readonly plan: Plan;
}

/** Any kind of box that comes out, with any of its options, on any tools, planned. */
export const anyBox: Arbitrary<PlannedBox> = requestsIn(allStyles)
  .map((request): PlannedBox | undefined => {
    const result = planBox(request);
    return result.ok ? { request, plan: result.plan } : undefined;
  })
  .filter((box) => box !== undefined);

/** What no drawing and no text may hold: a number that is none, or something that is not there. */
export const holes = /NaN|undefined|Infinity|\[object/;
