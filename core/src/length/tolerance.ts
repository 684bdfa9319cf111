import { z } from 'zod';
import { lengthBetween, millimetres, type Length } from './length.ts';

/** What a measured distance may be: never below `least`, best at `target`, never above `most`. */
export interface Tolerance {
  readonly least: Length;
  readonly target: Length;
  readonly most: Length;
}

/** No maker measures or cuts so small a difference: what misses a mark by no more than this is on it. */
export const hair = millimetres(0.01);

const few = lengthBetween(millimetres(0), millimetres(20));

/** A tolerance in a document, in order: least, target, most. */
export const toleranceSchema = z
  .object({ least: few, target: few, most: few })
  .refine((range) => range.least <= range.target && range.target <= range.most, {
    error: 'The least gap, the best gap and the most must stand in that order.',
  });
