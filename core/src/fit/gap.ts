import type { Length, Tolerance } from '../length/index.ts';

/** How a gap feels: it jams, slides with a light tug, or falls off. */
export type GapState = 'tight' | 'holds' | 'loose';

export function judgeGap(gap: Length, range: Tolerance): GapState {
  if (gap < range.least) return 'tight';
  return gap > range.most ? 'loose' : 'holds';
}

/**
 * How a pair fits as a whole: tight when any direction is, held when its closest direction holds. A lid
 * that slides with a light tug one way stays on, however it clears the other way.
 */
export function judgePair(states: readonly GapState[]): GapState {
  if (states.includes('tight')) return 'tight';
  return states.includes('holds') ? 'holds' : 'loose';
}
