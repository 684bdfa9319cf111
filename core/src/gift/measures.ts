import { millimetres, minus, plus, zero, type Length } from '../length/index.ts';
import { isLying } from './extents.ts';
import { giftLimits, type GiftItem } from './gift.ts';

/** A measure of a gift, where it is written beside its drawing, and the gift with another one. */
export interface GiftMeasure {
  readonly name: string;
  readonly label: string;
  readonly length: Length;
  readonly place: 'left' | 'front' | 'right' | 'more';
  /** Where they are others than those of any gift: how small and how large it may be. */
  readonly least?: Length;
  readonly most?: Length;
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
      const stands = !isLying(item);
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
          least: millimetres(0.2),
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
    case 'bottle': {
      // It is measured whole; what is over without shoulder and neck is its body.
      const above = plus(item.shoulder, item.neck);
      const stands = !isLying(item);
      return [
        {
          name: 'height',
          label: stands ? 'Height' : 'Length',
          length: plus(item.body, above),
          place: stands ? 'left' : 'front',
          least: plus(above, giftLimits.least),
          take: (height) => ({ ...item, body: minus(height, above) }),
        },
        {
          name: 'diameter',
          label: 'Diameter',
          length: item.diameter,
          place: stands ? 'front' : 'left',
          // No neck is wider than its body.
          least: item.neckDiameter,
          take: (diameter) => ({ ...item, diameter }),
        },
        {
          name: 'neckDiameter',
          label: 'Neck across',
          length: item.neckDiameter,
          place: 'right',
          most: item.diameter,
          take: (neckDiameter) => ({ ...item, neckDiameter }),
        },
        {
          name: 'shoulder',
          label: 'Shoulder',
          length: item.shoulder,
          place: 'more',
          least: zero,
          most: minus(plus(item.body, item.shoulder), giftLimits.least),
          take: (shoulder) => ({
            ...item,
            shoulder,
            body: minus(plus(item.body, item.shoulder), shoulder),
          }),
        },
        {
          name: 'neck',
          label: 'Neck',
          length: item.neck,
          place: 'more',
          most: minus(plus(item.body, item.neck), giftLimits.least),
          take: (neck) => ({ ...item, neck, body: minus(plus(item.body, item.neck), neck) }),
        },
      ];
    }
  }
}
