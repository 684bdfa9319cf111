import { nanometres, plus, type Length } from '../length/index.ts';
import { componentsOf } from './components.ts';
import { addCosts, noCost } from './marks-cost.ts';
import type { ChainMarks, MarksProblem, MarksSolution } from './marks-problem.ts';
import { indexProblem } from './marks-index.ts';
import { MarksSearch, type BestMarks, type SearchAim, type SearchGrid } from './marks-search.ts';
import { clipToSheets } from './sheet-limits.ts';
import { pitchChoices } from './pitch-choice.ts';

/**
 * Chooses section sizes, cut sizes and the edge to measure each score from, so that every section is in
 * its range, every cut is on the trimmer's marks and every piece on its sheet; then, in this order: gaps
 * in range, most scores on grooves, least deviation from the targets, fewest settings, least card.
 * Undefined when nothing within the sections' ranges fits the sheets.
 */
export function solveMarks(asked: MarksProblem): MarksSolution | undefined {
  return solveWith(asked, solveOne);
}

/** Sizes of the same kind, not the best but found at once: to say how large a box would be at all. */
export function anyMarks(asked: MarksProblem): MarksSolution | undefined {
  return solveWith(asked, solveRoughly);
}

function solveWith(
  asked: MarksProblem,
  solve: (problem: MarksProblem) => Solved,
): MarksSolution | undefined {
  const problem = clipToSheets(asked);
  if (!problem) return undefined;
  // Pieces that bear on nothing else are solved by themselves; only a sheet can tie them together.
  const parts = componentsOf(problem);
  if (parts.length === 1) return together([solve(problem)]);
  const apart = together(parts.map(solve));
  if (apart && isOnSheets(problem, apart)) return apart;
  return together([solve(problem)]);
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
const budgetRoughly = 10;

function solveOne(problem: MarksProblem): Solved {
  const searches = searchesOf(problem);
  const onGrooves = searches('on grooves', budgetOnGrooves, 'best', undefined);
  let { best } = onGrooves;
  // Off the grooves only where the grooves alone can't do it.
  if (best?.cost.unfit === 0 && best.cost.offGrid === 0) return { problem, best };
  const offGrooves = searches('off grooves', budgetOffGrooves, 'best', best);
  best = offGrooves.best;
  if (!onGrooves.isProven && misfits(best))
    best = searches('on grooves', budgetForFit, 'fit', best).best;
  if (!offGrooves.isProven && misfits(best))
    best = searches('off grooves', budgetForFit, 'fit', best).best;
  return { problem, best };
}

function solveRoughly(problem: MarksProblem): Solved {
  const searches = searchesOf(problem);
  const { best } = searches('on grooves', budgetRoughly, 'best', undefined);
  return best
    ? { problem, best }
    : { problem, best: searches('off grooves', budgetRoughly, 'best', best).best };
}

/** Searches over every choice of the sections that take the odd remainders. */
function searchesOf(problem: MarksProblem) {
  const indexes = pitchChoices(problem.chains).map((choice) => indexProblem(problem, choice));
  return (
    where: SearchGrid,
    budget: number,
    aim: SearchAim,
    known: BestMarks | undefined,
  ): { readonly best: BestMarks | undefined; readonly isProven: boolean } => {
    const left = { left: budget };
    let best = known;
    for (const index of indexes)
      best = new MarksSearch(problem, index, where, best, left, aim).run();
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
