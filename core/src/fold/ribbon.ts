import { z } from 'zod';
import { lengthSchema } from '../length/index.ts';

/**
 * How a ribbon goes: round the walls of the closed box, over its top and under its bottom one way or crossed both
 * ways, over the lid alone with its ends turned in under the rim, through the holes that tie the top, twice round the
 * gift and the notches of its insert, or out through two slits of a band.
 */
export const ribbonWaySchema = z.enum([
  'walls',
  'across',
  'deep',
  'crossed',
  'lid across',
  'lid deep',
  'holes',
  'notches',
  'band',
]);
export type RibbonWay = z.infer<typeof ribbonWaySchema>;

/** A ribbon that is tied or stuck round a box. */
export const ribbonSchema = z.object({
  id: z.string(),
  way: ribbonWaySchema,
  /** How wide the ribbon is as it is bought. */
  width: lengthSchema,
  /** How long it is from where it begins round to there again, or over the lid from rim to rim. */
  once: lengthSchema,
  /** How wide the bow is; none where it is zero. */
  bow: lengthSchema,
  /** What to cut it at, with its bow or its ends; over a lid its bow is one of its own. */
  cut: lengthSchema,
  bowCut: lengthSchema.optional(),
  /** The piece that it is put through before that is in its place: an insert or a band. */
  through: z.string().optional(),
  /** Where that is tied. */
  ties: z.enum(['at the front', 'on top']).optional(),
});
export type Ribbon = z.infer<typeof ribbonSchema>;
