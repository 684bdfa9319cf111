import { valuesAround, type Lattice } from './lattice.ts';
import { looseness, tightness } from './marks-cost.ts';
import type { Fit, Lean } from './marks-problem.ts';

/** The least that the fits between two sections must cost. */
export interface PairBound {
  readonly unfit: number;
  readonly deviation: number;
}

/**
 * The least misfit, and the least deviation of the gaps, over all the distances `apart` that two sections
 * can stand from one another. A distance more tight than `allowed` sets no bound: it is never chosen.
 */
export function boundPair(
  fits: readonly Fit[],
  apart: Lattice,
  lean: Lean,
  allowed: number,
): PairBound {
  const differences = valuesAround(
    apart,
    Math.min(...fits.map((fit) => fit.layers + fit.gap.least)),
    Math.max(...fits.map((fit) => fit.layers + fit.gap.most)),
  );
  const ranges = fits.map((fit) => fit.gap);
  let unfit = Infinity;
  let deviation = Infinity;
  for (const difference of differences) {
    const gaps = fits.map((fit) => difference - fit.layers);
    let tight = 0;
    let off = 0;
    fits.forEach(({ layers, gap }) => {
      tight += tightness(difference - layers, gap, lean);
      off += Math.abs(difference - layers - gap.target);
    });
    unfit = Math.min(unfit, tight + looseness(gaps, ranges, lean));
    if (tight <= allowed) deviation = Math.min(deviation, off);
  }
  return { unfit, deviation };
}
