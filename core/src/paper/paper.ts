import { z } from 'zod';
import { lengthBetween, millimetres, toleranceSchema, type Tolerance } from '../length/index.ts';
import { sheetSchema } from './sheet.ts';

/** The thinnest and the thickest card that folds into a box. */
export const thicknessLimits = {
  least: millimetres(0.05),
  most: millimetres(1),
} as const;

/** How much a lid of this paper may clear its base in all: a light tug at the target. */
export const usualLidGap: Tolerance = {
  least: millimetres(0.25),
  target: millimetres(0.45),
  most: millimetres(0.8),
};

/** A kind of card or paper as a maker has it in the drawer. */
export const paperSchema = z.object({
  id: z.string().min(1).max(40),
  name: z.string().min(1).max(60),
  thickness: lengthBetween(thicknessLimits.least, thicknessLimits.most),
  sheet: sheetSchema,
  /** Which faces carry a print. */
  print: z.enum(['plain', 'one face', 'both faces']),
  /** A one-way print looks wrong when the piece is cut sideways from the sheet. */
  printRuns: z.enum(['any way', 'one way']),
  finish: z.enum(['matt', 'foil', 'coated']),
  /** The colour it is drawn in, as `#rrggbb`. */
  colour: z.string().regex(/^#[0-9a-f]{6}$/),
  lidGap: toleranceSchema,
});
export type Paper = z.infer<typeof paperSchema>;
