import { z } from 'zod';
import { inchFraction, inches, lengthBetween, millimetres, unitSchema } from '../length/index.ts';
import { toolIdSchema, toolNameSchema } from './tool-name.ts';

const mark = lengthBetween(millimetres(5), millimetres(1500));

/**
 * A punch board that notches the edge of a sheet and scores a line at 45° from the notch, at a position
 * read on its ruler; for the next side the sheet is turned and the last line followed.
 */
export const diagonalBoardSchema = z
  .object({
    id: toolIdSchema,
    name: toolNameSchema,
    unit: unitSchema,
    /** Marks of its ruler. */
    step: lengthBetween(millimetres(0.25), millimetres(25.4)),
    /** The first and the last mark of its ruler. */
    least: mark,
    most: mark,
    /** The side of the largest sheet that lies on it. */
    largestSheet: mark,
    /** How deep the notch is. */
    notch: lengthBetween(millimetres(0.5), millimetres(25)),
  })
  .superRefine(({ least, most, largestSheet }, context) => {
    if (least >= most)
      context.addIssue({
        code: 'custom',
        path: ['most'],
        message: 'The last mark must lie beyond the first. Check both on your board.',
      });
    if (most > largestSheet)
      context.addIssue({
        code: 'custom',
        path: ['largestSheet'],
        message: 'The last mark lies outside the largest sheet. Check both on your board.',
      });
  });
export type DiagonalBoard = z.infer<typeof diagonalBoardSchema>;

/** Diagonal punch boards by the step of their ruler. */
export const genericDiagonalBoards: readonly DiagonalBoard[] = [
  {
    id: 'diagonal-1-8',
    name: 'Diagonal board, 1/8 in steps',
    unit: 'inch',
    step: inchFraction(1, 8),
    least: inchFraction(1, 2),
    most: inches(8),
    largestSheet: inches(12),
    notch: inchFraction(1, 4),
  },
  {
    id: 'diagonal-1mm',
    name: 'Diagonal board, 1 mm steps',
    unit: 'mm',
    step: millimetres(1),
    least: millimetres(15),
    most: millimetres(200),
    largestSheet: millimetres(300),
    notch: millimetres(6),
  },
];
