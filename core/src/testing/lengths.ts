import fc from 'fast-check';
import { millimetres, type Length } from '../index.ts';

/** Any length between so many millimetres, to the tenth of one. */
export function tenthsBetween(least: number, most: number): fc.Arbitrary<Length> {
  return fc.integer({ min: least * 10, max: most * 10 }).map((tenths) => millimetres(tenths / 10));
}
