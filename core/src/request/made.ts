import { z } from 'zod';
import { lengthSchema } from '../length/index.ts';

/**
 * What is done already to a piece one way, as it came out: the rest of the box is planned round it. Marks
 * are counted in sections, from the left or from the top.
 */
export const madeWaySchema = z.object({
  piece: z.string().max(60),
  way: z.enum(['across', 'down']),
  cut: lengthSchema,
  marks: z.array(z.object({ mark: z.int().positive(), at: lengthSchema })).max(200),
});
export type MadeWay = z.infer<typeof madeWaySchema>;
