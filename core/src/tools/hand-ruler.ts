import { z } from 'zod';
import { inchFraction, inches, lengthBetween, millimetres, unitSchema } from '../length/index.ts';
import { toolIdSchema, toolNameSchema } from './tool-name.ts';

/** A ruler to lay on the card, with a stylus to score and a knife to cut along it. */
export const handRulerSchema = z.object({
  id: toolIdSchema,
  name: toolNameSchema,
  unit: unitSchema,
  step: lengthBetween(millimetres(0.25), millimetres(25.4)),
  length: lengthBetween(millimetres(50), millimetres(1500)),
});
export type HandRuler = z.infer<typeof handRulerSchema>;

/** Rulers by their marks. */
export const genericRulers: readonly HandRuler[] = [
  {
    id: 'ruler-1-16',
    name: 'Ruler, 1/16 in marks',
    unit: 'inch',
    step: inchFraction(1, 16),
    length: inches(18),
  },
  {
    id: 'ruler-1mm',
    name: 'Ruler, 1 mm marks',
    unit: 'mm',
    step: millimetres(1),
    length: millimetres(500),
  },
];
