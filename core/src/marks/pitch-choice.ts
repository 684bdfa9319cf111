import type { Chain } from './marks-problem.ts';

function isSubset(a: ReadonlySet<string>, b: ReadonlySet<string>): boolean {
  return [...a].every((each) => b.has(each));
}

/** Keeps the sets that ask least: a set that contains another one is never better. */
function leastDemanding(sets: readonly ReadonlySet<string>[]): readonly ReadonlySet<string>[] {
  return sets.filter(
    (set, i) =>
      !sets.some((other, j) => j !== i && isSubset(other, set) && (other.size < set.size || j < i)),
  );
}

/**
 * Turning a piece between two scores leaves the odd remainder of its cut size in the section between them;
 * all other sections are whole grooves. Every useful choice of that section for every chain, as the set of
 * sections that must then be whole grooves.
 */
export function pitchChoices(chains: readonly Chain[]): readonly ReadonlySet<string>[] {
  let choices: readonly ReadonlySet<string>[] = [new Set<string>()];
  const seen = new Set<string>();
  for (const { sections } of chains) {
    // What holds for one chain holds for every other of the same sections.
    const name = sections.join();
    if (seen.has(name)) continue;
    seen.add(name);
    const ofChain = leastDemanding(
      sections.map((_, odd) => new Set(sections.filter((__, i) => i !== odd))),
    );
    choices = leastDemanding(
      choices.flatMap((choice) => ofChain.map((more) => new Set([...choice, ...more]))),
    );
  }
  return choices;
}
