import { millimetres } from '../length/index.ts';
import { allSections, noSections, onlySection, type SectionSet } from './conflicts.ts';
import { completeChoice, type BestMarks } from './complete-choice.ts';
import { knownBound } from './known-bound.ts';
import { distanceTo, isWholeSteps } from './lattice.ts';
import { compareCosts, looseness, ownMisfit } from './marks-cost.ts';
import type { DecisionOrder, FitPair, IndexedFit, ProblemIndex } from './marks-index.ts';
import type { MarksCost, MarksProblem, Section } from './marks-problem.ts';
import type { PairBound } from './pair-bound.ts';
import { PartialChoice, type SearchedProblem, type SearchGrid } from './partial-choice.ts';
import { isBetweenEdges, sectionValues } from './section-values.ts';

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
  /** 1 for what ought to be whole grooves and isn't. */
  readonly offGrooves: 0 | 1;
  /** Whether it will do only where every score is on a groove. */
  readonly isBetweenEdges: boolean;
  readonly fromTarget: number;
}

/** What only a fit decides is looked for near its target, where the gap is likely to be in range. */
function compareCandidates(a: Candidate, b: Candidate): number {
  return (
    a.unfit - b.unfit ||
    // What will do only with every score on a groove seldom does.
    Number(a.isBetweenEdges) - Number(b.isBetweenEdges) ||
    a.offGrooves - b.offGrooves ||
    a.deviation - b.deviation ||
    a.fromTarget - b.fromTarget
  );
}

/** How far beyond its budget a search goes that has found nothing: off the grooves something is found soon. */
const lastResort = { onGrooves: 60, offGrooves: 300 };

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
 * Depth-first search over the sections of one problem, best candidates first, cut off as soon as what is
 * already decided costs as much as the best complete choice. Every candidate inside the sections' ranges
 * is either tried or surely worse, so the result is exact, unless the budget runs out first: that takes
 * more pieces tied to one another than a box and its lid.
 */
export class MarksSearch {
  readonly #problem: MarksProblem;
  readonly #index: ProblemIndex;
  readonly #decided: DecisionOrder;
  readonly #where: SearchGrid;
  readonly #offGrooves: boolean;
  readonly #choice: PartialChoice;
  readonly #budget: SearchBudget;
  readonly #aim: SearchAim;
  /** No gaps more out of range than this are looked at. */
  readonly #most: number;
  /** Whether the last candidates are fewer for what is decided already costs so much. */
  #isCostly = false;
  /** How many of the decided sections will do only where every score is on a groove. */
  #betweenEdges = 0;
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
    this.#where = where;
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

