import { half, largest, nanometres, plus, times, type Length, zero } from '../length/index.ts';
import type { Gift, GiftItem, SeveralGift } from './gift.ts';

/** One length for each direction of a box: left to right, front to back, bottom to top. */
export interface Extents {
  readonly across: Length;
  readonly deep: Length;
  readonly high: Length;
}

export const directions = ['across', 'deep', 'high'] as const;
export type Direction = (typeof directions)[number];

/** How far apart the rows of nested rounds stand, as a share of their diameter. */
const nestedRow = Math.sqrt(3) / 2;

/** Whether a thing that is round when it stands lies on its side. */
export function isLying(item: GiftItem): boolean {
  return (item.shape === 'cylinder' || item.shape === 'bottle') && item.lies === 'lying';
}

function itemExtents(item: GiftItem): Extents {
  switch (item.shape) {
    case 'block':
    case 'lumpy': {
      const { across, deep, high } = item;
      if (item.up === 'deep') return { across, deep: high, high: deep };
      if (item.up === 'across') return { across: high, deep, high: across };
      return { across, deep, high };
    }
    case 'cylinder': {
      const { diameter, length } = item;
      return isLying(item)
        ? { across: length, deep: diameter, high: diameter }
        : { across: diameter, deep: diameter, high: length };
    }
    case 'ball':
      return { across: item.diameter, deep: item.diameter, high: item.diameter };
    case 'bottle': {
      const { diameter } = item;
      const whole = plus(item.body, item.shoulder, item.neck);
      return isLying(item)
        ? { across: whole, deep: diameter, high: diameter }
        : { across: diameter, deep: diameter, high: whole };
    }
    case 'card':
      return { across: item.across, deep: item.deep, high: item.thick };
  }
}

/** Whether rows of these can lie in each other's gaps: round ones seen from above. */
export function isRound(item: GiftItem): boolean {
  return ['ball', 'bottle', 'cylinder'].includes(item.shape) && !isLying(item);
}

/** Whether a gift is one round thing seen from above, so that a box needs no room in its corners. */
export function isRoundGift(gift: Gift): boolean {
  return gift.shape !== 'several' && gift.shape !== 'set' && isRound(gift);
}

/** Whether the rows of an arrangement do lie in each other's gaps. */
export function isNested({ packing, item, deep }: SeveralGift): boolean {
  return packing === 'nested' && isRound(item) && deep > 1;
}

/** How far the middles of two rows behind one another are apart. */
export function rowPitch(gift: SeveralGift): Length {
  const { deep } = itemExtents(gift.item);
  const apart = isNested(gift) ? nanometres(Math.ceil(deep * nestedRow)) : deep;
  return plus(apart, gift.between ?? zero);
}

/** The space that a gift takes up in each direction, the way it stands in its box. */
export function extentsOf(gift: Gift): Extents {
  if (gift.shape === 'set') {
    const all = gift.items.map(itemExtents);
    return {
      across: plus(...all.map(({ across }) => across)),
      deep: largest(...nonEmpty(all.map(({ deep }) => deep))),
      high: largest(...nonEmpty(all.map(({ high }) => high))),
    };
  }
  if (gift.shape === 'several') {
    const one = itemExtents(gift.item);
    const shift = isNested(gift) ? half(one.across) : nanometres(0);
    return {
      across: plus(
        times(one.across, gift.across),
        times(gift.between ?? zero, gift.across - 1),
        shift,
      ),
      deep: plus(one.deep, times(rowPitch(gift), gift.deep - 1)),
      high: times(one.high, gift.high),
    };
  }
  return itemExtents(gift);
}

function nonEmpty(lengths: readonly Length[]): [Length, ...Length[]] {
  const [first = nanometres(0), ...rest] = lengths;
  return [first, ...rest];
}
