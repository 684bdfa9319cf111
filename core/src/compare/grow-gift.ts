import { extentsOf, neatGift, stretchedGift, type Extents, type Gift } from '../gift/index.ts';
import { minus, roundDown, type Length } from '../length/index.ts';
import { planBox } from '../planning/index.ts';
import type { PlanRequest } from '../request/index.ts';
import type { Furthest } from './frontier.ts';

function fits(request: PlanRequest, gift: Gift): boolean {
  return planBox({ ...request, gift }).ok;
}

/** A gift that is stretched by hand, and whether it came to its limit. */
export interface Stretched {
  /** None where no box goes round it either way. */
  readonly gift: Gift | undefined;
  readonly isStopped: boolean;
}

/**
 * A gift stretched to a width and a height, on the marks of a ruler, as far as there is a box for it: beyond
 * the limit it goes on along it, as wide or as high as it can be there.
 */
export function stretchedAsFarAsItFits(
  request: PlanRequest,
  from: Gift,
  to: Pick<Extents, 'across' | 'high'>,
  mark: Length,
): Stretched {
  const size = extentsOf(from);
  const now = extentsOf(request.gift);
  const stretched = (across: Length, high: Length) =>
    neatGift(stretchedGift(from, across / size.across, high / size.high), mark);
  const wanted = stretched(to.across, to.high);
  const gift = [wanted, stretched(to.across, now.high), stretched(now.across, to.high)].find(
    (each) => fits(request, each),
  );
  return { gift, isStopped: gift !== wanted };
}

/** A gift on the marks of a ruler that there is a box for: a mark less where rounding would go over the edge. */
export function neatGiftThatFits(request: PlanRequest, gift: Gift, mark: Length): Gift {
  return (
    [1, 0.995, 0.99, 0.98]
      .map((by) => neatGift(stretchedGift(gift, by, by), mark))
      .find((each) => fits(request, each)) ?? gift
  );
}

/** How much larger a gift could still be each way, on the marks of a ruler. */
export function spareFor(
  { across, high }: Furthest,
  size: Extents,
  mark: Length,
): Pick<Extents, 'across' | 'high'> {
  const left = (most: Length, now: Length) => roundDown(minus(most, now < most ? now : most), mark);
  return { across: left(across, size.across), high: left(high, size.high) };
}
