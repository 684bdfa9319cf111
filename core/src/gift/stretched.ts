import { largest, roundToGrid, times, type Length } from '../length/index.ts';
import { isLying } from './extents.ts';
import { giftLimits, type Gift, type GiftItem } from './gift.ts';

type Change = (length: Length) => Length;

/** The thing with its measures along the floor changed by one rule, and those upwards by another. */
function changedItem(item: GiftItem, along: Change, upwards: Change): GiftItem {
  switch (item.shape) {
    case 'block':
    case 'lumpy': {
      // Which of its measures stands upright is for the box to say.
      const upright = item.up === 'deep' || item.up === 'across' ? item.up : 'high';
      const changed = (side: 'across' | 'deep' | 'high') =>
        side === upright ? upwards(item[side]) : along(item[side]);
      return { ...item, across: changed('across'), deep: changed('deep'), high: changed('high') };
    }
    case 'cylinder':
      return isLying(item)
        ? { ...item, length: along(item.length), diameter: upwards(item.diameter) }
        : { ...item, diameter: along(item.diameter), length: upwards(item.length) };
    case 'ball': {
      // It is as high as it is wide: whichever is changed changes it all.
      const wide = along(item.diameter);
      return { ...item, diameter: wide === item.diameter ? upwards(item.diameter) : wide };
    }
    case 'bottle': {
      const [thick, long] = isLying(item) ? [upwards, along] : [along, upwards];
      return {
        ...item,
        diameter: thick(item.diameter),
        neckDiameter: thick(item.neckDiameter),
        body: long(item.body),
        shoulder: long(item.shoulder),
        neck: long(item.neck),
      };
    }
    case 'card':
      return {
        ...item,
        across: along(item.across),
        deep: along(item.deep),
        thick: upwards(item.thick),
      };
  }
}

function changedGift(gift: Gift, along: Change, upwards: Change): Gift {
  if (gift.shape === 'several') return { ...gift, item: changedItem(gift.item, along, upwards) };
  if (gift.shape === 'set')
    return { ...gift, items: gift.items.map((item) => changedItem(item, along, upwards)) };
  return changedItem(gift, along, upwards);
}

/** The gift with its footprint so many times as wide and as deep, and so many times as high. */
export function stretchedGift(gift: Gift, footprint: number, height: number): Gift {
  return changedGift(
    gift,
    (length) => times(length, footprint),
    (length) => times(length, height),
  );
}

/** The gift so many times as large in every measure. */
export function scaledGift(gift: Gift, by: number): Gift {
  return stretchedGift(gift, by, by);
}

/** The gift with every measure on a ruler's marks, so far as it has some that large. */
export function neatGift(gift: Gift, mark: Length): Gift {
  const neat: Change = (length) =>
    length < giftLimits.least ? length : largest(roundToGrid(length, mark), giftLimits.least);
  return changedGift(gift, neat, neat);
}
