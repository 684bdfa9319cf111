import { millimetres } from '../length/index.ts';
import { completeChoice, type BestMarks } from './complete-choice.ts';
import { distanceTo, greatestCommonDivisor, valuesWithin, type Lattice } from './lattice.ts';
import { isSettled } from './made-already.ts';
import { compareCosts, looseness, ownMisfit } from './marks-cost.ts';
import type { DecisionOrder, FitPair, IndexedFit, ProblemIndex } from './marks-index.ts';
import type { MarksCost, MarksProblem, Section } from './marks-problem.ts';
import { anywhere, boundPair, meetsWanted, type PairBound } from './pair-bound.ts';
import {
  PartialChoice,
  type OpenChain,
  type SearchedProblem,
  type SearchGrid,
} from './partial-choice.ts';

/** The least that the undecided sections must still cost. */
interface Bounds {
  readonly unfit: number;
  /** By depth of the search: the least deviation of all sections from there on. */
  readonly deviation: readonly number[];
  /** For each pair of fits. */
  readonly pairs: readonly PairBound[];
}

interface Candidate {
  readonly value: number;
  readonly unfit: number;
  readonly deviation: number;
}

/** How far beyond its budget a search goes that has found nothing: off the grooves something is found soon. */
const lastResort = { onGrooves: 60, offGrooves: 600 };

/** Whether every score is on a groove as it is, turned once at most, so that only deviation is left to improve. */
function isOnGrooves({ offGrid, shims, turns }: MarksCost): boolean {
  return offGrid === 0 && shims === 0 && turns === 0;
}

/**
 * What a search is after: any choice whose gaps are all in range, the best of those, the best that errs to the
 * side it is to lean to and by no more than a maker could pack or ease, or the best of all.
 */
export type SearchAim = 'any holding' | 'best holding' | 'best leaning' | 'best';

/** How far out of range gaps may be in all, by what a search is after; what leans away counts a thousandfold. */
const mostUnfit: Readonly<Record<SearchAim, number>> = {
  'any holding': 0,
  'best holding': 0,
  'best leaning': millimetres(9),
  best: Infinity,
};

/** How many choices a search looks at before it takes the best that it has found. */
export interface SearchBudget {
  left: number;
  /** How many of them at the most once it has found something. */
  readonly toImprove: number;
  /** How many it has looked at. */
  looked: number;
}

/**
 * How finely two lattices can be apart. A sheet on its corner stands so many times √2 of its marks wide: with a
 * straight piece it has no marks in common, and together they come as near to anything as there is.
 */
function stepBetween(outer: number, inner: number): number {
  if (Number.isInteger(inner)) return greatestCommonDivisor(outer, inner);
  return outer === 0 ? inner : 1;
}

/** Whether a value leaves the chains that it completes on the trimmer's marks. */
function isCutOnMarks(value: number, chains: readonly OpenChain[], step: number): boolean {
  for (const { others, times } of chains) if ((others + times * value) % step !== 0) return false;
  return true;
}

/**
 * Depth-first search over the sections of one problem, best candidates first, cut off as soon as what is
 * already decided costs as much as the best complete choice. Every candidate inside the sections' ranges
 * is either tried or surely worse, so the result is exact, unless the budget runs out first: that takes
 * more pieces tied to one another than a box and its lid.
 */
export class MarksSearch {
  readonly #problem: MarksProblem;
  readonly #index: ProblemIndex;
  readonly #decided: DecisionOrder;
  readonly #offGrooves: boolean;
  readonly #choice: PartialChoice;
  readonly #budget: SearchBudget;
  readonly #aim: SearchAim;
  /** No gaps more out of range than this are looked at. */
  readonly #most: number;
  best: BestMarks | undefined;

  constructor(
    searched: SearchedProblem,
    order: DecisionOrder,
    where: SearchGrid,
    best: BestMarks | undefined,
    budget: SearchBudget,
    aim: SearchAim,
  ) {
    this.#budget = budget;
    this.#aim = aim;
    this.#most = mostUnfit[aim];
    this.#problem = searched.problem;
    this.#index = searched.index;
    this.#decided = order;
    this.#offGrooves = where === 'off grooves';
    this.#choice = new PartialChoice(searched, order, where);
    this.best = best;
  }

