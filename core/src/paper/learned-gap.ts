import {
  largest,
  millimetres,
  minus,
  plus,
  smallest,
  zero,
  type Length,
  type Tolerance,
} from '../length/index.ts';

/** How a lid or a drawer turned out, on a box that was made. */
export type Felt = 'too tight' | 'just right' | 'too loose';

/** What a hand can just tell apart, and what makes a difference that it can feel. */
const told = millimetres(0.1);
const better = millimetres(0.25);

/**
 * The gap to plan with from now on, when one that was planned to come to `came` turned out like this: a
 * tight one moves the range above it, a loose one below it, a good one becomes the target. A gap of next to
 * nothing that feels loose teaches nothing about the range, and leaves it as it was.
 */
export function learnedGap(range: Tolerance, came: Length, felt: Felt): Tolerance {
  switch (felt) {
    case 'just right':
      return {
        least: smallest(range.least, largest(came, zero)),
        target: largest(came, zero),
        most: largest(range.most, came),
      };
    case 'too tight': {
      const least = largest(range.least, plus(came, told), zero);
      const target = largest(range.target, plus(came, better), least);
      return { least, target, most: largest(range.most, plus(target, better)) };
    }
    case 'too loose': {
      const most = smallest(range.most, minus(came, told));
      if (most <= told) return range;
      const target = smallest(range.target, largest(minus(came, better), told));
      const least = smallest(range.least, minus(target, told));
      return { least: largest(least, zero), target: smallest(target, most), most };
    }
  }
}
