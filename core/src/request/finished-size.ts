import { z } from 'zod';
import { giftSchema } from '../gift/index.ts';
import { lengthBetween, millimetres } from '../length/index.ts';

/** The smallest and the largest that a box may be asked for. */
export const finishedLimits = { least: millimetres(5), most: millimetres(1000) } as const;

const side = lengthBetween(finishedLimits.least, finishedLimits.most);

/** What a maker wants the finished box to measure, where it is not the gift that they know. */
export const finishedSizeSchema = z.object({
  of: z.enum(['inside', 'outside']),
  across: side,
  deep: side,
  high: side,
  /** The gift that was told before, for the way back; undefined where none was. */
  told: giftSchema.optional(),
});
export type FinishedSize = z.infer<typeof finishedSizeSchema>;
