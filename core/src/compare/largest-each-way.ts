import { extentsOf, giftLimits } from '../gift/index.ts';
import { nanometres, type Length } from '../length/index.ts';
import type { Plan } from '../planning/index.ts';
import type { PlanRequest } from '../request/index.ts';
import { alikeGifts, plansOf } from './frontier.ts';
import { lastThatDoes } from './last-that-does.ts';

/** How large a gift of these proportions may be for a box that is still made on the same tools and sheets. */
export interface LargestEachWay {
  /** How far across at today's height. */
  readonly across: Length;
  /** How high on today's footprint. */
  readonly high: Length;
}

const halvings = 9;

function isOnPunchBoard({ pieces }: Plan): boolean {
  return pieces.some(({ punchBoard }) => punchBoard !== undefined);
}

/** The largest gifts that a request has a box for; undefined where it has none as it is. */
export function largestEachWay(request: PlanRequest): LargestEachWay | undefined {
  const { across, high } = extentsOf(request.gift);
  const plan = plansOf(request, alikeGifts(request.gift));
  const now = plan(across, high);
  if (!now.ok) return undefined;
  const fits = (wide: number, tall: number) => {
    const result = plan(wide, tall);
    return result.ok && isOnPunchBoard(result.plan) === isOnPunchBoard(now.plan);
  };
  const { most } = giftLimits;
  return {
    across: nanometres(lastThatDoes(across, most, halvings, (wide) => fits(wide, high))),
    high: nanometres(lastThatDoes(high, most, halvings, (tall) => fits(across, tall))),
  };
}
