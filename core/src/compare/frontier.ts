import { extentsOf, giftLimits, stretchedGift, type Gift } from '../gift/index.ts';
import { millimetres, nanometres, type Length } from '../length/index.ts';
import { planBox, type PlanResult } from '../planning/index.ts';
import type { PlanRequest } from '../request/index.ts';
import { lastThatDoes } from './last-that-does.ts';

/** Gifts of one kind by how far they reach across and up. */
export type GiftFamily = (across: Length, high: Length) => Gift;

/** What gifts that reach so far across may be in height, for a box on the sheet. */
export interface FrontierPoint {
  readonly across: Length;
  /** The lowest and the highest gift that can be boxed. */
  readonly low: Length;
  readonly high: Length;
}

/** The thing to stretch: a ball is taken as a round of its height, what is no single thing as a block. */
function stretchable(gift: Gift): Gift {
  const { across, deep, high } = extentsOf(gift);
  if (gift.shape === 'bottle') return gift.lies === 'free' ? { ...gift, lies: 'standing' } : gift;
  if (gift.shape === 'ball' || (gift.shape === 'cylinder' && gift.lies !== 'lying'))
    return { shape: 'cylinder', diameter: across, length: high, lies: 'standing' };
  return { shape: 'block', across, deep, high };
}

/** Gifts of the shape of this one, with its footprint's proportions, at any height. */
export function alikeGifts(gift: Gift): GiftFamily {
  const model = stretchable(gift);
  const size = extentsOf(model);
  return (across, high) => stretchedGift(model, across / size.across, high / size.high);
}

/** Blocks on a square. */
export function squareGifts(): GiftFamily {
  return (across, high) => ({ shape: 'block', across, deep: across, high });
}

/** Whether a gift that reaches so far has a box. */
export type Fits = (across: number, high: number) => boolean;

/** Plans a request for gifts of a family, with nothing made yet. */
export function plansOf(request: PlanRequest, family: GiftFamily) {
  return (across: number, high: number): PlanResult =>
    planBox({
      ...request,
      gift: family(nanometres(Math.round(across)), nanometres(Math.round(high))),
      made: [],
    });
}

/** Tells whether gifts of a family have a box on a request's tools and sheets, with nothing made yet. */
export function fitsIn(request: PlanRequest, family: GiftFamily): Fits {
  const plan = plansOf(request, family);
  return (across, high) => plan(across, high).ok;
}

/** Sizes that are tried first, to find some height at which a footprint can be boxed. */
const firstTries = [3, 6, 12, 20, 35, 60, 100, 160, 250, 400, 620].map((each) => millimetres(each));

function heightsAt(across: number, fits: Fits): FrontierPoint | undefined {
  const works = firstTries.map((high) => fits(across, high));
  const first = works.indexOf(true);
  const last = works.lastIndexOf(true);
  const lowest = firstTries[first];
  const highest = firstTries[last];
  if (lowest === undefined || highest === undefined) return undefined;
  const test = (high: number) => fits(across, high);
  const below = firstTries[first - 1];
  const above = firstTries[last + 1] ?? giftLimits.most;
  return {
    across: nanometres(across),
    low: below === undefined ? lowest : nanometres(lastThatDoes(lowest, below, 4, test)),
    high: nanometres(lastThatDoes(highest, above, 7, test)),
  };
}

/** The same, looked for near the heights of a footprint next to it, which are about as high. */
function heightsNear(across: number, beside: FrontierPoint, fits: Fits): FrontierPoint | undefined {
  const test = (high: number) => fits(across, high);
  if (!test(beside.low)) return heightsAt(across, fits);
  let [good, bad]: [number, number] = [beside.low, beside.high * 1.06];
  for (let high: number = beside.high; high > beside.low; high *= 0.9) {
    if (test(high)) {
      good = high;
      break;
    }
    bad = high;
  }
  const high = lastThatDoes(Math.round(good), Math.round(bad), 6, test);
  return { across: nanometres(across), low: beside.low, high: nanometres(high) };
}

/**
 * How large a gift of a family can be for the request's style on its sheets: for footprints from the
 * smallest to the largest that can be boxed, the lowest and the highest gift. Empty when none can be.
 */
export function frontierOf(
  request: PlanRequest,
  family: GiftFamily,
  count = 24,
): readonly FrontierPoint[] {
  const fits = fitsIn(request, family);
  const tried = firstTries.map((across) => heightsAt(across, fits));
  const lastAt = tried.findLastIndex((point) => point !== undefined);
  const firstAt = tried.findIndex((point) => point !== undefined);
  const [from, to] = [tried[firstAt], tried[lastAt]];
  if (!from || !to) return [];
  const anyHeight = (across: number) => heightsAt(across, fits) !== undefined;
  const above = firstTries[lastAt + 1] ?? giftLimits.most;
  const widest = lastThatDoes(to.across, above, 6, anyHeight);
  const step = (widest - from.across) / (count - 1);
  const points: FrontierPoint[] = [];
  for (let i = 0; i < count; i++) {
    const across = i === count - 1 ? widest : Math.round(from.across + i * step);
    const beside = points.at(-1);
    const point = beside ? heightsNear(across, beside, fits) : heightsAt(across, fits);
    if (point) points.push(point);
  }
  return points;
}

/** How far today's gift could still grow one way, the other staying as it is; its own size where it can't. */
export interface Furthest {
  readonly across: Length;
  readonly high: Length;
}

/** How far a gift of this size could grow across, and how far up. */
export function furthest(
  request: PlanRequest,
  family: GiftFamily,
  at: { readonly across: Length; readonly high: Length },
): Furthest {
  const fits = fitsIn(request, family);
  if (!fits(at.across, at.high)) return at;
  const grow = (start: number, test: (value: number) => boolean) => {
    let good = start;
    let bad = start * 2;
    while (bad < giftLimits.most && test(bad)) [good, bad] = [bad, bad * 2];
    return nanometres(lastThatDoes(good, Math.min(bad, giftLimits.most), 9, test));
  };
  return {
    across: grow(at.across, (across) => fits(across, at.high)),
    high: grow(at.high, (high) => fits(at.across, high)),
  };
}

/** The point whose gift takes up the most space; undefined where there is none. */
export function largestOn(points: readonly FrontierPoint[]): FrontierPoint | undefined {
  const space = ({ across, high }: FrontierPoint) => across * across * high;
  return [...points].sort((a, b) => space(b) - space(a))[0];
}