  run(): BestMarks | undefined {
    if (!this.#choice.allow(this.#allowed()) || !this.#hasValues()) return this.best;
    // The first complete choice is good, and with it at hand the bounds are close from the start.
    if (!this.best) this.#decide(0, 0, 0, this.#boundRemainders(), true);
    if (this.#aim === 'any holding' && this.best) return this.best;
    const bounds = this.#boundRemainders();
    // All on grooves has been tried, and off them nothing can fit better: the gaps stay what they are.
    const isSettled =
      this.#offGrooves &&
      this.best !== undefined &&
      isOnGrooves(this.best.cost) &&
      bounds.unfit >= this.best.cost.unfit;
    if (this.best && !isSettled) this.#decide(0, 0, 0, bounds, false);
    return this.best;
  }

  #beyond(): number {
    if (this.#most < Infinity) return 0;
    return this.#offGrooves ? lastResort.offGrooves : lastResort.onGrooves;
  }

  /** How far out of range gaps may be in all. */
  #allowed(): number {
    return this.best?.cost.unfit ?? this.#most;
  }

  /** Whether the tools have any value at all for every section that must be whole grooves. */
  #hasValues(): boolean {
    return this.#problem.sections.every(
      (_, at) => !this.#decided.onPitch[at] || this.#valuesFor(at).length > 0,
    );
  }

  #decide(depth: number, unfit: number, deviation: number, known: Bounds, first: boolean): void {
    this.#budget.left--;
    this.#budget.looked++;
    // With nothing found yet it goes on a little: something is far better than nothing.
    if (this.#budget.left < (this.best || this.#most === 0 ? 0 : -this.#beyond())) return;
    const bounds = depth === this.#decided.wholeGrooves ? this.#boundRemainders() : known;
    const least = deviation + (bounds.deviation[depth] ?? 0) + this.#toHold(bounds.pairs);
    if (!this.#canImprove(Math.max(unfit, bounds.unfit), least)) return;
    const at = this.#decided.order[depth];
    const section = at === undefined ? undefined : this.#problem.sections[at];
    if (at === undefined || !section) {
      this.#complete(unfit, deviation);
      return;
    }
    const unfitBound = Math.max(unfit, bounds.unfit);
    const deviationBound = deviation + (bounds.deviation[depth + 1] ?? 0);
    for (const candidate of this.#candidates(at, section, unfit, unfitBound, deviationBound)) {
      const nextUnfit = unfit + candidate.unfit;
      const nextDeviation = deviation + candidate.deviation;
      if (this.#choice.decide(at, candidate.value))
        this.#decide(depth + 1, nextUnfit, nextDeviation, bounds, first);
      this.#choice.reopen(at);
      if (first && this.best) return;
    }
  }

  /**
   * What it costs beyond the bounds that one pair of each group must hold: nothing once one does,
   * infinitely much when none can any more.
   */
  #toHold(bounds: readonly PairBound[]): number {
    const allowed = this.#allowed();
    if (allowed === Infinity) return 0;
    let sum = 0;
    for (const group of this.#index.groups) {
      let least = Infinity;
      for (const i of group) {
        const pair = this.#index.pairs[i];
        const bound = bounds[i];
        if (pair && bound) least = Math.min(least, this.#toHoldPair(pair, bound, allowed));
      }
      sum += least;
    }
    return sum;
  }

  #toHoldPair(pair: FitPair, bound: PairBound, allowed: number): number {
    const outer = this.#choice.values[pair.outerAt];
    const inner = this.#choice.values[pair.innerAt];
    if (outer === undefined || inner === undefined) return bound.heldDeviation - bound.deviation;
    const apart = outer - pair.innerTimes * inner;
    const loose = looseness(pair.fits, (fit) => apart - fit.layers, this.#problem.lean);
    return loose <= allowed ? 0 : Infinity;
  }

  #canImprove(unfit: number, deviation: number): boolean {
    if (deviation === Infinity) return false;
    if (!this.best) return unfit <= this.#most;
    const { cost } = this.best;
    if (unfit !== cost.unfit) return unfit < cost.unfit;
    if (isOnGrooves(cost) && deviation > cost.deviation) return false;
    // On whole grooves only a board that is too short leaves a score off, and the leaf tells that.
    if (cost.offGrid === 0 && !this.#offGrooves) return true;
    const offGrid = this.#choice.surelyOffGrid(cost.offGrid);
    if (offGrid !== cost.offGrid) return offGrid < cost.offGrid;
    // Fewer shims are better still, and fewer turns, whatever they cost in deviation.
    return cost.shims > 0 || cost.turns > 0 || deviation <= cost.deviation;
  }

  /**
   * What the undecided sections must cost at the least. Once the whole-groove sections are decided, every
   * remainder is known up to whole trimmer steps, and so is every gap: then these bounds are close.
   */
  #boundRemainders(): Bounds {
    const gapDeviation = this.#decided.order.map(() => 0);
    const pairs = this.#index.pairs.map((pair) => this.#boundPair(pair));
    // A gap is decided with the later of its two sections.
    pairs.forEach((bound, i) => {
      const depth = this.#decided.pairDecidedAt[i] ?? 0;
      gapDeviation[depth] = (gapDeviation[depth] ?? 0) + bound.deviation;
    });
    const deviation = this.#decided.order.map(() => 0);
    deviation.push(0);
    for (let depth = this.#decided.order.length - 1; depth >= 0; depth--) {
      const at = this.#decided.order[depth] ?? 0;
      const section = this.#problem.sections[at];
      let least = gapDeviation[depth] ?? 0;
      if (section && section.weight > 0)
        least += section.weight * distanceTo(this.#choice.latticeOf(at), section.target);
      deviation[depth] = (deviation[depth + 1] ?? 0) + least;
    }
    return {
      unfit: this.#boundUnfit(pairs),
      deviation,
      pairs,
    };
  }

  /** Every pair costs what it must by itself, and one pair of each group is the closest. */
  #boundUnfit(bounds: readonly PairBound[]): number {
    let unfit = 0;
    for (const group of this.#index.groups) {
      let more = Infinity;
      for (const i of group) {
        const bound = bounds[i];
        if (!bound) continue;
        unfit += bound.own;
        more = Math.min(more, bound.closest - bound.own);
      }
      unfit += more;
    }
    return unfit;
  }

  /** The least misfit and deviation of a pair over all the differences that its sections can still have. */
  #boundPair(pair: FitPair): PairBound {
    // A gap that is tighter than the best choice allows leads nowhere, so it sets no bound.
    const allowed = this.#allowed();
    const outer = this.#choice.latticeOf(pair.outerAt);
    const one = this.#choice.latticeOf(pair.innerAt);
    const inner = { residue: pair.innerTimes * one.residue, step: pair.innerTimes * one.step };
    const step = stepBetween(outer.step, inner.step);
    const apart = outer.residue - inner.residue;
    const residue = step === 0 ? apart : ((apart % step) + step) % step;
    const reach = this.#choice.reachOf(pair);
    if (!meetsWanted(pair.fits, reach))
      return boundPair(pair.fits, {
        apart: { residue, step },
        reach,
        lean: this.#problem.lean,
        allowed,
      });
    // Most walls leave the same remainder, so few of these differ.
    const sameResidue = pair.bounds.get(residue) ?? [];
    const known = sameResidue.find((each) => each.step === step && each.allowed === allowed);
    if (known) return known.bound;
    const bound = boundPair(pair.fits, {
      apart: { residue, step },
      reach: anywhere,
      lean: this.#problem.lean,
      allowed,
    });
    pair.bounds.set(residue, [...sameResidue, { step, allowed, bound }]);
    return bound;
  }

  /** Values that the tools allow for a section, given those already decided. */
  #valuesFor(at: number): readonly number[] {
    const { step, pitch, shim } = this.#problem.tools;
    const { least, most } = this.#choice.rangeOf(at);
    const made = this.#choice.madeAlready(at);
    if (made !== undefined) return this.#mayBe(at, made) ? [made] : [];
    if (!this.#decided.onPitch[at]) {
      const residue = this.#choice.latticeOf(at).residue % step;
      return valuesWithin({ residue, step }, least, most);
    }
    const onGrooves = valuesWithin({ residue: 0, step: pitch }, least, most);
    if (!this.#offGrooves) return onGrooves;
    const values = new Set(onGrooves);
    const add = (lattice: Lattice) => {
      for (const value of valuesWithin(lattice, least, most)) values.add(value);
    };
    add({ residue: 0, step });
    if (shim !== undefined) {
      // A section lies before a shimmed score, behind one, or between one and a groove.
      add({ residue: pitch - (shim % pitch), step: pitch });
      add({ residue: shim % pitch, step: pitch });
    }
    return [...values];
  }

  /**
   * Whether a section whose size is made already may have it: on grooves, whole grooves only. That it is in its
   * range has been seen by then.
   */
  #mayBe(at: number, made: number): boolean {
    const section = this.#problem.sections[at];
    if (!section || !Number.isInteger(made)) return false;
    const isOff = this.#decided.onPitch[at] && made % this.#problem.tools.pitch !== 0;
    return isSettled(section) || this.#offGrooves || !isOff;
  }

  /** What each value adds to the cost; those that already cost too much are left out. Best first. */
  #candidates(
    at: number,
    section: Section,
    unfitSoFar: number,
    unfitBound: number,
    deviationBound: number,
  ): readonly Candidate[] {
    const cost = this.best?.cost;
    const allowed = this.#allowed();
    const fits: IndexedFit[] = [];
    for (const fit of this.#index.ties[at]?.fits ?? []) {
      const other = fit.outerAt === at ? fit.innerAt : fit.outerAt;
      if (this.#choice.values[other] !== undefined) fits.push(fit);
    }
    const candidates: Candidate[] = [];
    const { step } = this.#problem.tools;
    const chains = this.#choice.openOnlyAt(at);
    for (const value of this.#valuesFor(at)) {
      if (!isCutOnMarks(value, chains, step)) continue;
      let unfit = 0;
      let deviation = Math.abs(value - section.target) * section.weight;
      for (const fit of fits) {
        const outer = fit.outerAt === at ? value : (this.#choice.values[fit.outerAt] ?? 0);
        const inner = fit.innerAt === at ? value : (this.#choice.values[fit.innerAt] ?? 0);
        const gap = outer - fit.innerTimes * inner - fit.layers;
        unfit += ownMisfit(gap, fit, this.#problem.lean);
        deviation += Math.abs(gap - fit.gap.target);
      }
      if (unfitSoFar + unfit > allowed) continue;
      if (cost) {
        // With its unfit at the bound, only deviation can still tell, unless scores can come onto grooves.
        const isBound = unfitBound >= cost.unfit;
        if (isBound && isOnGrooves(cost) && deviationBound + deviation > cost.deviation) continue;
      }
      candidates.push({ value, unfit, deviation });
    }
    if (candidates.length < 2) return candidates;
    // What only a fit decides is looked for near its target, where the gap is likely to be in range.
    const { target } = section;
    const { pitch } = this.#problem.tools;
    const isOff = (value: number) => Number(this.#offGrooves && value % pitch !== 0);
    const wantsGrooves = this.#decided.onPitch[at] === true;
    return candidates.sort(
      (a, b) =>
        a.unfit - b.unfit ||
        (wantsGrooves ? isOff(a.value) - isOff(b.value) : 0) ||
        a.deviation - b.deviation ||
        Math.abs(a.value - target) - Math.abs(b.value - target),
    );
  }

  #complete(apiece: number, deviation: number): void {
    const complete = completeChoice(
      this.#problem,
      this.#index,
      this.#choice.values,
      { apiece, deviation },
      this.best?.cost,
    );
    if (!complete || complete.cost.unfit > this.#allowed()) return;
    if (this.best && compareCosts(complete.cost, this.best.cost) >= 0) return;
    if (!this.best) this.#budget.left = Math.min(this.#budget.left, this.#budget.toImprove);
    this.best = complete;
    this.#choice.allow(complete.cost.unfit);
  }
}
