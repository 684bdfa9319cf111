import { z } from 'zod';
import {
  formatWithUnit,
  inchFraction,
  inches,
  lengthBetween,
  millimetres,
  times,
  unitSchema,
  type Length,
  type Unit,
} from '../length/index.ts';
import { toolIdSchema, toolNameSchema } from './tool-name.ts';

const length = lengthBetween(millimetres(3), millimetres(1500));

const namedMarkSchema = z.object({
  /** As it stands on the maker's own board. */
  name: z
    .string()
    .trim()
    .min(1, { error: 'Give the mark the name that stands on your board.' })
    .max(12, { error: 'Keep the name of a mark to 12 characters.' }),
  /** How far from the edge of the sheet the lines fall that are scored at this mark. */
  at: length,
});
export type NamedMark = z.infer<typeof namedMarkSchema>;

/** Something wrong in a table of marks: in which row, and how to set it right. */
export interface MarkFault {
  readonly row: number;
  readonly message: string;
}

/** What can't be in a table of marks copied from a board: names twice, marks out of order, marks off the sheet. */
export function faultsInMarks(
  marks: readonly NamedMark[],
  largestSheet: Length,
  unit: Unit,
): readonly MarkFault[] {
  return marks.flatMap(({ name, at }, row): readonly MarkFault[] => {
    const before = marks[row - 1];
    const twice = marks.slice(0, row).some((other) => other.name === name);
    const said = formatWithUnit(at, unit);
    if (twice) return [{ row, message: `Mark “${name}” stands there twice. Rename one of them.` }];
    if (before && at <= before.at)
      return [
        {
          row,
          message: `Mark “${name}” at ${said} doesn’t lie beyond “${before.name}” at ${formatWithUnit(before.at, unit)}. One of the two is mistyped: look at your board again.`,
        },
      ];
    if (times(at, 2) >= largestSheet)
      return [
        {
          row,
          message: `Mark “${name}” at ${said} lies outside the sheet: from both sides it leaves nothing of ${formatWithUnit(largestSheet, unit)}. Check the mark, or the largest sheet.`,
        },
      ];
    return [];
  });
}

/**
 * A punch board for corners: at each named mark it notches a corner and scores three lines, one straight
 * from each edge and one across the corner square.
 */
export const cornerBoardSchema = z
  .object({
    id: toolIdSchema,
    name: toolNameSchema,
    unit: unitSchema,
    /** Copied by the maker from their own board, the nearest to the edge first. */
    marks: z
      .array(namedMarkSchema)
      .min(1, { error: 'Copy one mark from your board at least.' })
      .max(60),
    /** How far along the sheet its straight lines run from the corner. */
    lineLength: length,
    /** The side of the largest sheet that lies on it. */
    largestSheet: length,
  })
  .superRefine(({ marks, largestSheet, unit }, context) => {
    for (const { row, message } of faultsInMarks(marks, largestSheet, unit))
      context.addIssue({ code: 'custom', path: ['marks', row, 'at'], message });
  });
export type CornerBoard = z.infer<typeof cornerBoardSchema>;

/** Marks at every quarter inch, or at every 5 mm, by their own figures: to be replaced by the maker's. */
export const genericCornerBoards: readonly CornerBoard[] = [
  {
    id: 'corner-inch',
    name: 'Corner board, inches',
    unit: 'inch',
    marks: [2, 3, 4, 5, 6, 8, 10, 12].map((quarters, i) => ({
      name: String.fromCharCode(65 + i),
      at: inchFraction(quarters, 4),
    })),
    lineLength: inches(6),
    largestSheet: inches(12),
  },
  {
    id: 'corner-mm',
    name: 'Corner board, millimetres',
    unit: 'mm',
    marks: [15, 20, 25, 30, 40, 50, 60, 75].map((at, i) => ({
      name: String.fromCharCode(65 + i),
      at: millimetres(at),
    })),
    lineLength: millimetres(150),
    largestSheet: millimetres(305),
  },
];
