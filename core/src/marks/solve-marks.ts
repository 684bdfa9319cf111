import { plus, times } from '../length/index.ts';
import { componentsOf } from './components.ts';
import type { MarksProblem, MarkTools } from './marks-problem.ts';
import { partThatHolds, together, type MarksSolution, type SolvedPart } from './marks-solution.ts';
import { readAgain, type BestMarks } from './complete-choice.ts';
import {
  onThenOff,
  searchOver,
  type Budget,
  type Found,
  type Search,
  type SearchReady,
} from './search-over.ts';
import { cutSingleSection, singleSection } from './single-section.ts';
import { isSameProblem } from './same-problem.ts';
import { clipToSheets } from './sheet-limits.ts';

/**
 * Chooses section sizes, cut sizes and the edge to measure each score from, so that every section is in
 * its range, every cut is on the trimmer's marks and every piece on its sheet; then, in this order: gaps
 * in range, most scores on grooves, least deviation from the targets, fewest settings, least card.
 * Undefined when nothing within the sections' ranges fits the sheets.
 */
export function solveMarks(
  asked: MarksProblem,
  patience: Patience = 'thorough',
): MarksSolution | undefined {
  return solveInParts(inParts(asked), solvers[patience]);
}

/**
 * Solves a problem again of which a solution is known, for tools at least as fine or for the other lean:
 * the parts whose gaps are in range stay as they are.
 */
export function solveMisfits(
  asked: MarksProblem,
  known: MarksSolution,
  patience: Patience,
): MarksSolution | undefined {
  const solve = solvers[patience];
  return solveInParts(inParts(asked), (problem) => partThatHolds(known, problem) ?? solve(problem));
}

/** A problem as far as its sheets go, and its parts that bear on nothing else. */
interface InParts {
  readonly problem: MarksProblem;
  readonly parts: readonly MarksProblem[];
}

/** Undefined where a piece is larger than its sheet at its least. */
function inParts(asked: MarksProblem): InParts | undefined {
  const problem = clipToSheets(asked);
  return problem && { problem, parts: componentsOf(problem) };
}

/** Pieces that bear on nothing else are solved by themselves; only a sheet can tie them together. */
function solveInParts(split: InParts | undefined, solve: Solver): MarksSolution | undefined {
  if (!split) return undefined;
  const { problem, parts } = split;
  const apart = solveAll(parts, solve);
  // What can't be made by itself can't be made together with more.
  if (!apart || parts.length === 1 || isOnSheets(problem, apart)) return apart;
  return solveAll([problem], solve);
}

function solveAll(parts: readonly MarksProblem[], solve: Solver): MarksSolution | undefined {
  const solved: SolvedPart[] = [];
  for (const problem of parts) {
    const best = solve(problem);
    if (!best) return undefined;
    solved.push({ problem, best });
  }
  return together(solved);
}

/**
 * What is looked for, and how long where there are too many choices to try them all: the best, as long as
 * a drag can wait; anything that holds; the best where nothing is known to hold; or, roughly, anything at all,
 * which says how large a box would be.
 */
export type Patience = 'thorough' | 'holding' | 'misfit' | 'rough';

/** Up to so many combinations of sizes, the best is looked for to the end. */
const fewCombinations = 200_000;

function combinations({ sections, tools }: MarksProblem): number {
  return sections.reduce((all, { least, most }) => all * ((most - least) / tools.step + 1), 1);
}

/** Nothing but trays, wall and floor and wall each way: a box and its lid come to six sections at the most. */
function isBoxAndLid({ sections, chains }: MarksProblem): boolean {
  return sections.length <= 6 && chains.every((chain) => chain.sections.length <= 3);
}

/** For what holds, and for the best of what doesn't. */
interface Budgets {
  readonly holding: Budget;
  readonly misfit: Budget;
}

const toTheEnd: Budgets = {
  holding: { toFind: 1500, toImprove: 900 },
  misfit: { toFind: 300, toImprove: 300 },
};

const farEnough: Budgets = {
  holding: { toFind: 700, toImprove: 300 },
  misfit: { toFind: 200, toImprove: 200 },
};

/** The more sections, the longer a look at one choice takes. */
function inTime({ sections }: MarksProblem): Budgets {
  const toFind = Math.round(1350 / sections.length);
  const toImprove = Math.round(700 / sections.length);
  return {
    holding: { toFind, toImprove },
    misfit: { toFind: toImprove, toImprove },
  };
}

/**
 * For a box and its lid and where choices are few, to the end; for more until it has come close, in a
 * millisecond or two. Where grooves and trimmer share no marks, as with inches and millimetres, there are
 * always many.
 */
function budgetsFor(problem: MarksProblem): Budgets {
  const { pitch, step } = problem.tools;
  const isFew = pitch % step === 0 && combinations(problem) <= fewCombinations;
  if (isFew) return toTheEnd;
  return isBoxAndLid(problem) ? farEnough : inTime(problem);
}

type Solver = (problem: MarksProblem) => BestMarks | undefined;

/** How many choices have been looked at for one plan. */
interface Effort {
  looked: number;
}

/** Once so many choices have been looked at, half as many of each further part will do, on its own marks alone. */
const muchEffort = 700;
/** After so many, a quarter. */
const mostEffort = 2000;

/** What is left to look at of a further part. */
function after({ looked }: Effort, { toFind, toImprove }: Budget): Budget {
  const share = looked < muchEffort ? 1 : looked < mostEffort ? 1 / 2 : 1 / 4;
  return { toFind: Math.ceil(share * toFind), toImprove: Math.ceil(share * toImprove) };
}

