import type { Chain, Fit, MarksProblem, SheetLimit } from './marks-problem.ts';
import { wantedOf, type PairBound, type Reach } from './pair-bound.ts';
import { isSettled, spansOf } from './made-already.ts';
import { longestChains } from './sheet-limits.ts';

/** Chains of the same sections, which are as indices. */
export interface IndexedChain {
  readonly ids: readonly string[];
  readonly sections: readonly number[];
  /** As far as its sheet goes. */
  readonly longest: number;
  /** What it is cut to already. */
  readonly cut: number | undefined;
}

/** Sections that come to a length, because it is made already. */
export interface IndexedSpan {
  readonly sections: readonly number[];
  readonly is: number;
}

export interface IndexedLimit extends SheetLimit {
  readonly acrossChain: readonly number[];
  readonly downChain: readonly number[];
}

export interface IndexedSmaller {
  readonly less: number;
  readonly more: number;
  readonly moreTimes: number;
  readonly by: number;
}

/** What one section takes part in. */
export interface SectionTies {
  /** Fits with another section. */
  readonly fits: readonly IndexedFit[];
  readonly chains: readonly IndexedChain[];
  readonly limits: readonly IndexedLimit[];
  readonly spans: readonly IndexedSpan[];
}

export interface IndexedFit extends Fit {
  readonly outerAt: number;
  readonly innerAt: number;
}

/** A bound with what it was reckoned for. */
export interface KnownBound {
  readonly step: number;
  readonly allowed: number;
  readonly bound: PairBound;
}

/** Fits between the same two sections: their gaps differ by what lies between, and move together. */
export interface FitPair {
  readonly group: string;
  readonly outerAt: number;
  readonly innerAt: number;
  readonly innerTimes: number;
  readonly fits: readonly IndexedFit[];
  /** The differences at which every fit is in its range, or between their ranges. */
  readonly wanted: Reach;
  /** What is known already, by how far apart the two can be: residue, then step and the misfit allowed. */
  readonly bounds: Map<number, KnownBound[]>;
}

/** A marks problem with names turned into places. */
export interface ProblemIndex {
  readonly chains: readonly IndexedChain[];
  readonly fits: readonly IndexedFit[];
  readonly pairs: readonly FitPair[];
  readonly smaller: readonly IndexedSmaller[];
  readonly spans: readonly IndexedSpan[];
  readonly limits: readonly IndexedLimit[];
  /** Places of the pairs of each group. */
  readonly groups: readonly (readonly number[])[];
  /** The fits of each group. */
  readonly groupFits: readonly (readonly IndexedFit[])[];
  /** By section. */
  readonly ties: readonly SectionTies[];
  /** By section: the rest of the first chain that it stands in. */
  readonly others: readonly (readonly number[])[];
}

/** The order in which a problem's sections are decided, for one choice of whole-groove sections. */
export interface DecisionOrder {
  /** By section: whether it must be whole grooves. */
  readonly onPitch: readonly boolean[];
  /** Sections by the depth at which they are decided: those that bear on fits first, and of those whole grooves. */
  readonly order: readonly number[];
  /** How many whole grooves come first. */
  readonly wholeGrooves: number;
  /** By pair: the depth of the search at which the second of its two is decided. */
  readonly pairDecidedAt: readonly number[];
}

function pairUp(fits: readonly IndexedFit[]): readonly FitPair[] {
  const pairs = new Map<string, IndexedFit[]>();
  for (const fit of fits) {
    const key = `${fit.group} ${fit.outerAt} ${fit.innerAt} ${fit.innerTimes}`;
    pairs.set(key, [...(pairs.get(key) ?? []), fit]);
  }
  return [...pairs.values()].flatMap((members): readonly FitPair[] => {
    const [first] = members;
    if (!first) return [];
    const { group, outerAt, innerAt, innerTimes } = first;
    return [
      {
        group,
        outerAt,
        innerAt,
        innerTimes,
        fits: members,
        wanted: wantedOf(members),
        bounds: new Map(),
      },
    ];
  });
}

/**
 * By section: whether it decides how two pieces fit, being in a fit or in one chain with a remainder that
 * is. What fits nothing can be chosen at the end, and never has to be tried again for a fit's sake.
 */
