import { slackBeyond } from './gap.ts';
import type { FitPair, IndexedChain, ProblemIndex } from './marks-index.ts';
import type { MarksProblem } from './marks-problem.ts';
import type { Reach } from './pair-bound.ts';
import { leantAway } from './marks-cost.ts';

/** Two sections that hold one another: `outer` − `times` · `inner` lies between `least` and `most`. */
interface Tie {
  readonly outer: number;
  readonly inner: number;
  readonly times: number;
  readonly least: number;
  readonly most: number;
}

/** A chain that a sheet limits, each section with how often it stands there. */
interface LimitedChain {
  readonly members: readonly { readonly at: number; readonly times: number }[];
  readonly longest: number;
}

interface Snapshot {
  readonly least: Float64Array;
  readonly most: Float64Array;
}

function limitedChain({ sections, longest }: IndexedChain): LimitedChain {
  const members = [...new Set(sections)].map((at) => ({
    at,
    times: sections.filter((each) => each === at).length,
  }));
  return { members, longest };
}

/** Ranges settle in a few rounds; what is left after that is too little to wait for. */
const rounds = 3;

/**
 * Between what sizes every section can still be chosen, so that none that is decided stands in the way: of
 * what must be smaller or larger than another one, of gaps no further out of range than is allowed, of
 * chains no longer than their sheets. A range holds every value that is possible, and some that are not.
 */
export class SectionRanges {
  readonly #problem: MarksProblem;
  readonly #index: ProblemIndex;
  readonly #smaller: readonly Tie[];
  readonly #chains: readonly LimitedChain[];
  #fits: readonly Tie[] = [];
  /** By section: what its values are multiples of, while it is open. */
  readonly #grids: readonly number[];
  readonly #least: Float64Array;
  readonly #most: Float64Array;
  /** What the ranges were before each decision, as many as there are decisions. */
  readonly #before: readonly Snapshot[];
  #decisions = 0;

  constructor(problem: MarksProblem, index: ProblemIndex, grids: readonly number[]) {
    this.#problem = problem;
    this.#index = index;
    this.#grids = grids;
    this.#least = Float64Array.from(problem.sections, ({ least }) => least);
    this.#most = Float64Array.from(problem.sections, ({ most }) => most);
    const size = problem.sections.length;
    this.#before = problem.sections.map(() => ({
      least: new Float64Array(size),
      most: new Float64Array(size),
    }));
    this.#smaller = index.smaller.map(({ less, more, moreTimes, by }) => ({
      outer: less,
      inner: more,
      times: moreTimes,
      least: -Infinity,
      most: -by,
    }));
    this.#chains = index.chains.filter(({ longest }) => longest !== Infinity).map(limitedChain);
  }

  leastOf(at: number): number {
    return this.#least[at] ?? 0;
  }

  mostOf(at: number): number {
    return this.#most[at] ?? Infinity;
  }

  /** Leaves out what would make the gaps more out of range than `unfit`. False when nothing stays. */
  allow(unfit: number): boolean {
    this.#fits = this.#index.pairs.flatMap((pair) => this.#tieOf(pair, unfit));
    return this.#settle();
  }

  /** Decides a section; false when that leaves nothing to another one. */
  decide(at: number, value: number): boolean {
    const before = this.#before[this.#decisions++];
    before?.least.set(this.#least);
    before?.most.set(this.#most);
    this.#least[at] = value;
    this.#most[at] = value;
    return this.#settle();
  }

  /** Takes the last decision back. */
  reopen(): void {
    const before = this.#before[--this.#decisions];
    if (!before) return;
    this.#least.set(before.least);
    this.#most.set(before.most);
  }

  #tieOf(pair: FitPair, unfit: number): readonly Tie[] {
    const { outerAt: outer, innerAt: inner, innerTimes: times, fits, group } = pair;
    if (outer === inner || unfit === Infinity) return [];
    const { lean } = this.#problem;
    const tight = unfit / (lean === 'loose' ? leantAway : 1);
    const loose = unfit / (lean === 'tight' ? leantAway : 1);
    const { least, most }: Reach = {
      least: Math.max(...fits.map(({ layers, gap }) => layers + gap.least)) - tight,
      most: Math.min(...fits.map(({ layers, gap }) => layers + gap.most)) + slackBeyond + loose,
    };
    // Where no other pair can hold the two together, this one must.
    const isAlone = this.#index.pairs.every((other) => other === pair || other.group !== group);
    const held = Math.max(...fits.map(({ layers, gap }) => layers + gap.most)) + loose;
    return [{ outer, inner, times, least, most: isAlone ? Math.min(most, held) : most }];
  }

  #settle(): boolean {
    for (let round = 0; round < rounds; round++) {
      let isMoved = false;
      for (const tie of this.#smaller) if (this.#settleTie(tie)) isMoved = true;
      for (const tie of this.#fits) if (this.#settleTie(tie)) isMoved = true;
      for (const chain of this.#chains) if (this.#settleChain(chain)) isMoved = true;
      if (!this.#isPossible()) return false;
      if (!isMoved) return true;
    }
    return true;
  }

  #isPossible(): boolean {
    for (let at = 0; at < this.#least.length; at++)
      if (this.leastOf(at) > this.mostOf(at)) return false;
    return true;
  }

  #settleTie({ outer, inner, times, least, most }: Tie): boolean {
    const raised = this.#raise(outer, times * this.leastOf(inner) + least);
    const lowered = this.#lower(outer, times * this.mostOf(inner) + most);
    const innerRaised = this.#raise(inner, (this.leastOf(outer) - most) / times);
    const innerLowered = this.#lower(inner, (this.mostOf(outer) - least) / times);
    return raised || lowered || innerRaised || innerLowered;
  }

  #settleChain({ members, longest }: LimitedChain): boolean {
    let spare = longest;
    for (const { at, times } of members) spare -= times * this.leastOf(at);
    let isMoved = false;
    for (const { at, times } of members)
      if (this.#lower(at, this.leastOf(at) + spare / times)) isMoved = true;
    return isMoved;
  }

  #raise(at: number, least: number): boolean {
    if (!(least > this.leastOf(at))) return false;
    const grid = this.#grids[at] ?? 1;
    this.#least[at] = Math.ceil(least / grid) * grid;
    return true;
  }

  #lower(at: number, most: number): boolean {
    if (!(most < this.mostOf(at))) return false;
    const grid = this.#grids[at] ?? 1;
    this.#most[at] = Math.floor(most / grid) * grid;
    return true;
  }
}
