import { extentsOf, giftLimits } from '../gift/index.ts';
import { nanometres, type Length } from '../length/index.ts';
import type { PlanRequest } from '../request/index.ts';
import { alikeGifts, fitsIn } from './frontier.ts';
import { lastThatDoes } from './last-that-does.ts';

/** How large a gift of these proportions may be for a box that is still made on the same tools and sheets. */
export interface LargestEachWay {
  /** How far across at today's height. */
  readonly across: Length;
  /** How high on today's footprint. */
  readonly high: Length;
}

const halvings = 9;

/** The largest gifts that a request has a box for; undefined where it has none as it is. */
export function largestEachWay(request: PlanRequest): LargestEachWay | undefined {
  const { across, high } = extentsOf(request.gift);
  const fits = fitsIn(request, alikeGifts(request.gift));
  if (!fits(across, high)) return undefined;
  const { most } = giftLimits;
  return {
    across: nanometres(lastThatDoes(across, most, halvings, (wide) => fits(wide, high))),
    high: nanometres(lastThatDoes(high, most, halvings, (tall) => fits(across, tall))),
  };
}
