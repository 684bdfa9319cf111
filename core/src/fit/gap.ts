import { millimetres, type Length, type Tolerance } from '../length/index.ts';

/** How a gap feels: it jams, slides with a light tug, or falls off. */
export type GapState = 'tight' | 'holds' | 'loose';

/**
 * How far over its range one gap of a pair may be while another one holds: about 1/16 in. A lid is kept
 * on by its closest direction; beyond this it rattles in the other.
 */
export const slackBeyond: Length = millimetres(1.6);

export function judgeGap(gap: Length, range: Tolerance): GapState {
  if (gap < range.least) return 'tight';
  return gap > range.most ? 'loose' : 'holds';
}

/**
 * How a pair fits as a whole: tight when any direction is; held when one direction holds and none is looser
 * than the slack that it makes up for; else loose.
 */
export function judgePair(
  fits: readonly { readonly gap: Length; readonly range: Tolerance }[],
): GapState {
  const states = fits.map(({ gap, range }) => judgeGap(gap, range));
  if (states.includes('tight')) return 'tight';
  const rattles = fits.some(({ gap, range }) => gap > range.most + slackBeyond);
  return states.includes('holds') && !rattles ? 'holds' : 'loose';
}
