import type { MarksProblem } from './marks-problem.ts';

/** Groups of sections that bear on one another: by a chain, a fit, or one being smaller than the other. */
function linkedSections(problem: MarksProblem): readonly ReadonlySet<string>[] {
  const leader = new Map(problem.sections.map(({ id }) => [id, id]));
  const find = (id: string): string => {
    const above = leader.get(id) ?? id;
    return above === id ? id : find(above);
  };
  const join = (ids: readonly string[]) => {
    const [first, ...rest] = ids;
    if (first !== undefined) for (const id of rest) leader.set(find(id), find(first));
  };
  for (const { sections } of problem.chains) join(sections);
  for (const { less, more } of problem.smaller) join([less, more]);
  const byGroup = new Map<string, string[]>();
  for (const { group, outer, inner } of problem.fits)
    byGroup.set(group, [...(byGroup.get(group) ?? []), outer, inner]);
  for (const members of byGroup.values()) join(members);
  const groups = new Map<string, Set<string>>();
  for (const { id } of problem.sections) {
    const group = groups.get(find(id)) ?? new Set();
    group.add(id);
    groups.set(find(id), group);
  }
  return [...groups.values()];
}

/**
 * The problem in parts that can be solved one by one: what is best for each is best for all, but for
 * sheets that hold a piece each of whose ways is another part; either of them takes the sheet for its own.
 */
export function componentsOf(problem: MarksProblem): readonly MarksProblem[] {
  return linkedSections(problem).map((ids) => {
    const chains = problem.chains.filter(({ sections }) => sections.some((id) => ids.has(id)));
    const isHere = (name: string) => chains.some(({ id }) => id === name);
    return {
      ...problem,
      sections: problem.sections.filter(({ id }) => ids.has(id)),
      chains,
      spans: problem.spans.filter(({ sections }) => sections.some((id) => ids.has(id))),
      fits: problem.fits.filter(({ outer }) => ids.has(outer)),
      smaller: problem.smaller.filter(({ less }) => ids.has(less)),
      limits: problem.limits.filter(({ across, down }) => isHere(across) || isHere(down)),
    };
  });
}
