import type { ProblemIndex } from './marks-index.ts';
import type { MarksProblem } from './marks-problem.ts';

/** A set of sections by their places, a bit each. */
export type SectionSet = number;

export const noSections: SectionSet = 0;

/** Every section: what is not told apart may be any of them. */
export const allSections: SectionSet = -1;

/** How many sections have a bit of their own. */
const toldApart = 31;

/** The set of one section; of one that can't be told apart, all of them. */
export function onlySection(at: number): SectionSet {
  return at < toldApart ? 1 << at : allSections;
}

function setOf(sections: readonly number[]): SectionSet {
  let set = noSections;
  for (const at of sections) set |= onlySection(at);
  return set;
}

/**
 * Which sections stand in each other's way, and why a search found nothing: when some of them leave nothing to
 * the rest, only another choice of these can help, however many others were decided since (conflict-directed
 * backjumping).
 */
export class Conflicts {
  /** By section: those that bear on it by a chain, a span, a fit, a sheet or by being smaller or larger. */
  readonly #bearing: readonly SectionSet[];

  constructor({ sections }: MarksProblem, index: ProblemIndex) {
    const mostOf = (chain: readonly number[]) =>
      chain.reduce((sum, at) => sum + (sections[at]?.most ?? Infinity), 0);
    const bearing = sections.map(() => noSections);
    const tie = (tied: readonly number[]) => {
      const set = setOf(tied);
      for (const at of tied) bearing[at] = (bearing[at] ?? noSections) | set;
    };
    for (const chain of index.chains) tie(chain.sections);
    for (const span of index.spans) tie(span.sections);
    for (const { less, more } of index.smaller) tie([less, more]);
    for (const fits of index.groupFits)
      tie(fits.flatMap(({ outerAt, innerAt }) => [outerAt, innerAt]));
    // A sheet that holds the piece at its largest ties nothing.
    for (const { acrossChain, downChain, width, height } of index.limits)
      if (mostOf(acrossChain) > width || mostOf(downChain) > height)
        tie([...acrossChain, ...downChain]);
    this.#bearing = bearing;
  }

  /** Of the decided sections, those that bear on any of these: themselves, or through sections that are open. */
  decidedBearingOn(these: SectionSet, decided: SectionSet): SectionSet {
    let reached = these;
    let before = noSections;
    while (before !== reached) {
      const open = reached & ~before & ~decided;
      before = reached;
      for (let at = 0; at < this.#bearing.length; at++)
        if ((open & onlySection(at)) !== 0) reached |= this.#bearing[at] ?? allSections;
    }
    return reached & decided;
  }
}