/**
 * A lid that goes on is worth looking for by itself: what doesn't hold is left out at once. Where there are too many
 * choices to look at all of them, it is looked for on every second mark too, where there are fewer.
 */
class PartInStages {
  readonly problem: MarksProblem;
  readonly #effort: Effort;
  #gathered: SearchReady | undefined;
  #held: BestMarks | 'nothing' | undefined;
  #best: BestMarks | 'nothing' | undefined;

  constructor(problem: MarksProblem, effort: Effort) {
    this.problem = problem;
    this.#effort = effort;
  }

  get #ready(): SearchReady {
    return (this.#gathered ??= searchOver(this.problem));
  }

  /** What holds. */
  held(): BestMarks | undefined {
    this.#held ??= this.#lookForHolding() ?? 'nothing';
    return this.#held === 'nothing' ? undefined : this.#held;
  }

  /** What holds, or else the best of what doesn't. */
  best(): BestMarks | undefined {
    this.#best ??= this.held() ?? this.#lookForMisfit() ?? 'nothing';
    return this.#best === 'nothing' ? undefined : this.#best;
  }

  #lookForHolding(): BestMarks | undefined {
    const single = singleSection(this.problem);
    if (single) return cutSingleSection(this.problem, single);
    const { holding } = budgetsFor(this.problem);
    // Where nothing goes over anything, everything holds.
    const aim = this.problem.fits.length === 0 ? 'best' : 'best holding';
    const mayTryCoarser = aim !== 'best' && this.#effort.looked < muchEffort;
    const found = onThenOff(this.#ready.search, after(this.#effort, holding), aim);
    this.#effort.looked += found.looked;
    if (found.best || !found.ranOut || !mayTryCoarser) return found.best;
    return onEverySecondMark(this.#ready);
  }

  #lookForMisfit(): BestMarks | undefined {
    if (this.problem.fits.length === 0) return undefined;
    const { misfit } = budgetsFor(this.problem);
    const { best, looked } = bestMisfit(this.#ready.search, after(this.#effort, misfit));
    this.#effort.looked += looked;
    return best;
  }
}

/** A problem that is solved as far as it is asked for: what doesn't hold is looked for only where it has to do. */
export interface MarksInStages {
  /** The best of what holds; undefined where nothing does, or nothing fits the sheets. */
  readonly held: () => MarksSolution | undefined;
  /** That, or else the best of what doesn't hold; undefined where nothing fits the sheets. */
  readonly best: () => MarksSolution | undefined;
}

/**
 * Solves problems for the same tools in stages, nothing twice over: what two of them have in common, as a box with
 * wide flaps and one with scant ones, is solved once.
 */
export class StagedSolver {
  readonly #begun: PartInStages[] = [];
  readonly #effort: Effort = { looked: 0 };

  solve(asked: MarksProblem): MarksInStages {
    const split = inParts(asked);
    return {
      held: () => solveInParts(split, (part) => this.#stagesOf(part).held()),
      best: () => solveInParts(split, (part) => this.#stagesOf(part).best()),
    };
  }

  #stagesOf(part: MarksProblem): PartInStages {
    const known = this.#begun.find(({ problem }) => isSameProblem(problem, part));
    if (known) return known;
    const stages = new PartInStages(part, this.#effort);
    this.#begun.push(stages);
    return stages;
  }
}

const solveThoroughly: Solver = (problem) => new PartInStages(problem, { looked: 0 }).best();

/** Anything that holds on every second groove or on every second of the trimmer's marks: finer tools have those too. */
function onEverySecondMark({ problem, on }: SearchReady): BestMarks | undefined {
  const { tools } = problem;
  const coarser: readonly MarkTools[] = [
    { ...tools, pitch: times(tools.pitch, 2) },
    { ...tools, step: times(tools.step, 2) },
  ];
  for (const each of coarser) {
    const coarse = on(each);
    const { holding } = inTime(coarse.problem);
    const { best } = onThenOff(coarse.search, holding, 'best holding');
    if (best) return readAgain(problem, best);
  }
  return undefined;
}

const solveAnyHolding: Solver = (problem) =>
  onThenOff(searchOver(problem).search, budgetsFor(problem).misfit, 'any holding').best;

/** Where nothing holds: what errs to the right side, if anything does. */
function bestMisfit(search: Search, budget: Budget): Found {
  const leaning = onThenOff(search, budget, 'best leaning');
  return leaning.best ? leaning : onThenOff(search, budget, 'best');
}

const solveMisfit: Solver = (problem) =>
  bestMisfit(searchOver(problem).search, budgetsFor(problem).misfit).best;

const budgetRoughly: Budget = { toFind: 10, toImprove: 10 };

const solveRoughly: Solver = (problem) => {
  const { search } = searchOver(problem);
  return (
    search('on grooves', budgetRoughly, 'best').best ??
    search('off grooves', budgetRoughly, 'best').best
  );
};

const solvers: Readonly<Record<Patience, Solver>> = {
  thorough: solveThoroughly,
  holding: solveAnyHolding,
  misfit: solveMisfit,
  rough: solveRoughly,
};

function isOnSheets(problem: MarksProblem, { chains }: MarksSolution): boolean {
  const cutOf = (id: string) => chains.find((chain) => chain.id === id)?.cut ?? plus();
  return problem.limits.every(({ across, down, width, height, mayTurn }) => {
    const [x, y] = [cutOf(across), cutOf(down)];
    return (x <= width && y <= height) || (mayTurn && x <= height && y <= width);
  });
}
