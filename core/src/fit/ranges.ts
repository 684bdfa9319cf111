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
  /** The least of every section, then the most of every one. */
  readonly #ends: Float64Array;
  readonly #size: number;
  /** The ends as they were before each decision, one after the other; there from the first decision on. */
  #before: Float64Array | undefined;
  #decisions = 0;

  constructor(problem: MarksProblem, index: ProblemIndex, grids: readonly number[]) {
    this.#problem = problem;
    this.#index = index;
    this.#grids = grids;
    this.#size = problem.sections.length;
    this.#ends = new Float64Array(2 * this.#size);
    problem.sections.forEach(({ least, most }, at) => {
      this.#ends[at] = least;
      this.#ends[this.#size + at] = most;
    });
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
    return this.#ends[at] ?? 0;
  }

  mostOf(at: number): number {
    return this.#ends[this.#size + at] ?? Infinity;
  }

  /** Leaves out what would make the gaps more out of range than `unfit`. False when nothing stays. */
  allow(unfit: number): boolean {
    this.#fits = this.#index.pairs.flatMap((pair) => this.#tieOf(pair, unfit));
    return this.#settle();
  }

  /** Decides a section; false when that leaves nothing to another one. */
  decide(at: number, value: number): boolean {
    this.#before ??= new Float64Array(this.#ends.length * this.#size);
    this.#before.set(this.#ends, this.#decisions++ * this.#ends.length);
    this.#ends[at] = value;
    this.#ends[this.#size + at] = value;
    return this.#settle();
  }

  /** Takes the last decision back. */
  reopen(): void {
    const start = --this.#decisions * this.#ends.length;
    for (let i = 0; i < this.#ends.length; i++) this.#ends[i] = this.#before?.[start + i] ?? 0;
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
    for (let at = 0; at < this.#size; at++) if (this.leastOf(at) > this.mostOf(at)) return false;
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
    this.#ends[at] = Math.ceil(least / grid) * grid;
    return true;
  }

  #lower(at: number, most: number): boolean {
    if (!(most < this.mostOf(at))) return false;
    const grid = this.#grids[at] ?? 1;
    this.#ends[this.#size + at] = Math.floor(most / grid) * grid;
    return true;
  }
}
