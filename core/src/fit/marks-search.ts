import { nanometres } from '../length/index.ts';
import { compareCosts, looseness, tightness } from './marks-cost.ts';
import type { ChainMarks, Fit, MarksCost, MarksProblem, Section } from './marks-problem.ts';
import { greatestCommonDivisor, valuesAround, type Lattice } from './lattice.ts';
import { boundPair, type PairBound } from './pair-bound.ts';
import { readChain } from './readings.ts';

/** A chain with its sections as indices. */
interface IndexedChain {
  readonly id: string;
  readonly sections: readonly number[];
}

interface IndexedFit extends Fit {
  readonly outerAt: number;
  readonly innerAt: number;
}

/** Fits between the same two sections: their gaps differ by what lies between, and move together. */
interface FitPair {
  readonly group: string;
  readonly outerAt: number;
  readonly innerAt: number;
  readonly fits: readonly IndexedFit[];
  /** The depth of the search at which the second of the two is decided. */
  readonly decidedAt: number;
  /** What is known already, by how far apart the two can be. */
  readonly bounds: Map<string, PairBound>;
}

/** The least that the undecided sections must still cost. */
interface Bounds {
  readonly unfit: number;
  /** By depth of the search: the least deviation of all sections from there on. */
  readonly deviation: readonly number[];
}

interface Candidate {
  readonly value: number;
  readonly unfit: number;
  readonly deviation: number;
}

/** The best complete choice so far: section values in the problem's order. */
export interface BestMarks {
  readonly values: readonly number[];
  readonly chains: readonly ChainMarks[];
  readonly cost: MarksCost;
}

/**
 * Depth-first search over the sections of one problem, best candidates first, cut off as soon as what is
 * already decided costs as much as the best complete choice. Every candidate inside the sections' ranges
 * is either tried or surely worse, so the result is exact.
 */
export class MarksSearch {
  readonly #problem: MarksProblem;
  readonly #chains: readonly IndexedChain[];
  readonly #fits: readonly IndexedFit[];
  readonly #pairs: readonly FitPair[];
  readonly #order: readonly number[];
  readonly #onPitch: readonly boolean[];
  /** For each section, the rest of the first chain that it stands in. */
  readonly #others: readonly (readonly number[])[];
  readonly #wholeGrooves: number;
  readonly #offGrooves: boolean;
  readonly #values: (number | undefined)[];
  best: BestMarks | undefined;

