import { greatestCommonDivisor, type Lattice } from './lattice.ts';
import type { DecisionOrder, FitPair, IndexedChain, ProblemIndex } from './marks-index.ts';
import type { MarksProblem } from './marks-problem.ts';
import { leastOffGrid } from './off-grid.ts';
import type { Reach } from './pair-bound.ts';

/** Whether whole grooves must be kept to. */
export type SearchGrid = 'on grooves' | 'off grooves';

/** The sections whose values are decided so far, and what that leaves to those that are open. */
export class PartialChoice {
  readonly #problem: MarksProblem;
  readonly #index: ProblemIndex;
  readonly #decided: DecisionOrder;
  readonly #offGrooves: boolean;
  readonly #values: (number | undefined)[];
  readonly #leastOffGrid = new Map<string, number>();

  constructor(problem: MarksProblem, index: ProblemIndex, order: DecisionOrder, where: SearchGrid) {
    this.#problem = problem;
    this.#index = index;
    this.#decided = order;
    this.#offGrooves = where === 'off grooves';
    this.#values = problem.sections.map(() => undefined);
  }

  /** By section; undefined where it is open. */
  get values(): readonly (number | undefined)[] {
    return this.#values;
  }

  decide(at: number, value: number): void {
    this.#values[at] = value;
  }

  reopen(at: number): void {
    this.#values[at] = undefined;
  }

  /** The values that a section can still take. */
  latticeOf(at: number): Lattice {
    const value = this.#values[at];
    if (value !== undefined) return { residue: value, step: 0 };
    const { step, pitch } = this.#problem.tools;
    if (this.#decided.onPitch[at] && !this.#offGrooves) return { residue: 0, step: pitch };
    const others = this.#index.others[at] ?? [];
    if (this.#decided.onPitch[at] || others.some((each) => this.#values[each] === undefined))
      return { residue: 0, step: greatestCommonDivisor(pitch, step) };
    return { residue: -this.#sumOf(others), step };
  }

  /** How far the two sections of a pair can still be apart, by their ranges and their sheets. */
  reachOf(pair: FitPair): Reach {
    const outer = this.#rangeOf(pair.outerAt);
    const inner = this.#rangeOf(pair.innerAt);
    return {
      least: outer.least - pair.innerTimes * inner.most,
      most: outer.most - pair.innerTimes * inner.least,
    };
  }

  #rangeOf(at: number): Reach {
    const value = this.#values[at];
    if (value !== undefined) return { least: value, most: value };
    const section = this.#problem.sections[at];
    let most: number = section?.most ?? Infinity;
    for (const { sections, longest } of this.#index.ties[at]?.chains ?? []) {
      if (longest === Infinity) continue;
      let times = 0;
      let others = 0;
      for (const each of sections) {
        if (each === at) times++;
        else others += this.#values[each] ?? this.#problem.sections[each]?.least ?? 0;
      }
      most = Math.min(most, (longest - others) / times);
    }
    return { least: section?.least ?? 0, most };
  }

  #sumOf(sections: readonly number[]): number {
    let sum = 0;
    for (const each of sections) sum += this.#values[each] ?? 0;
    return sum;
  }

  #isDecided(chain: IndexedChain): boolean {
    return chain.sections.every((each) => this.#values[each] !== undefined);
  }

  /** Cut sizes on the trimmer's marks, pieces on their sheets, sections in order, as far as decided. */
  isPossible(at: number): boolean {
    const { step } = this.#problem.tools;
    const ties = this.#index.ties[at];
    if (!ties) return true;
    for (const chain of ties.chains)
      if (this.#isDecided(chain) && this.#sumOf(chain.sections) % step !== 0) return false;
    for (const { less, more, moreTimes, by } of ties.smaller) {
      const low = this.#values[less];
      const high = this.#values[more];
      if (low !== undefined && high !== undefined && low + by > moreTimes * high) return false;
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
    for (const each of sections)
      sum += this.#values[each] ?? this.#problem.sections[each]?.least ?? 0;
    return sum;
  }

  /** Scores that no later decision can bring onto a groove within reach. */
  surelyOffGrid(): number {
    let count = 0;
    this.#index.chains.forEach((chain, i) => (count += this.#leastOffGridOf(chain, i)));
    return count;
  }

  /** With one section open, it is tried out; most walls leave the same question, so answers are kept. */
  #leastOffGridOf({ sections }: IndexedChain, index: number): number {
    const { step, pitch, reach } = this.#problem.tools;
    const sizes = sections.map((each) => this.#values[each]);
    const open = sections.filter((each) => this.#values[each] === undefined);
    const [only] = open;
    const section = only === undefined ? undefined : this.#problem.sections[only];
    if (open.length !== 1 || !section || this.#decided.onPitch[only ?? 0])
      return leastOffGrid({ sizes, pitch, reach });
    const key = `${index} ${sizes.join(' ')}`;
    const known = this.#leastOffGrid.get(key);
    if (known !== undefined) return known;
    const others = this.#sumOf(sections);
    let fewest = Infinity;
    const first = Math.ceil((section.least + others) / step) * step - others;
    for (let value = first; value <= section.most && fewest > 0; value += step)
      fewest = Math.min(
        fewest,
        leastOffGrid({ sizes: sizes.map((size) => size ?? value), pitch, reach }),
      );
    this.#leastOffGrid.set(key, fewest);
    return fewest;
  }
}
