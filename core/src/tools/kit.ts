import { z } from 'zod';
import { inches, inchFraction, lengthBetween, millimetres, unitSchema } from '../length/index.ts';

const step = lengthBetween(millimetres(0.25), millimetres(25.4));

/** A trimmer, by the marks of its ruler: every cut size is a multiple of its step. */
export const trimmerSchema = z.object({
  name: z.string().min(1).max(60),
  unit: unitSchema,
  step,
});
export type Trimmer = z.infer<typeof trimmerSchema>;

/** A scoring board: grooves at a fixed pitch from the fence, as far as it reaches. */
export const scoringBoardSchema = z.object({
  name: z.string().min(1).max(60),
  unit: unitSchema,
  pitch: step,
  reach: lengthBetween(millimetres(100), millimetres(1500)),
});
export type ScoringBoard = z.infer<typeof scoringBoardSchema>;

/** The tools that a box is planned for. */
export const kitSchema = z.object({
  trimmer: trimmerSchema,
  board: scoringBoardSchema,
});
export type Kit = z.infer<typeof kitSchema>;

/** Trimmers by the step of their ruler. */
export const genericTrimmers: readonly Trimmer[] = [
  { name: '1/16 in steps', unit: 'inch', step: inchFraction(1, 16) },
  { name: '1/32 in steps', unit: 'inch', step: inchFraction(1, 32) },
  { name: '1 mm steps', unit: 'mm', step: millimetres(1) },
  { name: '0.5 mm steps', unit: 'mm', step: millimetres(0.5) },
];

const inchBoard = { unit: 'inch', reach: inches(12) } as const;
const metricBoard = { unit: 'mm', reach: millimetres(300) } as const;

/** Scoring boards by the pitch of their grooves. */
export const genericBoards: readonly ScoringBoard[] = [
  { name: '1/8 in grooves', pitch: inchFraction(1, 8), ...inchBoard },
  { name: '1/16 in grooves', pitch: inchFraction(1, 16), ...inchBoard },
  { name: '5 mm grooves', pitch: millimetres(5), ...metricBoard },
  { name: '1 mm grooves', pitch: millimetres(1), ...metricBoard },
];
