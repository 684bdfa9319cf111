import type { Gift, GiftItem } from './gift.ts';

/** The thing whose measures are edited: the gift itself, what there are several of, or one of a set. */
export function itemOf(gift: Gift, at: number): GiftItem | undefined {
  if (gift.shape === 'set') return gift.items[at] ?? gift.items[0];
  return gift.shape === 'several' ? gift.item : gift;
}

/** The gift with another thing in the place of the one that is edited. */
export function withItem(gift: Gift, at: number, item: GiftItem): Gift {
  if (gift.shape === 'set')
    return { ...gift, items: gift.items.map((each, i) => (i === at ? item : each)) };
  return gift.shape === 'several' ? { ...gift, item } : item;
}

/** How many there are each way. */
export interface Rows {
  readonly across: number;
  readonly deep: number;
  readonly high: number;
}

/** How many of it there are each way. */
export function rowsOf(gift: Gift): Rows {
  return gift.shape === 'several' ? gift : { across: 1, deep: 1, high: 1 };
}

/** The same thing so many times; one alone is no arrangement. */
export function inRows(gift: Gift, rows: Rows): Gift {
  const item = itemOf(gift, 0);
  if (!item) return gift;
  if (rows.across * rows.deep * rows.high === 1) return item;
  const packing = gift.shape === 'several' ? gift.packing : 'in rows';
  return { shape: 'several', item, packing, across: rows.across, deep: rows.deep, high: rows.high };
}

/** The different things that go in side by side; a gift alone is the only one. */
export function setItems(gift: Gift): readonly GiftItem[] {
  if (gift.shape === 'set') return gift.items;
  return [gift.shape === 'several' ? gift.item : gift];
}

/** The most different things that are put side by side. */
export const mostInSet = 12;

/** The gift with another thing beside it, to begin with one like the last. */
export function withAnother(gift: Gift): Gift {
  const items = setItems(gift);
  const last = items.at(-1);
  return last ? { shape: 'set', items: [...items, last] } : gift;
}

/** The set without one of its things; a single thing is no set any more. */
export function withoutItem(gift: Gift, at: number): Gift {
  const [first, ...rest] = setItems(gift).filter((_, i) => i !== at);
  if (!first) return gift;
  return rest.length === 0 ? first : { shape: 'set', items: [first, ...rest] };
}
