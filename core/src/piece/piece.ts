import { z } from 'zod';
import { scoreGridSchema } from './score-grid.ts';

/** A piece to be cut: its grid, drawn with the face that will be inside the box turned up. */
export const pieceSchema = z.object({
  id: z.string(),
  name: z.string(),
  /** Which of the request's papers it is cut from, counted from 0. */
  paper: z.int().min(0).max(9),
  copies: z.int().positive(),
  grid: scoreGridSchema,
});
export type Piece = z.infer<typeof pieceSchema>;
