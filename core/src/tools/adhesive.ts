import { z } from 'zod';
import {
  inchFraction,
  largest,
  lengthBetween,
  millimetres,
  minus,
  plus,
  unitSchema,
  zero,
  type Length,
} from '../length/index.ts';
import { toolIdSchema, toolNameSchema } from './tool-name.ts';

/** What holds a tab: tape of a width, or wet glue, which holds any. */
export const adhesiveSchema = z.object({
  id: toolIdSchema,
  name: toolNameSchema,
  unit: unitSchema,
  /** Of a tape; none for wet glue. */
  width: lengthBetween(millimetres(1), millimetres(100)).optional(),
});
export type Adhesive = z.infer<typeof adhesiveSchema>;

/** Usual adhesives. */
export const genericAdhesives: readonly Adhesive[] = [
  { id: 'glue', name: 'Wet glue', unit: 'mm' },
  { id: 'tape-1-8', name: '1/8 in tape', unit: 'inch', width: inchFraction(1, 8) },
  { id: 'tape-1-4', name: '1/4 in tape', unit: 'inch', width: inchFraction(1, 4) },
  { id: 'tape-1-2', name: '1/2 in tape', unit: 'inch', width: inchFraction(1, 2) },
  { id: 'tape-3mm', name: '3 mm tape', unit: 'mm', width: millimetres(3) },
  { id: 'tape-6mm', name: '6 mm tape', unit: 'mm', width: millimetres(6) },
  { id: 'tape-12mm', name: '12 mm tape', unit: 'mm', width: millimetres(12) },
];

/** So much of a flap stays free beside its tape, on both sides together. */
const free = millimetres(2);

/** The widest tape that fits a flap so narrow; undefined where none does. */
export function tapeFor(narrow: Length, adhesives: readonly Adhesive[]): Adhesive | undefined {
  const fitting = adhesives.flatMap((each) =>
    each.width !== undefined && each.width <= minus(narrow, free)
      ? [{ adhesive: each, width: each.width }]
      : [],
  );
  return fitting.sort((a, b) => b.width - a.width)[0]?.adhesive;
}

/** How wide a flap is that takes the widest of these tapes; undefined where there is none. */
export function widthForTape(adhesives: readonly Adhesive[]): Length | undefined {
  const widths = adhesives.flatMap(({ width }) => (width === undefined ? [] : [width]));
  return widths.length === 0 ? undefined : plus(largest(zero, ...widths), free);
}

/** The wet glue among these; undefined where there is none. */
export function wetGlueIn(adhesives: readonly Adhesive[]): Adhesive | undefined {
  return adhesives.find(({ width }) => width === undefined);
}
