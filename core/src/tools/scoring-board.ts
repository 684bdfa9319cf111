import { z } from 'zod';
import { inches, inchFraction, lengthBetween, millimetres, unitSchema } from '../length/index.ts';
import { toolIdSchema, toolNameSchema } from './tool-name.ts';

const pitch = lengthBetween(millimetres(0.25), millimetres(25.4));

/** A scoring board: grooves at a fixed pitch from a fence, as far along its ruler as it reaches. */
export const scoringBoardSchema = z.object({
  id: toolIdSchema,
  name: toolNameSchema,
  unit: unitSchema,
  pitch,
  reach: lengthBetween(millimetres(100), millimetres(1500)),
  /** How long the grooves are: a longer score is finished from the other end. */
  grooveLength: lengthBetween(millimetres(100), millimetres(1500)).default(inches(12)),
  /** On which side of the maker the fence is. */
  fence: z.enum(['left', 'right']).default('left'),
  /** Pegs that mark a groove, to find it again. */
  markers: z.int().min(0).max(20).default(0),
  /** Thickness of a strip that fits between fence and card, where there is one. */
  shim: lengthBetween(millimetres(0.1), millimetres(25)).optional(),
});
export type ScoringBoard = z.infer<typeof scoringBoardSchema>;

const inchBoard = {
  unit: 'inch',
  reach: inches(12),
  grooveLength: inches(12),
  fence: 'left',
  markers: 2,
} as const;
const metricBoard = {
  unit: 'mm',
  reach: millimetres(300),
  grooveLength: millimetres(300),
  fence: 'left',
  markers: 2,
} as const;

/** Scoring boards by the pitch of their grooves. */
export const genericBoards: readonly ScoringBoard[] = [
  { id: 'board-1-8', name: '1/8 in grooves', pitch: inchFraction(1, 8), ...inchBoard },
  { id: 'board-1-16', name: '1/16 in grooves', pitch: inchFraction(1, 16), ...inchBoard },
  { id: 'board-5mm', name: '5 mm grooves', pitch: millimetres(5), ...metricBoard },
  { id: 'board-1mm', name: '1 mm grooves', pitch: millimetres(1), ...metricBoard },
];
