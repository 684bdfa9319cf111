import { z } from 'zod';
import { millimetres, nanometres, roundToGrid, type Length } from '../length/index.ts';
import type { Finish } from './paper.ts';

/** What a square metre of a paper weighs, in whole grams: the figure on its pack. */
export const weightSchema = z.int().min(30).max(1000).brand<'Weight'>();
export type Weight = z.infer<typeof weightSchema>;

/**
 * Thickness in nanometres for each gram of a square metre, which is the card's bulk in cm³/g a thousand times
 * over. Rough card is fluffy; what is coated or foiled has been pressed. A pack’s own card may differ by a tenth.
 */
const bulk: Readonly<Record<Finish, number>> = { matt: 1300, foil: 1100, coated: 1000 };

/** Callipers and lids know no more of card than hundredths of a millimetre. */
const told = millimetres(0.01);

/** About how thick card of this weight is. */
export function thicknessOf(weight: Weight, finish: Finish): Length {
  return roundToGrid(nanometres(weight * bulk[finish]), told);
}

/** About what card of this thickness weighs, to the next 5 grams: undefined beyond what card weighs. */
export function weightOf(thickness: Length, finish: Finish): Weight | undefined {
  const grams = Math.round(thickness / bulk[finish] / 5) * 5;
  const weight = weightSchema.safeParse(grams);
  return weight.success ? weight.data : undefined;
}