  /** Decides the section at a depth and all behind it. Gives which of those decided before leave no more to find. */
  #decide(
    depth: number,
    unfit: number,
    deviation: number,
    known: Bounds,
    first: boolean,
  ): SectionSet {
    this.#budget.left--;
    this.#budget.looked++;
    // With nothing found yet it goes on a little: something is far better than nothing.
    if (this.#budget.left < (this.best || this.#most === 0 ? 0 : -this.#beyond()))
      return allSections;
    const bounds = depth === this.#decided.wholeGrooves ? this.#boundRemainders() : known;
    const least = deviation + (bounds.deviation[depth] ?? 0) + this.#toHold(bounds.pairs);
    if (!this.#canImprove(Math.max(unfit, bounds.unfit), least))
      return this.#againstHolding(bounds.pairs);
    const at = this.#decided.order[depth];
    const section = at === undefined ? undefined : this.#problem.sections[at];
    if (at === undefined || !section) {
      this.#complete(unfit, deviation);
      return allSections;
    }
    const unfitBound = Math.max(unfit, bounds.unfit);
    const deviationBound = deviation + (bounds.deviation[depth + 1] ?? 0);
    const candidates = this.#candidates(at, section, unfit, unfitBound, deviationBound);
    let against = this.#isCostly ? allSections : this.#choice.decidedBearingOn(onlySection(at));
    for (const candidate of candidates) {
      const nextUnfit = unfit + candidate.unfit;
      const nextDeviation = deviation + candidate.deviation;
      if (candidate.isBetweenEdges) this.#betweenEdges++;
      const againstThis = this.#choice.decide(at, candidate.value)
        ? this.#decide(depth + 1, nextUnfit, nextDeviation, bounds, first)
        : this.#choice.againstDeciding(at);
      this.#choice.reopen(at);
      if (candidate.isBetweenEdges) this.#betweenEdges--;
      if (first && this.best) return allSections;
      // Whatever else this section may be, the same ones stand in the way.
      if ((againstThis & onlySection(at)) === 0) return againstThis;
      against |= againstThis;
    }
    return against & ~onlySection(at);
  }

  /** Of the decided sections, those that leave some group of fits nothing that holds; all of them where none does. */
  #againstHolding(bounds: readonly PairBound[]): SectionSet {
    if (this.#allowed() > 0) return allSections;
    for (const group of this.#index.groups) {
      const isHeld =
        this.#unfitOfGroup(group, bounds) === 0 && this.#toHoldGroup(group, bounds) < Infinity;
      if (isHeld) continue;
      let sections = noSections;
      for (const i of group) {
        const pair = this.#index.pairs[i];
        if (pair) sections |= onlySection(pair.outerAt) | onlySection(pair.innerAt);
      }
      return this.#choice.decidedBearingOn(sections);
    }
    return allSections;
  }

  /**
   * What it costs beyond the bounds that one pair of each group must hold: nothing once one does,
   * infinitely much when none can any more.
   */
  #toHold(bounds: readonly PairBound[]): number {
    const allowed = this.#allowed();
    if (allowed === Infinity) return 0;
    let sum = 0;
    for (const group of this.#index.groups) sum += this.#toHoldGroup(group, bounds);
    return sum;
  }

  #toHoldGroup(group: readonly number[], bounds: readonly PairBound[]): number {
    const allowed = this.#allowed();
    let least = Infinity;
    for (const i of group) {
      const pair = this.#index.pairs[i];
      const bound = bounds[i];
      if (pair && bound) least = Math.min(least, this.#toHoldPair(pair, bound, allowed));
    }
    return least;
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

  #boundUnfit(bounds: readonly PairBound[]): number {
    let unfit = 0;
    for (const group of this.#index.groups) unfit += this.#unfitOfGroup(group, bounds);
    return unfit;
  }

  /** Every pair costs what it must by itself, and one pair of each group is the closest. */
  #unfitOfGroup(group: readonly number[], bounds: readonly PairBound[]): number {
    let unfit = 0;
    let more = Infinity;
    for (const i of group) {
      const bound = bounds[i];
      if (!bound) continue;
      unfit += bound.own;
      more = Math.min(more, bound.closest - bound.own);
    }
    return unfit + more;
  }

  #boundPair(pair: FitPair): PairBound {
    return knownBound(pair, {
      outer: this.#choice.latticeOf(pair.outerAt),
      inner: this.#choice.latticeOf(pair.innerAt),
      reach: this.#choice.reachOf(pair),
      lean: this.#problem.lean,
      // A gap that is tighter than the best choice allows leads nowhere, so it sets no bound.
      allowed: this.#allowed(),
    });
  }

  #valuesFor(at: number): readonly number[] {
    return sectionValues(at, {
      problem: this.#problem,
      order: this.#decided,
      where: this.#where,
      choice: this.#choice,
    });
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
    const { tools } = this.#problem;
    const mayBeOff = this.#offGrooves && this.#decided.onPitch[at] === true;
    const isFree = mayBeOff && this.#choice.madeAlready(at) === undefined;
    this.#isCostly = false;
    for (const value of this.#valuesFor(at)) {
      let unfit = 0;
      const fromTarget = Math.abs(value - section.target);
      let deviation = fromTarget * section.weight;
      for (const fit of fits) {
        const outer = fit.outerAt === at ? value : (this.#choice.values[fit.outerAt] ?? 0);
        const inner = fit.innerAt === at ? value : (this.#choice.values[fit.innerAt] ?? 0);
        const gap = outer - fit.innerTimes * inner - fit.layers;
        unfit += ownMisfit(gap, fit, this.#problem.lean);
        deviation += Math.abs(gap - fit.gap.target);
      }
      if (unfit > allowed) continue;
      // With its unfit at the bound, only deviation can still tell, unless scores can come onto grooves.
      const isTooFar =
        cost !== undefined &&
        unfitBound >= cost.unfit &&
        isOnGrooves(cost) &&
        deviationBound + deviation > cost.deviation;
      if (isTooFar || unfitSoFar + unfit > allowed) {
        this.#isCostly = true;
        continue;
      }
      candidates.push({
        value,
        unfit,
        deviation,
        offGrooves: mayBeOff && !isWholeSteps(value, tools.pitch) ? 1 : 0,
        isBetweenEdges: isFree && isBetweenEdges(value, tools),
        fromTarget,
      });
    }
    return candidates.sort(compareCandidates);
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
    if (this.#betweenEdges > 0 && complete.cost.offGrid > 0) return;
    if (this.best && compareCosts(complete.cost, this.best.cost) >= 0) return;
    if (!this.best) this.#budget.left = Math.min(this.#budget.left, this.#budget.toImprove);
    this.best = complete;
    this.#choice.allow(complete.cost.unfit);
  }
}
