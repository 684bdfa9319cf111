import { z } from 'zod';
import { inches, inchFraction, lengthBetween, millimetres, unitSchema } from '../length/index.ts';
import { toolIdSchema, toolNameSchema } from './tool-name.ts';

const table = lengthBetween(millimetres(50), millimetres(1500));

/** A trimmer, by the marks of its ruler: every cut size is a multiple of its step. */
export const trimmerSchema = z.object({
  id: toolIdSchema,
  name: toolNameSchema,
  unit: unitSchema,
  step: lengthBetween(millimetres(0.25), millimetres(25.4)),
  /** The longest cut. */
  cutLength: table.default(inches(12)),
  /** How far the ruler goes on the table, and with the arm pulled out. */
  tableWidth: table.default(inches(6)),
  widthWithArm: table.default(inches(15)),
  /** A strip narrower than this can't be held. */
  leastStrip: lengthBetween(millimetres(2), millimetres(80)).default(inchFraction(1, 2)),
  /** Whether the blade can be swapped for a tip that scores. */
  scoringTip: z.boolean().default(false),
});
export type Trimmer = z.infer<typeof trimmerSchema>;

const inchTrimmer = {
  unit: 'inch',
  cutLength: inches(12),
  tableWidth: inches(6),
  widthWithArm: inches(15),
  leastStrip: inchFraction(1, 2),
} as const;
const metricTrimmer = {
  unit: 'mm',
  cutLength: millimetres(310),
  tableWidth: millimetres(150),
  widthWithArm: millimetres(380),
  leastStrip: millimetres(12),
} as const;

/** Trimmers by the step of their ruler. */
export const genericTrimmers: readonly Trimmer[] = [
  {
    id: 'trimmer-1-16',
    name: '1/16 in steps',
    step: inchFraction(1, 16),
    scoringTip: false,
    ...inchTrimmer,
  },
  {
    id: 'trimmer-1-32',
    name: '1/32 in steps',
    step: inchFraction(1, 32),
    scoringTip: true,
    ...inchTrimmer,
  },
  {
    id: 'trimmer-1mm',
    name: '1 mm steps',
    step: millimetres(1),
    scoringTip: false,
    ...metricTrimmer,
  },
  {
    id: 'trimmer-half-mm',
    name: '0.5 mm steps',
    step: millimetres(0.5),
    scoringTip: true,
    ...metricTrimmer,
  },
];
