import { leantAway } from './marks-cost.ts';
import type { MarksProblem } from './marks-problem.ts';
import type { LimitedChain, RangeRules, RuleSet, SettledSpan, Tie } from './range-rules.ts';

/** Ranges settle in a few rounds; what is left after that is too little to wait for. */
const rounds = 3;

/**
 * Between what sizes every section can still be chosen, so that none that is decided stands in the way: of
 * what must be smaller or larger than another one, of gaps no further out of range than is allowed, of
 * chains no longer than their sheets. A range holds every value that is possible, and some that are not.
 */
export class SectionRanges {
  readonly #rules: RangeRules;
  /** How much looser or tighter than its range a gap may be, as allowed. */
  #tight = Infinity;
  #loose = Infinity;
  readonly #lean: MarksProblem['lean'];
  /** By section: what its values are multiples of, while it is open. */
  readonly #grids: readonly number[];
  /** The least of every section, then the most of every one. */
  readonly #ends: Float64Array;
  readonly #size: number;
  /** The ends as they were before each decision, one after the other; there from the first decision on. */
  #before: Float64Array | undefined;
  #decisions = 0;
  #impossibleAt: number | undefined;

  constructor({ sections, lean }: MarksProblem, rules: RangeRules, grids: readonly number[]) {
    this.#rules = rules;
    this.#lean = lean;
    this.#grids = grids;
    this.#size = sections.length;
    this.#ends = new Float64Array(2 * this.#size);
    sections.forEach(({ least, most }, at) => {
      this.#ends[at] = least;
      this.#ends[this.#size + at] = most;
    });
  }

  leastOf(at: number): number {
    return this.#ends[at] ?? 0;
  }

  mostOf(at: number): number {
    return this.#ends[this.#size + at] ?? Infinity;
  }

  /** The section that was last left nothing. */
  get impossibleAt(): number | undefined {
    return this.#impossibleAt;
  }

  /** Leaves out what would make the gaps more out of range than `unfit`. False when nothing stays. */
  allow(unfit: number): boolean {
    this.#tight = unfit / (this.#lean === 'loose' ? leantAway : 1);
    this.#loose = unfit / (this.#lean === 'tight' ? leantAway : 1);
    return this.#settle();
  }

  /** Decides a section; false when that leaves nothing to another one. */
  decide(at: number, value: number): boolean {
    const ends = this.#ends;
    const before = (this.#before ??= new Float64Array(ends.length * this.#size));
    const start = this.#decisions++ * ends.length;
    for (let i = 0; i < ends.length; i++) before[start + i] = ends[i] ?? 0;
    ends[at] = value;
    ends[this.#size + at] = value;
    // Most decisions move nothing else.
    const here = this.#rules.of[at];
    if (!here || !this.#settleBy(here)) return this.#isPossible();
    return this.#isPossible() && this.#settle();
  }

  /** Takes the last decision back. */
  reopen(): void {
    const [ends, before] = [this.#ends, this.#before];
    if (!before) return;
    const start = --this.#decisions * ends.length;
    for (let i = 0; i < ends.length; i++) ends[i] = before[start + i] ?? 0;
  }

  /** Settles all ranges; false when nothing stays of one. */
  #settle(): boolean {
    for (let round = 0; round < rounds; round++) {
      const isMoved = this.#settleBy(this.#rules.all);
      if (!this.#isPossible()) return false;
      if (!isMoved) return true;
    }
    return true;
  }

  /** Settles ranges by each of these rules once; whether one was moved. */
  #settleBy({ smaller, fits, chains, spans }: RuleSet): boolean {
    let isMoved = false;
    for (const tie of smaller) if (this.#settleTie(tie, 0, 0)) isMoved = true;
    if (this.#tight < Infinity)
      for (const tie of fits) if (this.#settleTie(tie, this.#tight, this.#loose)) isMoved = true;
    for (const chain of chains) if (this.#settleChain(chain)) isMoved = true;
    for (const span of spans) if (this.#settleSpan(span)) isMoved = true;
    return isMoved;
  }

  #isPossible(): boolean {
    for (let at = 0; at < this.#size; at++) {
      if (this.leastOf(at) <= this.mostOf(at)) continue;
      this.#impossibleAt = at;
      return false;
    }
    return true;
  }

  #settleTie(tie: Tie, tight: number, loose: number): boolean {
    const { outer, inner, times } = tie;
    const least = tie.least - tight;
    const most = tie.most + loose;
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

  #settleSpan({ members, is }: SettledSpan): boolean {
    let spare = is;
    let short = is;
    for (const { at, times } of members) {
      spare -= times * this.leastOf(at);
      short -= times * this.mostOf(at);
    }
    let isMoved = false;
    for (const { at, times } of members) {
      const [least, most] = [this.leastOf(at), this.mostOf(at)];
      const lowered = this.#lower(at, least + spare / times);
      if (this.#raise(at, most + short / times) || lowered) isMoved = true;
    }
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
