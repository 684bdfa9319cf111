import { z } from 'zod';
import { lengthSchema } from '../length/index.ts';

/** A way on a flat piece: to an edge, or to a corner. */
export const towardsSchema = z.enum([
  'top',
  'right',
  'bottom',
  'left',
  'top left',
  'top right',
  'bottom left',
  'bottom right',
]);
export type Towards = z.infer<typeof towardsSchema>;

/** What is done to a spot before anything is glued. */
export const spotUseSchema = z.enum(['stamp', 'sticker', 'punch']);
export type SpotUse = z.infer<typeof spotUseSchema>;

/** A place on the outside of a flat piece, as that lies with its outside up. */
export const stampSpotSchema = z.object({
  id: z.string(),
  piece: z.string(),
  use: spotUseSchema,
  /** From the cut edges at the left and at the top to its middle. */
  fromLeft: lengthSchema,
  fromTop: lengthSchema,
  /** Where its top goes. */
  top: towardsSchema,
  /** Whether the piece looks the same from both sides, so that it need not be turned over. */
  isPlain: z.boolean(),
});
export type StampSpot = z.infer<typeof stampSpotSchema>;
