import { z } from 'zod';
import { drawerGap, lidGap, linerGap } from '../gaps/index.ts';
import { paperSchema, type Paper } from './paper.ts';
import { commonSheets, sheetSchema, type Sheet } from './sheet.ts';
import { stockPapers } from './stock.ts';
import { weightSchema } from './weight.ts';

/** The most sheet sizes that one paper comes in. */
export const mostSheets = 16;

/** A paper as the maker keeps it: what it is, and the sheets that it comes in. Boxes take one of them. */
export const keptPaperSchema = paperSchema.omit({ sheet: true, gaps: true }).extend({
  name: z
    .string()
    .trim()
    .min(1, { error: 'Give the paper a name.' })
    .max(60, { error: 'Keep the name to 60 characters.' }),
  /** What its pack says that it weighs, where the maker has told. */
  weight: weightSchema.optional(),
  sheets: z
    .array(sheetSchema)
    .min(1, { error: 'Say at least one size of sheet that this paper comes in.' })
    .max(mostSheets, { error: `Keep a paper to ${mostSheets} sizes of sheet.` }),
});
export type KeptPaper = z.infer<typeof keptPaperSchema>;

/** The papers that are there before a maker has told of any, in every sheet that card is commonly sold in. */
export const shippedPapers: readonly KeptPaper[] = stockPapers.map((paper) =>
  keptPaperSchema.parse({ ...paper, sheets: commonSheets }),
);

/** The sheet of that size among a paper's own; the first of them where there is none. */
function sheetLike({ sheets }: KeptPaper, wanted: Sheet | undefined): Sheet {
  const isWanted = ({ width, height }: Sheet) =>
    width === wanted?.width && height === wanted.height;
  const sheet = sheets.find(isWanted) ?? sheets[0];
  if (!sheet) throw new RangeError('A paper comes in one size of sheet at least');
  return sheet;
}

/** The paper for a box, in the sheet that is wanted where it comes in that, with the usual gaps. */
export function paperOf(kept: KeptPaper, wanted?: Sheet): Paper {
  const { id, name, thickness, print, printRuns, finish, colour, front, back } = kept;
  const sheet = sheetLike(kept, wanted);
  const gaps = { lid: lidGap, drawer: drawerGap, liner: linerGap };
  return {
    id,
    name,
    thickness,
    sheet,
    print,
    printRuns,
    finish,
    colour,
    ...(front && { front }),
    ...(back && { back }),
    gaps,
  };
}
