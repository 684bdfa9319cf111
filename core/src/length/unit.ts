import { z } from 'zod';

/** The ruler that a maker reads. */
export const unitSchema = z.enum(['inch', 'mm']);
export type Unit = z.infer<typeof unitSchema>;
