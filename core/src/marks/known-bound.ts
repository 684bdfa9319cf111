import { greatestCommonDivisor, type Lattice } from './lattice.ts';
import type { FitPair } from './marks-index.ts';
import type { Lean } from './marks-problem.ts';
import { anywhere, boundPair, meetsWanted, type PairBound, type Reach } from './pair-bound.ts';

/**
 * How finely two lattices can be apart. A sheet on its corner stands so many times √2 of its marks wide: with a
 * straight piece it has no marks in common, and together they come as near to anything as there is.
 */
function stepBetween(outer: number, inner: number): number {
  if (Number.isInteger(inner)) return greatestCommonDivisor(outer, inner);
  return outer === 0 ? inner : 1;
}

/** How two sections can stand to one another, and what is looked for. */
interface PairState {
  readonly outer: Lattice;
  readonly inner: Lattice;
  readonly reach: Reach;
  readonly lean: Lean;
  readonly allowed: number;
}

/**
 * The least that a pair must cost over all the differences that its sections can still have. What has been reckoned
 * once is kept with the pair, for one lean: most walls leave the same remainder, so few of these differ.
 */
export function knownBound(
  pair: FitPair,
  { outer, inner, reach, lean, allowed }: PairState,
): PairBound {
  const { innerTimes: times, fits, wanted, bounds } = pair;
  const step = stepBetween(outer.step, times * inner.step);
  const difference = outer.residue - times * inner.residue;
  const residue = step === 0 ? difference : ((difference % step) + step) % step;
  const apart = { residue, step };
  if (!meetsWanted(wanted, reach)) return boundPair(fits, { apart, reach, lean, allowed });
  const sameResidue = bounds.get(residue);
  const known = sameResidue?.find((each) => each.step === step && each.allowed === allowed);
  if (known) return known.bound;
  const bound = boundPair(fits, { apart, reach: anywhere, lean, allowed });
  bounds.set(residue, [...(sameResidue ?? []), { step, allowed, bound }]);
  return bound;
}
