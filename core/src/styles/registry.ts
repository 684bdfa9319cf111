import { z } from 'zod';
import type { StyleBrief, StyleFrame } from './style.ts';
import { frameLidded, liddedDefaults, liddedOptionsSchema } from './lidded.ts';

/** A style by name, with its options. */
export const styleChoiceSchema = z.discriminatedUnion('style', [
  z.object({ style: z.literal('lidded'), options: liddedOptionsSchema }),
]);
export type StyleChoice = z.infer<typeof styleChoiceSchema>;
export type StyleId = StyleChoice['style'];

/** The names that makers see. */
export const styleNames: Record<StyleId, string> = { lidded: 'Lidded box' };

/** The style that a new project starts with. */
export const firstStyle: StyleChoice = {
  style: 'lidded',
  options: liddedDefaults,
};

/** Puts the chosen style to the solver. */
export function frameStyle(
  choice: StyleChoice,
  brief: Omit<StyleBrief<unknown>, 'options'>,
): StyleFrame {
  return frameLidded({ ...brief, options: choice.options });
}
