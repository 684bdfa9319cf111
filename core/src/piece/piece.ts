import { z } from 'zod';
import { scoreGridSchema, sideSchema } from './score-grid.ts';

/** The kinds of punch boards: one scores at 45° from an edge, the other squares off corners. */
export const punchBoardSchema = z.enum(['diagonal', 'corner']);
export type PunchBoard = z.infer<typeof punchBoardSchema>;

/** A piece to be cut: its grid, drawn with the face that will be inside the box turned up. */
export const pieceSchema = z.object({
  id: z.string(),
  name: z.string(),
  /** Which of the box's papers it is cut from, counted from 0: those of its own pieces, then those of what it wears. */
  paper: z.int().min(0).max(60),
  copies: z.int().positive(),
  /** The punch board that its lines are made on; without it, scores are made in rows on a scoring board. */
  punchBoard: punchBoardSchema.optional(),
  /** The edge, as drawn, that the top of a print with a way up comes to; the top edge where nothing is said. */
  printTop: sideSchema.optional(),
  grid: scoreGridSchema,
});
export type Piece = z.infer<typeof pieceSchema>;
