import { z } from 'zod';
import type { Addition } from './addition.ts';
import { panel, panelSchema } from './panel.ts';

/** Something that a box wears, by name, with all that is chosen of it. */
export const additionSchema = z.discriminatedUnion('addition', [panelSchema]);
export type AdditionChoice = z.infer<typeof additionSchema>;

/** Everything that a box may wear. */
const additions = { panel } as const;

/** How a chosen addition is made. */
export function additionOf({ addition }: AdditionChoice): Addition<AdditionChoice> {
  return additions[addition];
}