function bearingOnFits({ fits, chains }: ProblemIndex, onPitch: readonly boolean[]) {
  const inFits = onPitch.map((_, at) =>
    fits.some(({ outerAt, innerAt }) => outerAt === at || innerAt === at),
  );
  return onPitch.map(
    (_, at) =>
      inFits[at] === true ||
      chains.some(
        ({ sections }) =>
          sections.includes(at) && sections.some((each) => inFits[each] && !onPitch[each]),
      ),
  );
}

/** Whole grooves first: remainders are known only once the rest of their chain is. */
export function decisionOrder(
  problem: MarksProblem,
  index: ProblemIndex,
  wholeGrooves: ReadonlySet<string>,
): DecisionOrder {
  // What is made already comes first, as it is.
  const onPitch = problem.sections.map(
    (section) => wholeGrooves.has(section.id) || isSettled(section),
  );
  const bears = bearingOnFits(index, onPitch);
  const order = problem.sections
    .map((_, i) => i)
    .sort(
      (a, b) =>
        Number(bears[b]) - Number(bears[a]) || Number(onPitch[b]) - Number(onPitch[a]) || a - b,
    );
  return {
    onPitch,
    order,
    wholeGrooves: onPitch.filter((isOnPitch, at) => isOnPitch && bears[at]).length,
    pairDecidedAt: index.pairs.map(({ outerAt, innerAt }) =>
      Math.max(order.indexOf(outerAt), order.indexOf(innerAt)),
    ),
  };
}

/** What can be chosen for one piece, and what it costs, goes for every other one that is cut from the same sections. */
function indexChains(
  problem: MarksProblem,
  indexOf: (id: string) => number,
): readonly IndexedChain[] {
  const longest = longestChains(problem);
  const alike = new Map<string, Chain[]>();
  for (const chain of problem.chains) {
    const key = `${chain.sections.join()} ${chain.cut ?? ''}`;
    alike.set(key, [...(alike.get(key) ?? []), chain]);
  }
  return [...alike.values()].flatMap((chains): readonly IndexedChain[] => {
    const [first] = chains;
    if (!first) return [];
    return [
      {
        ids: chains.map(({ id }) => id),
        sections: first.sections.map(indexOf),
        longest: Math.min(...chains.map(({ id }) => longest.get(id) ?? Infinity)),
        cut: first.cut,
      },
    ];
  });
}

/**
 * Indexes a problem.
 * @throws Error when a chain or a fit names a section that the problem doesn't have.
 */
export function indexProblem(problem: MarksProblem): ProblemIndex {
  const at = new Map(problem.sections.map((section, i) => [section.id, i]));
  const indexOf = (id: string) => {
    const index = at.get(id);
    if (index === undefined) throw new Error(`No section ${id} in this problem`);
    return index;
  };
  const chains = indexChains(problem, indexOf);
  const fits = problem.fits.map((fit) => ({
    ...fit,
    outerAt: indexOf(fit.outer),
    innerAt: indexOf(fit.inner),
  }));
  const sectionsOf = (id: string) => chains.find(({ ids }) => ids.includes(id))?.sections ?? [];
  const pairs = pairUp(fits);
  const groups = [...new Set(fits.map(({ group }) => group))];
  const smaller = problem.smaller.map(({ less, more, moreTimes = 1, by }) => ({
    less: indexOf(less),
    more: indexOf(more),
    moreTimes,
    by,
  }));
  const limits = problem.limits.map((limit) => ({
    ...limit,
    acrossChain: sectionsOf(limit.across),
    downChain: sectionsOf(limit.down),
  }));
  const spans = spansOf(problem).map(({ sections, is }) => ({
    sections: sections.map(indexOf),
    is,
  }));
  return {
    chains,
    fits,
    pairs,
    smaller,
    spans,
    limits,
    groups: groups.map((group) => pairs.flatMap((pair, i) => (pair.group === group ? [i] : []))),
    groupFits: groups.map((group) => fits.filter((fit) => fit.group === group)),
    ties: problem.sections.map((_, i) => ({
      fits: fits.filter(
        ({ outerAt, innerAt }) => outerAt !== innerAt && (outerAt === i || innerAt === i),
      ),
      chains: chains.filter(({ sections }) => sections.includes(i)),
      limits: limits.filter(
        ({ acrossChain, downChain }) => acrossChain.includes(i) || downChain.includes(i),
      ),
      spans: spans.filter(({ sections }) => sections.includes(i)),
    })),
    others: problem.sections.map((_, i) => {
      const chain = chains.find(({ sections }) => sections.includes(i));
      return chain?.sections.filter((each) => each !== i) ?? [];
    }),
  };
}
