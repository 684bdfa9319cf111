import { z } from 'zod';
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
});
export type FinishedSize = z.infer<typeof finishedSizeSchema>;
