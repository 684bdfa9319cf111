import { hair, minus, plus, type Length, type Tolerance } from '../length/index.ts';
import { slackBeyond } from './ranges.ts';

/** How a gap feels: it jams, slides with a light tug, or falls off. */
export type GapState = 'tight' | 'holds' | 'loose';

/** How one gap feels. */
export function judgeGap(gap: Length, range: Tolerance): GapState {
  if (gap < minus(range.least, hair)) return 'tight';
  return gap > plus(range.most, hair) ? 'loose' : 'holds';
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
  const rattles = fits.some(({ gap, range }) => gap > plus(range.most, slackBeyond, hair));
  return states.includes('holds') && !rattles ? 'holds' : 'loose';
}
