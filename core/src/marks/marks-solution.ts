import { nanometres, type Length } from '../length/index.ts';
import type { BestMarks } from './complete-choice.ts';
import { addCosts, noCost } from './marks-cost.ts';
import type { ChainMarks, MarksCost, MarksProblem } from './marks-problem.ts';

/** A part of a problem that bears on no other, with the best choice found for it. */
export interface SolvedPart {
  readonly problem: MarksProblem;
  readonly best: BestMarks;
}

/** What was chosen for a whole problem: section sizes, cut sizes with their readings, gaps. */
export interface MarksSolution {
  readonly sections: ReadonlyMap<string, Length>;
  readonly chains: readonly ChainMarks[];
  readonly gaps: ReadonlyMap<string, Length>;
  readonly cost: MarksCost;
  readonly parts: readonly SolvedPart[];
}

/** The parts of a problem as one solution. */
export function together(parts: readonly SolvedPart[]): MarksSolution {
  const sections = new Map<string, Length>();
  const gaps = new Map<string, Length>();
  const chains: ChainMarks[] = [];
  let cost = noCost;
  for (const { problem, best } of parts) {
    problem.sections.forEach(({ id }, i) => sections.set(id, nanometres(best.values[i] ?? 0)));
    chains.push(...best.chains);
    cost = addCosts(cost, best.cost);
    const valueOf = (id: string) => sections.get(id) ?? 0;
    for (const { id, outer, inner, innerTimes, layers } of problem.fits)
      gaps.set(id, nanometres(Math.round(valueOf(outer) - innerTimes * valueOf(inner) - layers)));
  }
  return { sections, chains, cost, gaps, parts };
}

/** The part of a solution that chose the same sections and whose gaps are all in range. */
export function partThatHolds(
  { parts }: MarksSolution,
  { sections }: MarksProblem,
): BestMarks | undefined {
  return parts.find(
    ({ problem, best }) =>
      best.cost.unfit === 0 &&
      problem.sections.length === sections.length &&
      problem.sections.every(({ id }, i) => sections[i]?.id === id),
  )?.best;
}
