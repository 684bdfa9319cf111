import { nanometres, plus, type Length } from '../length/index.ts';
import { componentsOf } from './components.ts';
import { addCosts, noCost } from './marks-cost.ts';
import type { ChainMarks, MarksProblem, MarksSolution } from './marks-problem.ts';
import { MarksSearch, type BestMarks, type SearchAim } from './marks-search.ts';
import { clipToSheets } from './sheet-limits.ts';
import { pitchChoices } from './pitch-choice.ts';

/**
 * Chooses section sizes, cut sizes and the edge to measure each score from, so that every section is in
 * its range, every cut is on the trimmer's marks and every piece on its sheet; then, in this order: gaps
 * in range, most scores on grooves, least deviation from the targets, fewest settings, least card.
 * Undefined when nothing within the sections' ranges fits the sheets.
 */
export function solveMarks(asked: MarksProblem): MarksSolution | undefined {
  const problem = clipToSheets(asked);
  if (!problem) return undefined;
  // Pieces that bear on nothing else are solved by themselves; only a sheet can tie them together.
  const parts = componentsOf(problem);
  if (parts.length === 1) return together([solveOne(problem)]);
  const apart = together(parts.map(solveOne));
  if (apart && isOnSheets(problem, apart)) return apart;
  return together([solveOne(problem)]);
}

interface Solved {
  readonly problem: MarksProblem;
  readonly best: BestMarks | undefined;
}

/** Enough to prove the best for a box and its lid, and to come close for more in a few milliseconds. */
const budgetOnGrooves = 500;
const budgetOffGrooves = 250;
/** A lid that doesn't go on is worth looking longer for one that does. */
const budgetForFit = 6000;

function solveOne(problem: MarksProblem): Solved {
  const choices = pitchChoices(problem.chains);
  let best: BestMarks | undefined;
  /** Whether everything was looked at, so that what was found is proven. */
  const search = (offGrooves: boolean, budget: number, aim: SearchAim = 'best'): boolean => {
    const left = { left: budget };
    for (const choice of choices)
      best = new MarksSearch(problem, choice, offGrooves, best, left, aim).run();
    return left.left >= 0;
  };
  const onGrooves = search(false, budgetOnGrooves);
  // Off the grooves only where the grooves alone can't do it.
  if (best?.cost.unfit === 0 && best.cost.offGrid === 0) return { problem, best };
  const offGrooves = search(true, budgetOffGrooves);
  if (!onGrooves && misfits(best)) search(false, budgetForFit, 'fit');
  if (!offGrooves && misfits(best)) search(true, budgetForFit, 'fit');
  return { problem, best };
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
