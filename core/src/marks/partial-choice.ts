import { noSections, onlySection, type Conflicts, type SectionSet } from './conflicts.ts';
import { greatestCommonDivisor, isWholeSteps, type Lattice } from './lattice.ts';
import type { DecisionOrder, FitPair, IndexedChain, ProblemIndex } from './marks-index.ts';
import type { MarksProblem } from './marks-problem.ts';
import { givenLengths, isSettled } from './made-already.ts';
import { OffGridBound } from './off-grid-bound.ts';
import type { Reach } from './pair-bound.ts';
import type { RangeRules } from './range-rules.ts';
import { SectionRanges } from './ranges.ts';

/** Whether whole grooves must be kept to. */
export type SearchGrid = 'on grooves' | 'off grooves';

/** A problem with all that every search over it has in common. */
export interface SearchedProblem {
  readonly problem: MarksProblem;
  readonly index: ProblemIndex;
  readonly rules: RangeRules;
  readonly conflicts: Conflicts;
}

/** A chain with one section left to decide. */
export interface OpenChain {
  readonly others: number;
  readonly times: number;
}

/** The sections whose values are decided so far, and what that leaves to those that are open. */
export class PartialChoice {
  readonly #problem: MarksProblem;
  readonly #index: ProblemIndex;
  readonly #decided: DecisionOrder;
  readonly #offGrooves: boolean;
  readonly #values: (number | undefined)[];
  readonly #ranges: SectionRanges;
  readonly #conflicts: Conflicts;
  #decidedSections = noSections;
  /** Of all values that are not whole grooves, the finest step. */
  readonly #finest: number;
  #offGrid: readonly OffGridBound[] | undefined;

