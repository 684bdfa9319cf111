import type { BoxFigures } from './figures.ts';
import type { Compared } from './compare.ts';

/** What a maker may want of a box. */
export const wishes = [
  'one sheet',
  'no glue',
  'all on marks',
  'opens from the top',
  'shows the gift',
] as const;
export type Wish = (typeof wishes)[number];

const meets: Readonly<Record<Wish, (figures: BoxFigures) => boolean>> = {
  'one sheet': ({ sheets }) => sheets === 1,
  'no glue': ({ glue }) => glue === 0,
  'all on marks': ({ offGrid }) => offGrid === 0,
  'opens from the top': ({ opensFromTop }) => opensFromTop,
  'shows the gift': ({ showsGift }) => showsGift,
};

/** What boxes are put in order by, the least first. */
export const orders = ['as listed', 'paper', 'work', 'glue'] as const;
export type Order = (typeof orders)[number];

const weighs: Readonly<Record<Order, (figures: BoxFigures) => number>> = {
  'as listed': () => 0,
  // Of two that take as many sheets, the one that uses less of them leaves more.
  paper: ({ sheets, used }) => sheets + used,
  work: ({ minutes }) => minutes,
  glue: ({ glue }) => glue,
};

/**
 * The kinds of box that meet every wish, the least first by the order, those alike as they were listed.
 * Kinds that can't hold the gift come last, and only where nothing is wished for.
 */
export function chosenBy(
  compared: readonly Compared[],
  wanted: ReadonlySet<Wish>,
  order: Order,
): readonly Compared[] {
  const weight = (each: Compared) => (each.ok ? weighs[order](each.figures) : Infinity);
  return compared
    .filter((each) =>
      each.ok ? [...wanted].every((wish) => meets[wish](each.figures)) : wanted.size === 0,
    )
    .map((each) => ({ each, weighs: weight(each) }))
    .sort((a, b) => (a.weighs === b.weighs ? 0 : a.weighs - b.weighs))
    .map(({ each }) => each);
}
