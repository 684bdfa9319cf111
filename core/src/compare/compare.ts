import { extentsOf, type Extents, type Gift, type GiftItem } from '../gift/index.ts';
import { times, type Length } from '../length/index.ts';
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

/** The request in another style, all of it cut from the first paper, so that paper can be compared. */
export function requestIn(request: PlanRequest, choice: StyleChoice): PlanRequest {
  return { ...request, style: choice, papers: [request.papers[0]] };
}

/** Every kind of box for this gift: the chosen one with its options, the others as they usually are. */
export function compareStyles(request: PlanRequest): readonly Compared[] {
  return allStyles.map((style): Compared => {
    const choice = style.id === request.style.style ? request.style : style.usual;
    const result = planBox(requestIn(request, choice));
    return result.ok
      ? { style, choice, ok: true, plan: result.plan, figures: figuresOf(result.plan) }
      : { style, choice, ok: false, problems: result.problems };
  });
}

function scaledItem(item: GiftItem, by: number): GiftItem {
  const of = (length: Length) => times(length, by);
  switch (item.shape) {
    case 'block':
    case 'lumpy':
      return { ...item, across: of(item.across), deep: of(item.deep), high: of(item.high) };
    case 'cylinder':
      return { ...item, diameter: of(item.diameter), length: of(item.length) };
    case 'ball':
      return { ...item, diameter: of(item.diameter) };
    case 'bottle':
      return {
        ...item,
        diameter: of(item.diameter),
        body: of(item.body),
        shoulder: of(item.shoulder),
        neckDiameter: of(item.neckDiameter),
        neck: of(item.neck),
      };
    case 'card':
      return { ...item, across: of(item.across), deep: of(item.deep), thick: of(item.thick) };
  }
}

/** The gift so many times as large in every measure. */
export function scaledGift(gift: Gift, by: number): Gift {
  if (gift.shape === 'several') return { ...gift, item: scaledItem(gift.item, by) };
  if (gift.shape === 'set')
    return { ...gift, items: gift.items.map((item) => scaledItem(item, by)) };
  return scaledItem(gift, by);
}

/** How finely the largest gift is looked for: within one part in so many. */
const halvings = 7;

/**
 * The largest gift of the same proportions that the style can hold on its sheet; undefined when it can't
 * even hold a quarter of this one.
 */
export function largestGift(request: PlanRequest): Extents | undefined {
  const fits = (by: number) => planBox({ ...request, gift: scaledGift(request.gift, by) }).ok;
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
