import { inches, millimetres, minus, plus, type Length } from '../length/index.ts';
import type { CylinderGift, GiftItem } from './gift.ts';

/** What common things are sorted by. */
export const commonDrawers = [
  'Candles',
  'Cards and paper',
  'Bottles',
  'Jars and cups',
  'Small gifts',
] as const;
export type CommonDrawer = (typeof commonDrawers)[number];

/** Something that is boxed often, with its usual size. */
export interface CommonThing {
  readonly name: string;
  readonly drawer: CommonDrawer;
  readonly gift: GiftItem;
}

function round(diameter: number, length: number): CylinderGift {
  return {
    shape: 'cylinder',
    diameter: millimetres(diameter),
    length: millimetres(length),
    lies: 'standing',
  };
}

function block(across: number, deep: number, high: number): GiftItem {
  return {
    shape: 'block',
    across: millimetres(across),
    deep: millimetres(deep),
    high: millimetres(high),
  };
}

function flat(across: Length, deep: Length, thick: number): GiftItem {
  return { shape: 'card', across, deep, thick: millimetres(thick) };
}

/** A bottle by its total height, in millimetres. */
function bottle(
  diameter: number,
  high: number,
  { shoulder, neck, wide }: { shoulder: number; neck: number; wide: number },
): GiftItem {
  const above = plus(millimetres(shoulder), millimetres(neck));
  return {
    shape: 'bottle',
    diameter: millimetres(diameter),
    body: minus(millimetres(high), above),
    shoulder: millimetres(shoulder),
    neck: millimetres(neck),
    neckDiameter: millimetres(wide),
  };
}

/**
 * Things that are boxed often. What a standard gives is of that size: the bank card (ISO/IEC 7810, ID-1), A6 (ISO 216),
 * C6 and DL envelopes (ISO 269). All others are of the size that is usual, and differ by a few millimetres from one
 * maker to the next.
 */
export const commonThings: readonly CommonThing[] = [
  { name: 'Tea light', drawer: 'Candles', gift: round(38, 17) },
  { name: 'Tea light, large', drawer: 'Candles', gift: round(58, 24) },
  { name: 'Votive candle', drawer: 'Candles', gift: round(46, 52) },
  { name: 'Candle tin, small', drawer: 'Candles', gift: round(64, 45) },
  { name: 'Candle tin', drawer: 'Candles', gift: round(77, 52) },
  { name: 'Pillar candle', drawer: 'Candles', gift: round(70, 100) },

  {
    name: 'Bank card or gift card',
    drawer: 'Cards and paper',
    gift: flat(millimetres(85.6), millimetres(53.98), 0.76),
  },
  { name: 'Pack of playing cards', drawer: 'Cards and paper', gift: block(66, 92, 19) },
  {
    name: 'A6 card',
    drawer: 'Cards and paper',
    gift: flat(millimetres(148), millimetres(105), 1),
  },
  {
    name: 'A6 card in its envelope, C6',
    drawer: 'Cards and paper',
    gift: flat(millimetres(162), millimetres(114), 2),
  },
  {
    name: 'Long card in its envelope, DL',
    drawer: 'Cards and paper',
    gift: flat(millimetres(220), millimetres(110), 2),
  },
  {
    name: 'Letter-fold card',
    drawer: 'Cards and paper',
    gift: flat(inches(5.5), inches(4.25), 1),
  },
  {
    name: 'Letter-fold card in its envelope',
    drawer: 'Cards and paper',
    gift: flat(inches(5.75), inches(4.375), 2),
  },
  { name: 'Disc in its case', drawer: 'Cards and paper', gift: block(142, 125, 10) },

  {
    name: 'Bottle, 50 ml',
    drawer: 'Bottles',
    gift: bottle(37, 105, { shoulder: 12, neck: 25, wide: 19 }),
  },
  {
    name: 'Bottle, 200 ml',
    drawer: 'Bottles',
    gift: bottle(52, 195, { shoulder: 25, neck: 50, wide: 26 }),
  },
  {
    name: 'Bottle, 330 ml',
    drawer: 'Bottles',
    gift: bottle(61, 229, { shoulder: 40, neck: 60, wide: 27 }),
  },
  {
    name: 'Bottle, 500 ml',
    drawer: 'Bottles',
    gift: bottle(68, 262, { shoulder: 45, neck: 60, wide: 28 }),
  },
  {
    name: 'Bottle, 750 ml, straight',
    drawer: 'Bottles',
    gift: bottle(76, 302, { shoulder: 25, neck: 85, wide: 30 }),
  },
  {
    name: 'Bottle, 750 ml, sparkling',
    drawer: 'Bottles',
    gift: bottle(89, 315, { shoulder: 90, neck: 70, wide: 35 }),
  },

  { name: 'Jar, 40 ml', drawer: 'Jars and cups', gift: round(46, 50) },
  { name: 'Jar, 120 ml', drawer: 'Jars and cups', gift: round(60, 66) },
  { name: 'Jar, 230 ml', drawer: 'Jars and cups', gift: round(69, 90) },
  { name: 'Jar, 380 ml', drawer: 'Jars and cups', gift: round(77, 112) },
  { name: 'Honey jar, 500 g', drawer: 'Jars and cups', gift: round(83, 97) },
  { name: 'Mug with its handle', drawer: 'Jars and cups', gift: block(118, 83, 96) },

  { name: 'Pencil', drawer: 'Small gifts', gift: { ...round(7.5, 190), lies: 'lying' } },
  { name: 'Bar of soap', drawer: 'Small gifts', gift: block(85, 58, 27) },
  {
    name: 'Wrapped sweet',
    drawer: 'Small gifts',
    gift: {
      shape: 'lumpy',
      across: millimetres(40),
      deep: millimetres(22),
      high: millimetres(16),
    },
  },
  { name: 'Macaron', drawer: 'Small gifts', gift: round(46, 25) },
  { name: 'Lip balm', drawer: 'Small gifts', gift: round(20, 68) },
  {
    name: 'Tree ball, 60 mm, with its cap',
    drawer: 'Small gifts',
    gift: {
      shape: 'lumpy',
      across: millimetres(60),
      deep: millimetres(60),
      high: millimetres(72),
    },
  },
];
