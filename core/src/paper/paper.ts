import { z } from 'zod';
import { lengthBetween, millimetres, toleranceSchema } from '../length/index.ts';
import { colourSchema, printSchema } from '../print/index.ts';
import { sheetSchema } from './sheet.ts';

/** The thinnest and the thickest card that folds into a box. */
export const thicknessLimits = {
  least: millimetres(0.05),
  most: millimetres(1),
} as const;

/** How the face of a paper is made. */
export const finishSchema = z.enum(['matt', 'foil', 'coated']);
export type Finish = z.infer<typeof finishSchema>;

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
  finish: finishSchema,
  /** The colour it is drawn in, as `#rrggbb`. */
  colour: colourSchema,
  /** What its printed face shows, where that has been told. */
  front: printSchema.optional(),
  /** Its other face, where that is told: its colour, and its own print on a paper printed on both. */
  back: z.object({ colour: colourSchema, print: printSchema.optional() }).optional(),
  /** Clearances of what goes over something else and is made of this paper, or for a liner of its box. */
  gaps: z.object({ lid: toleranceSchema, drawer: toleranceSchema, liner: toleranceSchema }),
});
export type Paper = z.infer<typeof paperSchema>;

/** The most papers of one box: no kind of box has so many pieces. */
const mostPapers = 12;

/** The papers of one box, in the style's order. A style with more pieces takes the last for the rest. */
export const papersSchema = z
  .tuple([paperSchema], paperSchema)
  .refine(({ length }) => length <= mostPapers, {
    error: `Give the box ${mostPapers} papers at the most.`,
  });
export type Papers = readonly [Paper, ...Paper[]];

/** The paper for one of a style's pieces. */
export function paperFor(papers: Papers, slot: number): Paper {
  return papers[slot] ?? papers[papers.length - 1] ?? papers[0];
}

/** Whether a paper has a print that looks wrong upside down or on its side. */
export function hasWayUp({ print, printRuns }: Pick<Paper, 'print' | 'printRuns'>): boolean {
  return print !== 'plain' && printRuns === 'one way';
}

/** Whether two papers are one and the same, whatever sheet they are bought in. */
export function isSamePaper(one: Paper, other: Paper): boolean {
  return paperSchema
    .keyof()
    .options.filter((key) => key !== 'sheet')
    .every((key) => JSON.stringify(one[key]) === JSON.stringify(other[key]));
}
