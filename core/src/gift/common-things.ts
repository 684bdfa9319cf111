import { inches, millimetres, minus, plus, type Length } from '../length/index.ts';
import type { BlockGift, CylinderGift, GiftItem } from './gift.ts';

/** Something that is boxed often, with its usual size. */
export interface CommonThing {
  readonly name: string;
  readonly gift: GiftItem;
}

/** Common things of one sort. */
export interface CommonDrawer {
  readonly name: string;
  readonly things: readonly CommonThing[];
}

function round(diameter: number, length: number): CylinderGift {
  return {
    shape: 'cylinder',
    diameter: millimetres(diameter),
    length: millimetres(length),
    lies: 'standing',
  };
}

function block(across: number, deep: number, high: number): BlockGift {
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

/** Something without straight sides, in millimetres each way. */
function lump(across: number, deep: number, high: number): GiftItem {
  return { ...block(across, deep, high), shape: 'lumpy' };
}

function drawer(name: string, things: Readonly<Record<string, GiftItem>>): CommonDrawer {
  return { name, things: Object.entries(things).map(([name, gift]) => ({ name, gift })) };
}

/**
 * Things that are boxed often. What a standard gives is of that size: the bank card (ISO/IEC 7810, ID-1), A6 (ISO 216),
 * C6 and DL envelopes (ISO 269). All others are of the size that is usual, and differ by a few millimetres from one
 * maker to the next.
 */
export const commonDrawers: readonly CommonDrawer[] = [
  drawer('Candles', {
    'Tea light': round(38, 17),
    'Tea light, large': round(58, 24),
    'Votive candle': round(46, 52),
    'Candle tin, small': round(64, 45),
    'Candle tin': round(77, 52),
    'Pillar candle': round(70, 100),
  }),
  drawer('Cards and paper', {
    'Bank card or gift card': flat(millimetres(85.6), millimetres(53.98), 0.76),
    'Pack of playing cards': block(66, 92, 19),
    'A6 card': flat(millimetres(148), millimetres(105), 1),
    'A6 card in its envelope, C6': flat(millimetres(162), millimetres(114), 2),
    'Long card in its envelope, DL': flat(millimetres(220), millimetres(110), 2),
    'Letter-fold card': flat(inches(5.5), inches(4.25), 1),
    'Letter-fold card in its envelope': flat(inches(5.75), inches(4.375), 2),
    'Disc in its case': block(142, 125, 10),
  }),
  drawer('Bottles', {
    'Bottle, 50 ml': bottle(37, 105, { shoulder: 12, neck: 25, wide: 19 }),
    'Bottle, 200 ml': bottle(52, 195, { shoulder: 25, neck: 50, wide: 26 }),
    'Bottle, 330 ml': bottle(61, 229, { shoulder: 40, neck: 60, wide: 27 }),
    'Bottle, 500 ml': bottle(68, 262, { shoulder: 45, neck: 60, wide: 28 }),
    'Bottle, 750 ml, straight': bottle(76, 302, { shoulder: 25, neck: 85, wide: 30 }),
    'Bottle, 750 ml, sparkling': bottle(89, 315, { shoulder: 90, neck: 70, wide: 35 }),
  }),
  drawer('Jars and cups', {
    'Jar, 40 ml': round(46, 50),
    'Jar, 120 ml': round(60, 66),
    'Jar, 230 ml': round(69, 90),
    'Jar, 380 ml': round(77, 112),
    'Honey jar, 500 g': round(83, 97),
    'Mug with its handle': block(118, 83, 96),
  }),
  drawer('Small gifts', {
    Pencil: { ...round(7.5, 190), lies: 'lying' },
    'Bar of soap': block(85, 58, 27),
    'Wrapped sweet': lump(40, 22, 16),
    Macaron: round(46, 25),
    'Lip balm': round(20, 68),
    'Tree ball, 60 mm, with its cap': lump(60, 60, 72),
  }),
];
