import type { Gift, GiftItem, Length } from '@rangoli/core';

/** A measure of a gift, where it is written beside its drawing, and the gift with another one. */
export interface GiftMeasure {
  readonly name: string;
  readonly label: string;
  readonly length: Length;
  readonly place: 'left' | 'front' | 'right' | 'more';
  readonly take: (length: Length) => GiftItem;
}

function sidesOf(item: Extract<GiftItem, { shape: 'block' | 'lumpy' }>): readonly GiftMeasure[] {
  return [
    {
      name: 'high',
      label: 'Height',
      length: item.high,
      place: 'left',
      take: (high) => ({ ...item, high }),
    },
    {
      name: 'across',
      label: 'Width',
      length: item.across,
      place: 'front',
      take: (across) => ({ ...item, across }),
    },
    {
      name: 'deep',
      label: 'Depth',
      length: item.deep,
      place: 'right',
      take: (deep) => ({ ...item, deep }),
    },
  ];
}

/** The measures of one thing, at the edges that they belong to. */
export function measuresOf(item: GiftItem): readonly GiftMeasure[] {
  switch (item.shape) {
    case 'block':
    case 'lumpy':
      return sidesOf(item);
    case 'cylinder': {
      const stands = item.lies !== 'lying';
      return [
        {
          name: 'length',
          label: stands ? 'Height' : 'Length',
          length: item.length,
          place: stands ? 'left' : 'front',
          take: (length) => ({ ...item, length }),
        },
        {
          name: 'diameter',
          label: 'Diameter',
          length: item.diameter,
          place: stands ? 'front' : 'right',
          take: (diameter) => ({ ...item, diameter }),
        },
      ];
    }
    case 'ball':
      return [
        {
          name: 'diameter',
          label: 'Diameter',
          length: item.diameter,
          place: 'front',
          take: (diameter) => ({ ...item, diameter }),
        },
      ];
    case 'card':
      return [
        {
          name: 'thick',
          label: 'Thickness',
          length: item.thick,
          place: 'left',
          take: (thick) => ({ ...item, thick }),
        },
        {
          name: 'across',
          label: 'Width',
          length: item.across,
          place: 'front',
          take: (across) => ({ ...item, across }),
        },
        {
          name: 'deep',
          label: 'Depth',
          length: item.deep,
          place: 'right',
          take: (deep) => ({ ...item, deep }),
        },
      ];
    case 'bottle':
      return [
        {
          name: 'body',
          label: 'Body',
          length: item.body,
          place: 'left',
          take: (body) => ({ ...item, body }),
        },
        {
          name: 'diameter',
          label: 'Diameter',
          length: item.diameter,
          place: 'front',
          take: (diameter) => ({ ...item, diameter }),
        },
        {
          name: 'neckDiameter',
          label: 'Neck across',
          length: item.neckDiameter,
          place: 'right',
          take: (neckDiameter) => ({ ...item, neckDiameter }),
        },
        {
          name: 'shoulder',
          label: 'Shoulder',
          length: item.shoulder,
          place: 'more',
          take: (shoulder) => ({ ...item, shoulder }),
        },
        {
          name: 'neck',
          label: 'Neck',
          length: item.neck,
          place: 'more',
          take: (neck) => ({ ...item, neck }),
        },
      ];
  }
}

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