  constructor(
    problem: MarksProblem,
    onPitch: ReadonlySet<string>,
    offGrooves: boolean,
    best: BestMarks | undefined,
  ) {
    const at = new Map(problem.sections.map((section, i) => [section.id, i]));
    const indexOf = (id: string) => {
      const index = at.get(id);
      if (index === undefined) throw new Error(`No section ${id} in this problem`);
      return index;
    };
    this.#problem = problem;
    this.#chains = problem.chains.map(({ id, sections }) => ({
      id,
      sections: sections.map(indexOf),
    }));
    this.#fits = problem.fits.map((fit) => ({
      ...fit,
      outerAt: indexOf(fit.outer),
      innerAt: indexOf(fit.inner),
    }));
    this.#onPitch = problem.sections.map(({ id }) => onPitch.has(id));
    this.#others = problem.sections.map((_, i) => {
      const chain = this.#chains.find(({ sections }) => sections.includes(i));
      return chain?.sections.filter((each) => each !== i) ?? [];
    });
    // Remainders are known only once the rest of their chain is.
    this.#order = problem.sections
      .map((_, i) => i)
      .sort((a, b) => Number(this.#onPitch[b]) - Number(this.#onPitch[a]) || a - b);
    this.#wholeGrooves = this.#onPitch.filter(Boolean).length;
    this.#pairs = this.#fits
      .filter(
        (fit, i, all) =>
          all.findIndex(
            (other) =>
              other.group === fit.group && other.outer === fit.outer && other.inner === fit.inner,
          ) === i,
      )
      .map(({ group, outer, inner, outerAt, innerAt }) => ({
        group,
        outerAt,
        innerAt,
        fits: this.#fits.filter(
          (fit) => fit.group === group && fit.outer === outer && fit.inner === inner,
        ),
        decidedAt: Math.max(this.#order.indexOf(outerAt), this.#order.indexOf(innerAt)),
        bounds: new Map<string, PairBound>(),
      }));
    this.#offGrooves = offGrooves;
    this.#values = problem.sections.map(() => undefined);
    this.best = best;
  }

  run(): BestMarks | undefined {
    // The first complete choice is good, and with it at hand the bounds are close from the start.
    if (!this.best) this.#decide(0, 0, 0, this.#boundRemainders(), true);
    if (this.best) this.#decide(0, 0, 0, this.#boundRemainders(), false);
    return this.best;
  }

  #decide(depth: number, unfit: number, deviation: number, known: Bounds, first: boolean): void {
    const bounds = depth === this.#wholeGrooves ? this.#boundRemainders() : known;
    if (
      !this.#canImprove(Math.max(unfit, bounds.unfit), deviation + (bounds.deviation[depth] ?? 0))
    )
      return;
    const at = this.#order[depth];
    const section = at === undefined ? undefined : this.#problem.sections[at];
    if (at === undefined || !section) {
      this.#complete(unfit, deviation);
      return;
    }
    for (const candidate of this.#candidates(at, section)) {
      this.#values[at] = candidate.value;
      const nextUnfit = unfit + candidate.unfit;
      const nextDeviation = deviation + candidate.deviation;
      if (this.#isPossible()) this.#decide(depth + 1, nextUnfit, nextDeviation, bounds, first);
      this.#values[at] = undefined;
      if (first && this.best) return;
    }
  }

  #canImprove(unfit: number, deviation: number): boolean {
    if (!this.best) return true;
    const { cost } = this.best;
    if (unfit !== cost.unfit) return unfit < cost.unfit;
    if (cost.offGrid === 0 && deviation > cost.deviation) return false;
    const offGrid = this.#surelyOffGrid();
    if (offGrid !== cost.offGrid) return offGrid < cost.offGrid;
    return deviation <= cost.deviation;
  }

  #latticeOf(at: number): Lattice {
    const value = this.#values[at];
    if (value !== undefined) return { residue: value, step: 0 };
    const { step, pitch } = this.#problem.tools;
    if (this.#onPitch[at] && !this.#offGrooves) return { residue: 0, step: pitch };
    const others = this.#others[at] ?? [];
    if (this.#onPitch[at] || others.some((each) => this.#values[each] === undefined))
      return { residue: 0, step: greatestCommonDivisor(pitch, step) };
    return { residue: -this.#sumOf(others), step };
  }

  /**
   * What the undecided sections must cost at the least. Once the whole-groove sections are decided, every
   * remainder is known up to whole trimmer steps, and so is every gap: then these bounds are close.
   */
  #boundRemainders(): Bounds {
    const groups = new Map<string, number>();
    const gapDeviation = this.#order.map(() => 0);
    for (const pair of this.#pairs) {
      const bound = this.#boundPair(pair);
      // One pair that holds is enough for its group.
      groups.set(pair.group, Math.min(groups.get(pair.group) ?? Infinity, bound.unfit));
      // A gap is decided with the later of its two sections.
      gapDeviation[pair.decidedAt] = (gapDeviation[pair.decidedAt] ?? 0) + bound.deviation;
    }
    const deviation = this.#order.map(() => 0);
    deviation.push(0);
    for (let depth = this.#order.length - 1; depth >= 0; depth--) {
      const at = this.#order[depth] ?? 0;
      const section = this.#problem.sections[at];
      let least = gapDeviation[depth] ?? 0;
      if (section && section.weight > 0) {
        const nearest = valuesAround(this.#latticeOf(at), section.target, section.target);
        least +=
          section.weight * Math.min(...nearest.map((value) => Math.abs(value - section.target)));
      }
      deviation[depth] = (deviation[depth + 1] ?? 0) + least;
    }
    return {
      unfit: [...groups.values()].reduce((sum, each) => sum + each, 0),
      deviation,
    };
  }

  /** The least misfit and deviation of a pair over all the differences that its sections can still have. */
  #boundPair(pair: FitPair): PairBound {
    // A gap that is tighter than the best choice allows leads nowhere, so it sets no bound.
    const allowed = this.best?.cost.unfit ?? Infinity;
    const outer = this.#latticeOf(pair.outerAt);
    const inner = this.#latticeOf(pair.innerAt);
    const step = greatestCommonDivisor(outer.step, inner.step);
    const apart = outer.residue - inner.residue;
    const residue = step === 0 ? apart : ((apart % step) + step) % step;
    // Most walls leave the same remainder, so few of these differ.
    const key = `${residue} ${step} ${allowed}`;
    const known = pair.bounds.get(key);
    if (known) return known;
    const bound = boundPair(pair.fits, { residue, step }, this.#problem.lean, allowed);
    pair.bounds.set(key, bound);
    return bound;
  }

  /** Values that the tools allow for a section, given those already decided, best first. */
  #candidates(at: number, section: Section): readonly Candidate[] {
    const { step, pitch } = this.#problem.tools;
    const values = new Set<number>();
    const addEvery = (increment: number, residue: number) => {
      const first = Math.ceil((section.least - residue) / increment) * increment + residue;
      for (let value = first; value <= section.most; value += increment) values.add(value);
    };
    if (this.#onPitch[at]) {
      addEvery(pitch, 0);
      if (this.#offGrooves) addEvery(step, 0);
    } else {
      addEvery(step, this.#latticeOf(at).residue % step);
    }
    const fits = this.#fits.filter(({ outerAt, innerAt }) => {
      if (outerAt === innerAt) return false;
      if (outerAt === at) return this.#values[innerAt] !== undefined;
      return innerAt === at && this.#values[outerAt] !== undefined;
    });
    return [...values]
      .map((value): Candidate => {
        let unfit = 0;
        let deviation = Math.abs(value - section.target) * section.weight;
        for (const fit of fits) {
          const outer = fit.outerAt === at ? value : (this.#values[fit.outerAt] ?? 0);
          const inner = fit.innerAt === at ? value : (this.#values[fit.innerAt] ?? 0);
          const gap = outer - inner - fit.layers;
          unfit += tightness(gap, fit.gap, this.#problem.lean);
          deviation += Math.abs(gap - fit.gap.target);
        }
        return { value, unfit, deviation };
      })
      .sort((a, b) => a.unfit - b.unfit || a.deviation - b.deviation || a.value - b.value);
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
  #isPossible(): boolean {
    const { step } = this.#problem.tools;
    for (const chain of this.#chains)
      if (this.#isDecided(chain) && this.#sumOf(chain.sections) % step !== 0) return false;
    for (const [lower, upper] of this.#problem.notLarger) {
      const low = this.#valueOf(lower);
      const high = this.#valueOf(upper);
      if (low !== undefined && high !== undefined && low > high) return false;
    }
    return this.#problem.limits.every((limit) => {
      const across = this.#chainSum(limit.across);
      const down = this.#chainSum(limit.down);
      const straight = across <= limit.width && down <= limit.height;
      return straight || (limit.mayTurn && across <= limit.height && down <= limit.width);
    });
  }

  #valueOf(id: string): number | undefined {
    return this.#values[this.#problem.sections.findIndex((section) => section.id === id)];
  }

  #chainSum(id: string): number {
    const chain = this.#chains.find((each) => each.id === id);
    return chain ? this.#sumOf(chain.sections) : 0;
  }

  /** Scores that no later decision can bring onto a groove within reach. */
  #surelyOffGrid(): number {
    const { pitch, reach } = this.#problem.tools;
    let count = 0;
    for (const { sections } of this.#chains) {
      const whole = this.#sumOf(sections);
      const undecided = sections.filter((each) => this.#values[each] === undefined).length;
      let before = 0;
      let undecidedBefore = 0;
      // Scores before the turn are read from the start, the others from the end: at first all from the end.
      let fewest = 0;
      let change = 0;
      for (const each of sections.slice(0, -1)) {
        before += this.#values[each] ?? 0;
        if (this.#values[each] === undefined) undecidedBefore++;
        const after = whole - before;
        const offFromStart = before > reach || (undecidedBefore === 0 && before % pitch !== 0);
        const offFromEnd = after > reach || (undecidedBefore === undecided && after % pitch !== 0);
        count += Number(offFromEnd);
        change += Number(offFromStart) - Number(offFromEnd);
        fewest = Math.min(fewest, change);
      }
      count += fewest;
    }
    return count;
  }

  #complete(tight: number, deviation: number): void {
    const { fits, lean, tools } = this.#problem;
    const values = this.#values.map((value) => nanometres(value ?? 0));
    const groups = new Set(fits.map(({ group }) => group));
    let unfit = tight;
    for (const group of groups) {
      const members = this.#fits.filter((fit) => fit.group === group);
      unfit += looseness(
        members.map((fit) => (values[fit.outerAt] ?? 0) - (values[fit.innerAt] ?? 0) - fit.layers),
        members.map((fit) => fit.gap),
        lean,
      );
    }
    const chains = this.#chains.map(({ id, sections }) =>
      readChain(
        id,
        sections.map((each) => values[each] ?? nanometres(0)),
        tools,
      ),
    );
    const readings = chains.flatMap(({ scores }) => scores);
    const cost: MarksCost = {
      unfit,
      offGrid: readings.filter(({ onGroove }) => !onGroove).length,
      deviation,
      settings: new Set(readings.map(({ reading }) => reading)).size,
      size: chains.reduce((sum, { cut }) => sum + cut, 0),
    };
    if (!this.best || compareCosts(cost, this.best.cost) < 0) this.best = { values, chains, cost };
  }
}
