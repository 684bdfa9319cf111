import type { BestMarks } from './complete-choice.ts';
import { Conflicts } from './conflicts.ts';
import { spansOf } from './made-already.ts';
import { decisionOrder, indexProblem, type DecisionOrder } from './marks-index.ts';
import type { MarksProblem, MarkTools } from './marks-problem.ts';
import { MarksSearch, type SearchAim } from './marks-search.ts';
import type { SearchedProblem, SearchGrid } from './partial-choice.ts';
import { pitchChoices } from './pitch-choice.ts';
import { rangeRules } from './range-rules.ts';

/** How many choices to look at: to find something, and then to improve on it. */
export interface Budget {
  readonly toFind: number;
  readonly toImprove: number;
}

/** What a search has found, if anything, and how many choices it looked at for it. */
export interface Found {
  readonly best: BestMarks | undefined;
  readonly looked: number;
  /** Whether there were more choices than it could look at. */
  readonly ranOut: boolean;
  /** Whether there is nothing else to choose from, on the grooves or off them. */
  readonly isAll: boolean;
}

/** Looks for something better than what is known already. */
export type Search = (
  where: SearchGrid,
  budget: Budget,
  aim: SearchAim,
  known?: BestMarks,
) => Found;

/** Off the grooves only where the grooves alone can't do it. */
export function onThenOff(search: Search, budget: Budget, aim: SearchAim): Found {
  const on = search('on grooves', budget, aim);
  const { best } = on;
  const isGood =
    best?.cost.unfit === 0 && (best.cost.offGrid + best.cost.shims === 0 || aim === 'any holding');
  if (isGood || on.isAll) return on;
  const off = search('off grooves', budget, aim, best);
  return { ...off, looked: on.looked + off.looked, ranOut: on.ranOut || off.ranOut };
}

/** A problem that is ready to be searched. */
export interface SearchReady {
  readonly problem: MarksProblem;
  readonly search: Search;
  /** The same problem for other tools. */
  readonly on: (tools: MarkTools) => SearchReady;
}

/** What every search over a problem goes by, whatever the tools, with every order in which it may decide. */
export function gatherForSearch(problem: MarksProblem): {
  readonly searched: SearchedProblem;
  readonly orders: readonly DecisionOrder[];
} {
  const index = indexProblem(problem);
  return {
    searched: {
      problem,
      index,
      rules: rangeRules(index),
      conflicts: new Conflicts(problem, index),
    },
    orders: pitchChoices(problem.chains).map((choice) => decisionOrder(problem, index, choice)),
  };
}

/** Makes a problem ready to be searched. */
export function searchOver(problem: MarksProblem): SearchReady {
  const { searched, orders } = gatherForSearch(problem);
  const on = (tools: MarkTools): SearchReady => {
    const there = { ...searched, problem: { ...problem, tools } };
    return { problem: there.problem, search: searchIn(there, orders), on };
  };
  return on(problem.tools);
}

/** The share of what is looked at to improve on something, where as much has been looked at for it before. */
const onceMore = 0.7;

/** Searches over every choice of the sections that take the odd remainders. */
function searchIn(searched: SearchedProblem, orders: readonly DecisionOrder[]): Search {
  const { problem } = searched;
  const { step, pitch, shim } = problem.tools;
  // Where every mark of the trimmer is a groove, off the grooves there is only what is made already or shimmed.
  const isOnAlone = step % pitch === 0 && shim === undefined && spansOf(problem).length === 0;
  return (where, { toFind, toImprove }, aim, known) => {
    const left = known ? Math.ceil(onceMore * toImprove) : toFind;
    const budget = { left, toImprove, looked: 0 };
    let best = known;
    for (const order of orders)
      best = new MarksSearch(searched, order, where, best, budget, aim).run();
    const ranOut = budget.left < 0;
    return { best, looked: budget.looked, ranOut, isAll: isOnAlone && !ranOut };
  };
}
