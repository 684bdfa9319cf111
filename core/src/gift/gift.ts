import { z } from 'zod';
import { lengthBetween, millimetres } from '../length/index.ts';

const leastMeasure = millimetres(3);
const mostMeasure = millimetres(1000);

/** The smallest and the largest measure of a gift that a box can be made round. */
export const giftLimits = { least: leastMeasure, most: mostMeasure } as const;

const measure = lengthBetween(leastMeasure, mostMeasure);
/** A flat card may be thinner than anything else. */
const thin = lengthBetween(millimetres(0.2), millimetres(50));

/** Which of its measures stands upright; free where the maker doesn't mind. */
const upSchema = z.enum(['high', 'deep', 'across', 'free']);

const sides = { across: measure, deep: measure, high: measure, up: upSchema.optional() };

const blockSchema = z.object({ shape: z.literal('block'), ...sides });

const liesSchema = z.enum(['standing', 'lying', 'free']);

const cylinderSchema = z.object({
  shape: z.literal('cylinder'),
  diameter: measure,
  length: measure,
  lies: liesSchema,
});

const ballSchema = z.object({ shape: z.literal('ball'), diameter: measure });

const bottleSchema = z
  .object({
    shape: z.literal('bottle'),
    /** Body, shoulder and neck from the bottom up. */
    diameter: measure,
    body: measure,
    shoulder: lengthBetween(millimetres(0), mostMeasure),
    neckDiameter: measure,
    neck: measure,
    /** It stands where nothing is said. */
    lies: liesSchema.optional(),
  })
  .refine((bottle) => bottle.neckDiameter <= bottle.diameter, {
    error: 'The neck can’t be wider than the body.',
    path: ['neckDiameter'],
  });

const cardSchema = z.object({
  shape: z.literal('card'),
  across: measure,
  deep: measure,
  thick: thin,
});

/** Something without straight sides, by the greatest measure each way. */
const lumpySchema = z.object({ shape: z.literal('lumpy'), ...sides });

const itemSchemas = [
  blockSchema,
  cylinderSchema,
  ballSchema,
  bottleSchema,
  cardSchema,
  lumpySchema,
] as const;
const itemSchema = z.discriminatedUnion('shape', itemSchemas);
/** One thing to be boxed, by its measures. What is round and lies has its length across the box. */
export type GiftItem = z.infer<typeof itemSchema>;

/** So many things may stand in a row, each way. */
export const mostInRow = 24;
const rows = z.int().min(1).max(mostInRow);

const severalSchema = z.object({
  shape: z.literal('several'),
  item: itemSchema,
  across: rows,
  deep: rows,
  high: rows,
  /** Nested rounds lie in the gaps of the row in front of them. */
  packing: z.enum(['in rows', 'nested']),
  /** How far they stand apart, where something stands between them; none where they touch. */
  between: lengthBetween(millimetres(0), millimetres(50)).optional(),
});

const setSchema = z.object({
  shape: z.literal('set'),
  /** Different things side by side, from left to right. */
  items: z.array(itemSchema).min(1).max(12),
});

/** What goes into the box: one thing, several alike in rows, or different ones side by side. */
export const giftSchema = z.discriminatedUnion('shape', [...itemSchemas, severalSchema, setSchema]);
export type Gift = z.infer<typeof giftSchema>;
export type BlockGift = Extract<Gift, { shape: 'block' }>;
export type CylinderGift = Extract<Gift, { shape: 'cylinder' }>;
export type SeveralGift = Extract<Gift, { shape: 'several' }>;
export type SetGift = Extract<Gift, { shape: 'set' }>;
