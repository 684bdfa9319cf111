import { z } from 'zod';
import { lengthBetween, millimetres, type Length } from '../length/index.ts';

const leastMeasure = millimetres(3);
const mostMeasure = millimetres(1000);

/** The smallest and the largest measure of a gift that a box can be made round. */
export const giftLimits = { least: leastMeasure, most: mostMeasure } as const;

const measure = lengthBetween(leastMeasure, mostMeasure);

const blockSchema = z.object({
  shape: z.literal('block'),
  across: measure,
  deep: measure,
  high: measure,
});

const cylinderSchema = z.object({
  shape: z.literal('cylinder'),
  diameter: measure,
  length: measure,
  lies: z.enum(['standing', 'lying']),
});

/** A gift by its measures. A lying cylinder lies with its length across the box. */
export const giftSchema = z.discriminatedUnion('shape', [blockSchema, cylinderSchema]);
export type Gift = z.infer<typeof giftSchema>;
export type BlockGift = z.infer<typeof blockSchema>;
export type CylinderGift = z.infer<typeof cylinderSchema>;

/** One length for each direction of a box: left to right, front to back, bottom to top. */
export interface Extents {
  readonly across: Length;
  readonly deep: Length;
  readonly high: Length;
}

export const directions = ['across', 'deep', 'high'] as const;
export type Direction = (typeof directions)[number];

/** The space that a gift takes up in each direction, the way it stands in its box. */
export function extentsOf(gift: Gift): Extents {
  if (gift.shape === 'block') return { across: gift.across, deep: gift.deep, high: gift.high };
  return gift.lies === 'standing'
    ? { across: gift.diameter, deep: gift.diameter, high: gift.length }
    : { across: gift.length, deep: gift.diameter, high: gift.diameter };
}