  constructor(
    { problem, index, rules, conflicts }: SearchedProblem,
    order: DecisionOrder,
    where: SearchGrid,
  ) {
    this.#problem = problem;
    this.#index = index;
    this.#conflicts = conflicts;
    this.#decided = order;
    this.#offGrooves = where === 'off grooves';
    this.#values = problem.sections.map(() => undefined);
    const { step, pitch } = problem.tools;
    this.#finest = givenLengths(problem).reduce(
      greatestCommonDivisor,
      greatestCommonDivisor(pitch, step),
    );
    this.#ranges = new SectionRanges(
      problem,
      rules,
      problem.sections.map((section, at) => {
        if (isSettled(section)) return 1;
        return order.onPitch[at] && !this.#offGrooves ? pitch : this.#finest;
      }),
    );
  }

  /** By section; undefined where it is open. */
  get values(): readonly (number | undefined)[] {
    return this.#values;
  }

  /** Decides a section; false when that leaves nothing to another one. */
  decide(at: number, value: number): boolean {
    this.#values[at] = value;
    this.#decidedSections |= onlySection(at);
    return this.#ranges.decide(at, value) && this.#isPossible(at);
  }

  /** Takes back the last decision, which was about this section. */
  reopen(at: number): void {
    this.#values[at] = undefined;
    this.#decidedSections &= ~onlySection(at);
    this.#ranges.reopen();
  }

  /** Of the decided sections, those that bear on any of these. */
  decidedBearingOn(these: SectionSet): SectionSet {
    return this.#conflicts.decidedBearingOn(these, this.#decidedSections);
  }

  /** Of the decided sections, those that stand in the way of the last decision, which has turned out impossible. */
  againstDeciding(at: number): SectionSet {
    const { impossibleAt } = this.#ranges;
    const leftNothing = impossibleAt === undefined ? noSections : onlySection(impossibleAt);
    return this.decidedBearingOn(onlySection(at) | leftNothing);
  }

  /** Leaves out what would make the gaps more out of range than `unfit`. False when nothing stays. */
  allow(unfit: number): boolean {
    return this.#ranges.allow(unfit);
  }

  /**
   * Of the chains that are decided but for one section: what the others come to, and how often this one stands in
   * them. Cut on the trimmer's marks, each leaves few values to it.
   */
  openOnlyAt(at: number): readonly OpenChain[] {
    const open: OpenChain[] = [];
    for (const { sections, cut } of this.#index.ties[at]?.chains ?? []) {
      if (cut !== undefined) continue;
      let others = 0;
      let times = 0;
      for (const each of sections) {
        if (each === at) times++;
        else others += this.#values[each] ?? NaN;
      }
      if (!Number.isNaN(others)) open.push({ others, times });
    }
    return open;
  }

  /** What the pieces that a section goes across are cut to, where they are cut already. */
  cutsOf(at: number): readonly number[] {
    return (this.#index.ties[at]?.chains ?? []).flatMap(({ cut }) =>
      cut === undefined ? [] : [cut],
    );
  }

  /**
   * Of a section along an edge: how far the score beside it is from the opposite edge, where that is made already. The
   * rest of the piece is this section, whatever its size.
   */
  scoresBeside(at: number): readonly number[] {
    const isSame = (a: readonly number[], b: readonly number[]) => a.join() === b.join();
    return (this.#index.ties[at]?.chains ?? []).flatMap(({ sections }) => {
      const rests = [
        ...(sections.at(0) === at ? [sections.slice(1)] : []),
        ...(sections.at(-1) === at ? [sections.slice(0, -1)] : []),
      ];
      return this.#index.spans
        .filter((span) => rests.some((rest) => isSame(rest, span.sections)))
        .map(({ is }) => is);
    });
  }

  /** Between what sizes a section can still be chosen. */
  rangeOf(at: number): Reach {
    return { least: this.#ranges.leastOf(at), most: this.#ranges.mostOf(at) };
  }

  /** The values that a section can still take. */
  latticeOf(at: number): Lattice {
    const value = this.#values[at];
    if (value !== undefined) return { residue: value, step: 0 };
    const made = this.madeAlready(at);
    if (made !== undefined) return { residue: made, step: 0 };
    const { step, pitch } = this.#problem.tools;
    if (this.#decided.onPitch[at] && !this.#offGrooves) return { residue: 0, step: pitch };
    const others = this.#decided.onPitch[at]
      ? undefined
      : this.#sumOf(this.#index.others[at] ?? []);
    return others === undefined ? { residue: 0, step: this.#finest } : { residue: -others, step };
  }

  /** The only value left to a section, because what it is part of is cut or scored already. */
  madeAlready(at: number): number | undefined {
    const section = this.#problem.sections[at];
    if (section && isSettled(section)) return section.least;
    for (const { sections, is } of this.#index.ties[at]?.spans ?? []) {
      let left = is;
      let times = 0;
      for (const each of sections) {
        if (each === at) times++;
        else left -= this.#values[each] ?? Infinity;
      }
      if (left !== -Infinity) return left / times;
    }
    return undefined;
  }

  /** How far the two sections of a pair can still be apart. */
  reachOf({ outerAt, innerAt, innerTimes }: FitPair): Reach {
    return {
      least: this.#ranges.leastOf(outerAt) - innerTimes * this.#ranges.mostOf(innerAt),
      most: this.#ranges.mostOf(outerAt) - innerTimes * this.#ranges.leastOf(innerAt),
    };
  }

  /** What sections come to; undefined as long as one of them is open. */
  #sumOf(sections: readonly number[]): number | undefined {
    let sum = 0;
    for (const each of sections) {
      const value = this.#values[each];
      if (value === undefined) return undefined;
      sum += value;
    }
    return sum;
  }

  /** Cut sizes on the trimmer's marks and pieces on their sheets, as far as decided. */
  #isPossible(at: number): boolean {
    const { step } = this.#problem.tools;
    const ties = this.#index.ties[at];
    if (!ties) return true;
    for (const { sections, cut } of ties.chains) {
      const sum = cut === undefined ? this.#sumOf(sections) : undefined;
      if (sum !== undefined && !isWholeSteps(sum, step)) return false;
    }
    for (const { sections, is } of ties.spans) {
      const sum = this.#sumOf(sections);
      if (sum !== undefined && sum !== is) return false;
    }
    for (const { acrossChain, downChain, width, height, mayTurn } of ties.limits) {
      const across = this.#leastSumOf(acrossChain);
      const down = this.#leastSumOf(downChain);
      const straight = across <= width && down <= height;
      if (!straight && !(mayTurn && across <= height && down <= width)) return false;
    }
    return true;
  }

  /** The least that a chain can still come to. */
  #leastSumOf(sections: readonly number[]): number {
    let sum = 0;
    for (const each of sections) sum += this.#ranges.leastOf(each);
    return sum;
  }

  /** Scores that no later decision can bring onto a groove within reach; not counted on beyond `most`. */
  surelyOffGrid(most: number): number {
    let count = 0;
    this.#offGrid ??= this.#index.chains.map((chain) => this.#boundOffGrid(chain));
    for (const bound of this.#offGrid) {
      if (count > most) break;
      count += bound.of(this.#values);
    }
    return count;
  }

  #boundOffGrid(chain: IndexedChain): OffGridBound {
    return new OffGridBound(chain, this.#problem.tools, (at) => ({
      least: this.#problem.sections[at]?.least ?? 0,
      most: this.#problem.sections[at]?.most ?? Infinity,
      isOnPitch: this.#decided.onPitch[at] === true,
    }));
  }
}
