import { valuesAround, type Lattice } from './lattice.ts';
import { looseness, ownMisfit } from './marks-cost.ts';
import type { Fit, Lean } from './marks-problem.ts';

/** The least that the fits between two sections must cost. */
export interface PairBound {
  /** The least misfit of each gap by itself. */
  readonly own: number;
  /** The least misfit when this pair is the closest of its group, so that its looseness counts too. */
  readonly closest: number;
  /** The least deviation of the gaps. */
  readonly deviation: number;
  /** The least deviation when this pair is the one that holds its group. */
  readonly heldDeviation: number;
}

const noBound: PairBound = { own: 0, closest: 0, deviation: 0, heldDeviation: 0 };

/** Between what differences two sections can still stand. */
export interface Reach {
  readonly least: number;
  readonly most: number;
}

/** Where nothing holds the two sections together. */
export const anywhere: Reach = { least: -Infinity, most: Infinity };

/** The differences at which every fit between two sections is in its range, or between their ranges. */
export function wantedOf(fits: readonly Fit[]): Reach {
  return {
    least: Math.min(...fits.map((fit) => fit.layers + fit.gap.least)),
    most: Math.max(...fits.map((fit) => fit.layers + fit.gap.most)),
  };
}

/** Whether two sections can stand at any difference that is wanted; where they can't, that is a bound. */
export function meetsWanted(wanted: Reach, reach: Reach): boolean {
  return reach.least <= wanted.most && reach.most >= wanted.least;
}

/**
 * The least misfit, and the least deviation of the gaps, over all the distances `apart` that two sections
 * can stand from one another. A distance more tight than `allowed` sets no bound: it is never chosen.
 */
export function boundPair(
  fits: readonly Fit[],
  {
    apart,
    reach,
    lean,
    allowed,
  }: {
    readonly apart: Lattice;
    readonly reach: Reach;
    readonly lean: Lean;
    readonly allowed: number;
  },
): PairBound {
  const least = Math.min(...fits.map((fit) => fit.gap.most - fit.gap.least));
  const wanted = wantedOf(fits);
  // On so fine a lattice some gap is as good as perfect: no bound worth the search for it.
  if (apart.step > 0 && apart.step * 24 < least && meetsWanted(wanted, reach)) return noBound;
  const within = (value: number) => Math.min(Math.max(value, reach.least), reach.most);
  const differences = valuesAround(apart, within(wanted.least), within(wanted.most)).filter(
    (value) => apart.step === 0 || (value >= reach.least && value <= reach.most),
  );
  if (differences.length === 0) return noBound;
  let own = Infinity;
  let closest = Infinity;
  let deviation = Infinity;
  let heldDeviation = Infinity;
  for (const difference of differences) {
    let apiece = 0;
    let off = 0;
    fits.forEach((fit) => {
      const gap = difference - fit.layers;
      apiece += ownMisfit(gap, fit, lean);
      off += Math.abs(gap - fit.gap.target);
    });
    const misfit = apiece + looseness(fits, (fit) => difference - fit.layers, lean);
    own = Math.min(own, apiece);
    closest = Math.min(closest, misfit);
    if (apiece <= allowed) deviation = Math.min(deviation, off);
    if (misfit <= allowed) heldDeviation = Math.min(heldDeviation, off);
  }
  return { own, closest, deviation, heldDeviation };
}
