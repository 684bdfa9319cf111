import {
  alikeGifts,
  compareStyles,
  extentsOf,
  findWaysOut,
  frontierOf,
  furthest,
  insideLesson,
  largestEachWay,
  largestGift,
  leftOff,
  neatGiftThatFits,
  papersOf,
  planBox,
  printsOnBox,
  projectDocumentSchema,
  rescue,
  sizeSums,
  squareGifts,
  stretchedAsFarAsItFits,
  stretchedGift,
  windowPlaces,
  wireWays,
  withFinishedSize,
  type FrontierPoint,
  type Furthest,
  type Gift,
  type LeftOff,
  type Length,
  type OverTop,
  type PlanRequest,
  type Problem,
  type WayOut,
  type WindowPlace,
} from '@rangoli/core';
import { planAndTell, type PlannedAndTold } from './plan-and-tell.ts';
import { planAndTellJob } from './tell-job.ts';
import type { Planned } from './tell.ts';
import { wearableFaces, type WearableFace } from './wearable-faces.ts';

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

/** A box as it stands on the server, planned before anybody has read it; its request as text, to be known by. */
export interface PlannedUnread {
  readonly request: string;
  readonly result: PlannedAndTold;
}

/** @throws ZodError where it is no box. */
function planUnread(document: unknown): PlannedUnread {
  const { box } = projectDocumentSchema.parse(document);
  return { request: JSON.stringify(box), result: planAndTell(box) };
}

/** The faces of a box that something may be worn on, and what of that is not on it. */
export interface Wearing {
  readonly faces: readonly WearableFace[];
  readonly missing: readonly LeftOff[];
}

function wearingOf({ plan, request }: Planned): Wearing {
  return {
    faces: wearableFaces(plan, request),
    missing: leftOff({ ...request, papers: papersOf(request) }, plan),
  };
}

/** Where a box may have a window, and the ways in which a wire may go over it. */
export interface Openings {
  readonly windows: readonly WindowPlace[];
  readonly wires: readonly OverTop[];
}

function openingsOf({ plan, request }: Planned): Openings {
  const asked = { ...request, papers: papersOf(request) };
  return { windows: windowPlaces(asked, plan), wires: wireWays(asked, plan) };
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
  planAndTell,
  planUnread,
  planAndTellJob,
  printsOnBox,
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
  withFinishedSize,
  insideLesson,
  wearingOf,
  openingsOf,
};
export type Tasks = typeof tasks;
