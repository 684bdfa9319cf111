import { z } from 'zod';

/** How the corners of a lid are glued: the last two round its finished base, so that it fits, or all flat. */
export const lidCornersSchema = z.enum(['round the base', 'all at once']);
export type LidCorners = z.infer<typeof lidCornersSchema>;
