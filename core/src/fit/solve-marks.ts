import { nanometres, plus, type Length } from '../length/index.ts';
import { componentsOf } from './components.ts';
import { addCosts, noCost } from './marks-cost.ts';
import type { ChainMarks, MarksProblem, MarksSolution } from './marks-problem.ts';
import { decisionOrder, indexProblem } from './marks-index.ts';
import type { BestMarks } from './complete-choice.ts';
import { MarksSearch, type SearchAim } from './marks-search.ts';
import type { SearchGrid } from './partial-choice.ts';
import { clipToSheets } from './sheet-limits.ts';
import { pitchChoices } from './pitch-choice.ts';

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
  const problem = clipToSheets(asked);
  if (!problem) return undefined;
  const solve = patience === 'rough' ? solveRoughly : solverWith(patience);
  // Pieces that bear on nothing else are solved by themselves; only a sheet can tie them together.
  const parts = componentsOf(problem);
  if (parts.length === 1) return together([solve(problem)]);
  const apart = together(parts.map(solve));
  if (apart && isOnSheets(problem, apart)) return apart;
  return together([solve(problem)]);
}

/**
 * How long to look where there are too many choices to try them all: as long as a drag can wait, a part
 * of that, or only until there is something at all, which says how large a box would be.
 */
export type Patience = 'thorough' | 'brief' | 'rough';

interface Solved {
  readonly problem: MarksProblem;
  readonly best: BestMarks | undefined;
}

/** Up to so many combinations of sizes, the best is looked for to the end. */
const fewCombinations = 200_000;

function combinations({ sections, tools }: MarksProblem): number {
  return sections.reduce((all, { least, most }) => all * ((most - least) / tools.step + 1), 1);
}

/** Nothing but trays, wall and floor and wall each way: a box and its lid come to six sections at the most. */
function isBoxAndLid({ sections, chains }: MarksProblem): boolean {
  return sections.length <= 6 && chains.every((chain) => chain.sections.length <= 3);
}

/**
 * How many choices to look at: for a box and its lid and where there are few, to the end; for more until
 * it has come close, in a millisecond or two. Where grooves and trimmer share no marks, as with inches and
 * millimetres, there are always many.
 */
function budgetsFor(problem: MarksProblem, patience: 'thorough' | 'brief') {
  const { pitch, step } = problem.tools;
  if (pitch % step === 0 && combinations(problem) <= fewCombinations)
    return { onGrooves: 1200, offGrooves: 1200, forFit: 1500 };
  if (patience === 'brief') return { onGrooves: 40, offGrooves: 40, forFit: 60 };
  return isBoxAndLid(problem)
    ? { onGrooves: 600, offGrooves: 600, forFit: 1500 }
    : { onGrooves: 160, offGrooves: 80, forFit: 250 };
}

function solverWith(patience: 'thorough' | 'brief') {
  return (problem: MarksProblem): Solved => {
    const search = searchOver(problem);
    const budgets = budgetsFor(problem, patience);
    const onGrooves = search('on grooves', budgets.onGrooves, 'best', undefined);
    let { best } = onGrooves;
    // Off the grooves only where the grooves alone can't do it.
    if (best?.cost.unfit === 0 && best.cost.offGrid === 0) return { problem, best };
    const offGrooves = search('off grooves', budgets.offGrooves, 'best', best);
    best = offGrooves.best;
    // A lid that doesn't go on is worth looking longer for one that does.
    if (!onGrooves.isProven && misfits(best))
      best = search('on grooves', budgets.forFit, 'fit', best).best;
    if (!offGrooves.isProven && misfits(best))
      best = search('off grooves', budgets.forFit, 'fit', best).best;
    return { problem, best };
  };
}

const budgetRoughly = 10;

function solveRoughly(problem: MarksProblem): Solved {
  const search = searchOver(problem);
  const { best } = search('on grooves', budgetRoughly, 'best', undefined);
  return best
    ? { problem, best }
    : { problem, best: search('off grooves', budgetRoughly, 'best', best).best };
}

/** Searches over every choice of the sections that take the odd remainders. */
function searchOver(problem: MarksProblem) {
  const index = indexProblem(problem);
  const orders = pitchChoices(problem.chains).map((choice) =>
    decisionOrder(problem, index, choice),
  );
  return (
    where: SearchGrid,
    budget: number,
    aim: SearchAim,
    known: BestMarks | undefined,
  ): { readonly best: BestMarks | undefined; readonly isProven: boolean } => {
    const left = { left: budget };
    let best = known;
    for (const order of orders)
      best = new MarksSearch(problem, index, order, where, best, left, aim).run();
    return { best, isProven: left.left >= 0 };
  };
}

function misfits(best: BestMarks | undefined): boolean {
  return best !== undefined && best.cost.unfit > 0;
}

function together(parts: readonly Solved[]): MarksSolution | undefined {
  const sections = new Map<string, Length>();
  const gaps = new Map<string, Length>();
  const chains: ChainMarks[] = [];
  let cost = noCost;
  for (const { problem, best } of parts) {
    if (!best) return undefined;
    problem.sections.forEach(({ id }, i) => sections.set(id, nanometres(best.values[i] ?? 0)));
    chains.push(...best.chains);
    cost = addCosts(cost, best.cost);
    const valueOf = (id: string) => sections.get(id) ?? 0;
    for (const { id, outer, inner, innerTimes, layers } of problem.fits)
      gaps.set(id, nanometres(valueOf(outer) - innerTimes * valueOf(inner) - layers));
  }
  return { sections, chains, cost, gaps };
}

function isOnSheets(problem: MarksProblem, { chains }: MarksSolution): boolean {
  const cutOf = (id: string) => chains.find((chain) => chain.id === id)?.cut ?? plus();
  return problem.limits.every(({ across, down, width, height, mayTurn }) => {
    const [x, y] = [cutOf(across), cutOf(down)];
    return (x <= width && y <= height) || (mayTurn && x <= height && y <= width);
  });
}
