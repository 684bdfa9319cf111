import { z } from 'zod';
import { assemblySchema } from '../fold/index.ts';
import { giftSchema } from '../gift/index.ts';
import { lengthSchema } from '../length/index.ts';
import { pieceSchema } from '../piece/index.ts';
import { styleChoiceSchema } from '../styles/index.ts';

const byDirection = z.object({
  across: lengthSchema,
  deep: lengthSchema,
  high: lengthSchema,
});
const gapState = z.enum(['tight', 'holds', 'loose']);
const fitKind = z.enum(['lid', 'drawer', 'liner', 'tuck', 'handle', 'hinge', 'level', 'seat']);

const fitSchema = z.object({
  direction: z.enum(['across', 'deep', 'high']),
  gap: lengthSchema,
  state: gapState,
  /** In which range it holds; below zero where one part may be drawn onto the other. */
  range: z.object({ least: lengthSchema, target: lengthSchema, most: lengthSchema }),
  /**
   * What the gap is the rest of, where two sections decide it: one between the folds of the outer piece, less one
   * between those of the inner and the card that lies in between.
   */
  rule: z.object({ outer: lengthSchema, inner: lengthSchema, layers: lengthSchema }).optional(),
});

const pairChoiceSchema = z.object({
  lean: z.enum(['loose', 'tight']),
  state: gapState,
  /** The closest gap, which decides how it slides. */
  gap: lengthSchema,
  /** The cut size of the outer piece. */
  width: lengthSchema,
  height: lengthSchema,
});

const pairSchema = z.object({
  kind: fitKind,
  outer: z.string(),
  inner: z.string(),
  state: gapState,
  /** The closest gap, which decides how the outer piece slides. */
  gap: lengthSchema,
  fits: z.array(fitSchema).min(1),
  /** The nearest on either side of the range, when these tools allow none inside it. */
  choices: z.array(pairChoiceSchema),
});

const readingSchema = z.object({
  /** The grid line: a column line runs from top to bottom, a row line from left to right. */
  axis: z.enum(['column', 'row']),
  /** How many sections of the grid lie before it. */
  index: z.int().positive(),
  position: lengthSchema,
  from: z.enum(['start', 'end']),
  reading: lengthSchema,
  onGroove: z.boolean(),
  /** Made with the shim at the fence. */
  shimmed: z.literal(true).optional(),
  /** How many sections of the piece lie before it; scores of single rows are counted on from there. */
  mark: z.int().positive().optional(),
});

/** Everything that follows from a request. Lengths are whole nanometres. */
export const planSchema = z.object({
  version: z.literal(1),
  style: styleChoiceSchema,
  /** The gift the way up in which it was boxed. */
  gift: giftSchema,
  pieces: z.array(pieceSchema),
  clearInside: byDirection,
  /** Room that the gift has: on each side across and deep, over the top. */
  room: byDirection,
  /** What goes over what. */
  pairs: z.array(pairSchema),
  /** Depths, widths and heights that may be asked for as figures: what they come to, and what they may be. */
  depths: z.array(
    z.object({
      option: z.string(),
      came: lengthSchema,
      least: lengthSchema,
      most: lengthSchema,
    }),
  ),
  /** A finer trimmer step with which every pair would hold, when one that makers have would do. */
  finerStep: lengthSchema.optional(),
  marks: z.array(z.object({ piece: z.string(), readings: z.array(readingSchema) })),
  /** Scores that are on no groove of the board. */
  offGrid: z.int().nonnegative(),
  sheets: z.array(
    z.object({
      paper: z.string(),
      sheets: z.int().positive(),
      placements: z.array(
        z.object({
          piece: z.string(),
          sheet: z.int().nonnegative(),
          x: lengthSchema,
          y: lengthSchema,
          turned: z.boolean(),
        }),
      ),
      leftOver: z.number().min(0).max(1),
    }),
  ),
  /** How the pieces fold and go together. */
  assembly: assemblySchema,
});
export type Plan = z.infer<typeof planSchema>;
export type PlannedPair = z.infer<typeof pairSchema>;
export type PlannedDepth = Plan['depths'][number];
export type PairChoice = z.infer<typeof pairChoiceSchema>;
