import { nanometres } from '../length/index.ts';
import type { MarksProblem, Section } from './marks-problem.ts';

/** The longest that each chain may be, by its id, as far as its sheet says. */
export function longestChains(problem: MarksProblem): ReadonlyMap<string, number> {
  const longest = new Map<string, number>();
  const limit = (chain: string, most: number) =>
    longest.set(chain, Math.min(longest.get(chain) ?? Infinity, most));
  const sectionsOf = (name: string) =>
    problem.chains.find(({ id }) => id === name)?.sections.join() ?? name;
  for (const { across, down, width, height, mayTurn } of problem.limits) {
    // What is as wide as high is no better off turned.
    const isSquare = sectionsOf(across) === sectionsOf(down);
    const [smaller, larger] = [Math.min(width, height), Math.max(width, height)];
    limit(across, isSquare ? smaller : mayTurn ? larger : width);
    limit(down, isSquare ? smaller : mayTurn ? larger : height);
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
