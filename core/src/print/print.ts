import { z } from 'zod';
import { lengthBetween, millimetres, nanometres, type Length } from '../length/index.ts';
import { ownPrintSchema, ownPrints } from './own-prints.ts';

/** How wide one repeat of a print may be. */
export const repeatLimits = { least: millimetres(2), most: millimetres(600) } as const;

const acrossSchema = lengthBetween(repeatLimits.least, repeatLimits.most);

/** A colour as `#rrggbb`. */
export const colourSchema = z.string().regex(/^#[0-9a-f]{6}$/);

/** A picture that the maker has put in, by the digest of what is kept of it. */
export const pictureIdSchema = z.string().regex(/^[0-9a-f]{64}$/);

/** The most that a kept picture measures either way, in its own dots. */
export const largestPicture = 1600;

const dotsSchema = z.int().min(1).max(largestPicture);

/** A picture as it is kept: which, and how many dots it has. */
export const pictureSchema = z.object({
  id: pictureIdSchema,
  width: dotsSchema,
  height: dotsSchema,
});
export type Picture = z.infer<typeof pictureSchema>;

/** What is printed on a face of a paper, over and over, at its true size. */
export const printSchema = z.discriminatedUnion('kind', [
  /** One of Rangoli's own, drawn in a colour on that of the paper. */
  z.object({
    kind: z.literal('own'),
    print: ownPrintSchema,
    ink: colourSchema,
    /** How wide one repeat is. */
    across: acrossSchema,
  }),
  /** A picture of the maker's own paper. */
  z.object({ kind: z.literal('picture'), picture: pictureSchema, across: acrossSchema }),
]);
export type Print = z.infer<typeof printSchema>;

/** How large one repeat of a print is on the paper. */
export function repeatOf(print: Print): { readonly width: Length; readonly height: Length } {
  const { width, height } = print.kind === 'own' ? ownPrints[print.print] : print.picture;
  return {
    width: print.across,
    height: nanometres(Math.max(1, Math.round((print.across * height) / width))),
  };
}
