import { z } from 'zod';
import { lengthSchema } from '../length/index.ts';

const tagHoleSchema = z.object({
  /** How far its middle is from the top of the tag; it is as far from both sides. */
  fromTop: lengthSchema,
  across: lengthSchema,
  /** The punch that makes it, by its name; without one it is cut by hand. */
  punch: z.string().optional(),
});

/** By what the top of a tag is known while it is bare card; of a square or a round one any edge will do. */
const tagTopSchema = z.enum([
  'fold',
  'cut corners',
  'shaped end',
  'shorter edge',
  'longer edge',
  'any edge',
  'rim',
]);

/** A tag that hangs on the box, of pieces that are no part of it. */
export const tagSchema = z.object({
  id: z.string(),
  /** The tag itself, which is as large as any of its layers. */
  piece: z.string(),
  isFolded: z.boolean(),
  top: tagTopSchema,
  /** The punch that shapes its upper end, by its name, and how wide that end is. */
  endPunch: z.object({ name: z.string(), across: lengthSchema }).optional(),
  /** What is stuck on its front, the lowest first, and whether it stands off on foam. */
  layers: z.array(z.object({ piece: z.string(), standsOff: z.boolean() })),
  hole: tagHoleSchema.optional(),
});
export type Tag = z.infer<typeof tagSchema>;
