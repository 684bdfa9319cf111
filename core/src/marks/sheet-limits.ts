import { nanometres } from '../length/index.ts';
import type { MarksProblem, Section } from './marks-problem.ts';

/** The longest that each chain may be, by its id, as far as its sheet says. */
export function longestChains(problem: MarksProblem): ReadonlyMap<string, number> {
  const longest = new Map<string, number>();
  for (const { across, down, width, height, mayTurn } of problem.limits) {
    const larger = Math.max(width, height);
    longest.set(across, Math.min(longest.get(across) ?? Infinity, mayTurn ? larger : width));
    longest.set(down, Math.min(longest.get(down) ?? Infinity, mayTurn ? larger : height));
  }
  return longest;
}

/**
 * The same problem with every section's range cut down to what its sheet leaves beside the least of the
 * others. Undefined when a piece is larger than its sheet even at the least.
 */
export function clipToSheets(problem: MarksProblem): MarksProblem | undefined {
  const longest = longestChains(problem);
  const leastOf = new Map<string, number>(problem.sections.map(({ id, least }) => [id, least]));
  const sections: Section[] = [];
  for (const section of problem.sections) {
    let most: number = section.most;
    for (const chain of problem.chains) {
      const times = chain.sections.filter((id) => id === section.id).length;
      const limit = longest.get(chain.id);
      if (times === 0 || limit === undefined) continue;
      const others = chain.sections
        .filter((id) => id !== section.id)
        .reduce((sum, id) => sum + (leastOf.get(id) ?? 0), 0);
      most = Math.min(most, Math.floor((limit - others) / times));
    }
    if (most < section.least) return undefined;
    sections.push({ ...section, most: nanometres(most) });
  }
  return { ...problem, sections };
}
