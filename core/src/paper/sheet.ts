import { z } from 'zod';
import { inches, lengthBetween, millimetres } from '../length/index.ts';

const side = lengthBetween(millimetres(40), millimetres(2000));

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
