import { z } from 'zod';
import { contours } from './contours.ts';
import { dots } from './dots.ts';
import { moonPhases } from './moon-phases.ts';
import { orbits } from './orbits.ts';
import type { OwnPrint } from './own-print.ts';
import { starTrails } from './star-trails.ts';
import { twill } from './twill.ts';

export const ownPrintSchema = z.enum([
  'star-trails',
  'orbits',
  'moon-phases',
  'dots',
  'contours',
  'twill',
]);
export type OwnPrintId = z.infer<typeof ownPrintSchema>;

/** The prints that are drawn by Rangoli itself. */
export const ownPrints: Readonly<Record<OwnPrintId, OwnPrint>> = {
  'star-trails': starTrails,
  orbits,
  'moon-phases': moonPhases,
  dots,
  contours,
  twill,
};
