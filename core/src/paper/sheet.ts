import { z } from 'zod';
import {
  formatSize,
  inches,
  lengthBetween,
  measureParts,
  millimetres,
  parseLength,
  type Length,
  type Unit,
} from '../length/index.ts';

/** The shortest and the longest side that a sheet may have. */
export const sheetLimits = { least: millimetres(40), most: millimetres(2000) } as const;

const side = lengthBetween(sheetLimits.least, sheetLimits.most);

/** A sheet as it is bought. */
export const sheetSchema = z.object({
  name: z.string().min(1).max(40),
  width: side,
  height: side,
});
export type Sheet = z.infer<typeof sheetSchema>;

/** The sheets that card is commonly sold in. */
export const commonSheets: readonly Sheet[] = [
  { name: '12 × 12 in', width: inches(12), height: inches(12) },
  { name: '12 × 24 in', width: inches(12), height: inches(24) },
  { name: '8 1/2 × 11 in', width: inches(8.5), height: inches(11) },
  { name: '6 × 6 in', width: inches(6), height: inches(6) },
  { name: 'A4', width: millimetres(210), height: millimetres(297) },
  { name: 'A3', width: millimetres(297), height: millimetres(420) },
];

/** The sheets that card for posters and portfolios is sold in. */
export const largeSheets: readonly Sheet[] = [
  { name: 'A2', width: millimetres(420), height: millimetres(594) },
  { name: '20 × 26 in', width: inches(20), height: inches(26) },
  { name: 'A1', width: millimetres(594), height: millimetres(841) },
];

/**
 * A sheet of this size, under the name that it is sold by; else it is called by its sides, in inches where its
 * maker reads them and both sides are on an inch ruler.
 */
export function sheetOf(width: Length, height: Length, unit: Unit): Sheet {
  const sold = [...commonSheets, ...largeSheets].find(
    (sheet) => sheet.width === width && sheet.height === height,
  );
  const inInches = [width, height].every((side) => measureParts(side, 'inch').kind === 'fraction');
  const name = formatSize(width, height, unit === 'inch' && inInches ? 'inch' : 'mm');
  return sold ?? { name, width, height };
}

/** Reads a sheet by the name that it is sold under, or by its sides: `A4`, `180 × 180 mm`, `7 x 10 in`. */
export function parseSheet(text: string, unit: Unit): Sheet | undefined {
  const asked = text.trim().toLowerCase();
  const sold = [...commonSheets, ...largeSheets].find(({ name }) => name.toLowerCase() === asked);
  if (sold) return sold;
  const [width = '', height = '', ...more] = text.split(/\s*[×x*]\s*/i);
  if (more.length > 0) return undefined;
  const across = parseLength(height, unit);
  // The unit stands once, behind both.
  const spelled = /[a-z"]+\.?\s*$/i.exec(height)?.[0] ?? '';
  const own = parseLength(width, unit);
  const shared = parseLength(`${width} ${spelled}`, unit);
  const first = /[a-z"]/i.test(width) || !shared.ok ? own : shared;
  if (!first.ok || !across.ok) return undefined;
  const sheet = sheetOf(first.length, across.length, unit);
  return sheetSchema.safeParse(sheet).success ? sheet : undefined;
}
