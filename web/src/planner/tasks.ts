import {
  alikeGifts,
  compareStyles,
  extentsOf,
  findWaysOut,
  frontierOf,
  furthest,
  largestEachWay,
  largestGift,
  neatGiftThatFits,
  planBox,
  rescue,
  sizeSums,
  squareGifts,
  stretchedAsFarAsItFits,
  stretchedGift,
  type FrontierPoint,
  type Furthest,
  type Gift,
  type Length,
  type PlanRequest,
  type Problem,
  type WayOut,
} from '@rangoli/core';

/** How large gifts may be for a kind of box on its sheets. */
export interface Limits {
  /** For gifts with the proportions of today's. */
  readonly alike: readonly FrontierPoint[];
  readonly square: readonly FrontierPoint[];
  /** How far today's gift could still grow each way. */
  readonly furthest: Furthest;
}

/** A request that can't be planned, and why. */
export interface Refused {
  readonly request: PlanRequest;
  readonly problems: readonly Problem[];
}

function limitsOf(request: PlanRequest): Limits {
  const { gift } = request;
  const alike = alikeGifts(gift);
  return {
    alike: frontierOf(request, alike),
    square: frontierOf(request, squareGifts()),
    furthest: furthest(request, alike, extentsOf(gift)),
  };
}

/** The largest gift with the proportions of today's that has a box, on the marks of a ruler. */
function largestAlike(request: PlanRequest, mark: Length): Gift | undefined {
  const most = largestGift(request);
  if (!most) return undefined;
  const by = most.across / extentsOf(request.gift).across;
  return neatGiftThatFits(request, stretchedGift(request.gift, by, by), mark);
}

/**
 * Tries ways out one by one, and tells of each whether it leads out; who is told says whether to look on. Between
 * two of them other tasks have their turn.
 */
async function lookForWaysOut(
  { request, problems }: Refused,
  tell: (way: WayOut | undefined) => boolean | Promise<boolean>,
): Promise<void> {
  for (const way of findWaysOut(request, problems)) if (!(await tell(way))) return;
}

/** What is worked out beside the page, so that neither typing nor dragging ever waits for it. */
export const tasks = {
  planBox,
  sizeSums,
  compareStyles,
  largestGift,
  largestEachWay,
  largestAlike,
  neatGiftThatFits,
  stretchedAsFarAsItFits,
  limitsOf,
  rescue,
  lookForWaysOut,
};
export type Tasks = typeof tasks;
