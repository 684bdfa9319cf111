import { extentsOf, scaledGift, type Extents } from '../gift/index.ts';
import { planBox, type Plan } from '../planning/index.ts';
import type { PlanRequest, Problem } from '../request/index.ts';
import { allStyles, type StyleChoice, type StyleSummary } from '../styles/index.ts';
import { figuresOf, type BoxFigures } from './figures.ts';

/** One kind of box for a gift: what it takes, or what stands in its way. */
export type Compared = {
  readonly style: StyleSummary;
  readonly choice: StyleChoice;
} & (
  | { readonly ok: true; readonly plan: Plan; readonly figures: BoxFigures }
  | { readonly ok: false; readonly problems: readonly Problem[] }
);

/**
 * The request in another style, all of it cut from the first paper, so that paper can be compared. Nothing
 * counts as made yet.
 */
export function requestIn(request: PlanRequest, choice: StyleChoice): PlanRequest {
  return { ...request, style: choice, papers: [request.papers[0]], made: [] };
}

/** Every kind of box for this gift: the chosen one with its options, the others as they usually are. */
export function compareStyles(request: PlanRequest): readonly Compared[] {
  return allStyles.map((style): Compared => {
    const choice = style.id === request.style.style ? request.style : style.usual;
    const asked = requestIn(request, choice);
    const result = planBox(asked);
    return result.ok
      ? { style, choice, ok: true, plan: result.plan, figures: figuresOf(result.plan, asked) }
      : { style, choice, ok: false, problems: result.problems };
  });
}

/** How finely the largest gift is looked for: within one part in so many. */
const halvings = 7;

/**
 * The largest gift of the same proportions that the style can hold on its sheet; undefined when it can't
 * even hold a quarter of this one.
 */
export function largestGift(request: PlanRequest): Extents | undefined {
  const fits = (by: number) =>
    planBox({ ...request, gift: scaledGift(request.gift, by), made: [] }).ok;
  let low = fits(1) ? 1 : 0.25;
  if (low < 1 && !fits(low)) return undefined;
  let high = low === 1 ? 2 : 1;
  while (high < 16 && fits(high)) {
    low = high;
    high *= 2;
  }
  for (let i = 0; i < halvings; i++) {
    const middle = (low + high) / 2;
    if (fits(middle)) low = middle;
    else high = middle;
  }
  return extentsOf(scaledGift(request.gift, low));
}
