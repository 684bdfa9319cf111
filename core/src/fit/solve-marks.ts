import { nanometres, type Length } from '../length/index.ts';
import type { MarksProblem, MarksSolution } from './marks-problem.ts';
import { MarksSearch, type BestMarks } from './marks-search.ts';
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
  const choices = pitchChoices(problem.chains);
  let best: BestMarks | undefined;
  for (const choice of choices) best = new MarksSearch(problem, choice, false, best).run();
  // Off the grooves only where the grooves alone can't do it.
  if (!best || best.cost.unfit > 0 || best.cost.offGrid > 0)
    for (const choice of choices) best = new MarksSearch(problem, choice, true, best).run();
  if (!best) return undefined;
  const sections = new Map<string, Length>();
  problem.sections.forEach(({ id }, i) => sections.set(id, nanometres(best.values[i] ?? 0)));
  const valueOf = (id: string) => sections.get(id) ?? 0;
  return {
    sections,
    chains: best.chains,
    cost: best.cost,
    gaps: new Map(
      problem.fits.map((fit) => [
        fit.id,
        nanometres(valueOf(fit.outer) - fit.innerTimes * valueOf(fit.inner) - fit.layers),
      ]),
    ),
  };
}
