import { isWholeSteps } from './lattice.ts';
import type { MarkTools } from './marks-problem.ts';

/** What decides whether a reading can be made on a board. */
export type Grooves = Pick<MarkTools, 'pitch' | 'reach' | 'shim'>;

/** How a reading is made: at a groove, at one with the shim between, or at none. */
export type ReadingMeans = 'groove' | 'shim' | 'none';

/** How a distance from the edge is made on these grooves. */
export function meansOf(reading: number, { pitch, reach, shim }: Grooves): ReadingMeans {
  if (reading <= reach && isWholeSteps(reading, pitch)) return 'groove';
  if (shim !== undefined && reading + shim <= reach && isWholeSteps(reading + shim, pitch))
    return 'shim';
  return 'none';
}
