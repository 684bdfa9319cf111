import { z } from 'zod';
import { scoringBoardSchema } from './scoring-board.ts';
import { trimmerSchema } from './trimmer.ts';

/** The tools that a box is planned for. */
export const kitSchema = z.object({
  trimmer: trimmerSchema,
  board: scoringBoardSchema,
});
export type Kit = z.infer<typeof kitSchema>;
