import {
  readChain,
  type ChainMarks,
  type MarksProblem,
  type MarksSolution,
} from '../marks/index.ts';
import type { RoughSection } from '../forms/index.ts';
import { minus, roundDown, zero, type Length } from '../length/index.ts';

function off({ scores }: ChainMarks): number {
  return scores.filter(({ onGroove }) => !onGroove).length;
}

function shims({ scores }: ChainMarks): number {
  return scores.filter(({ shimmed }) => shimmed).length;
}

/** A chain read again with one of its sections at another size. */
function readWith(
  { tools, chains }: MarksProblem,
  sections: ReadonlyMap<string, Length>,
  id: string,
): ChainMarks {
  const chain = chains.find((each) => each.id === id);
  return readChain(id, chain?.sections.map((each) => sections.get(each) ?? zero) ?? [], tools);
}

/**
 * A solution whose rough sections are no larger than their shapes want: each is cut down by whole steps of the
 * trimmer as long as no score comes off its groove by that. What is cut already stays.
 */
export function cutDown(
  solution: MarksSolution,
  problem: MarksProblem,
  rough: readonly RoughSection[],
): MarksSolution {
  let { sections, chains } = solution;
  const size = (id: string): Length => sections.get(id) ?? zero;
  for (const { section, holds } of rough) {
    const ids = problem.chains.filter((chain) => chain.sections.includes(section));
    if (ids.some(({ cut }) => cut !== undefined)) continue;
    const { step } = problem.tools;
    const needed = holds(size);
    for (
      let less = roundDown(minus(size(section), needed), step);
      less > 0;
      less = minus(less, step)
    ) {
      const smaller = new Map(sections).set(section, minus(size(section), less));
      const read = ids.map(({ id }) => readWith(problem, smaller, id));
      const isAsGood = read.every((now) => {
        const before = chains.find(({ id }) => id === now.id);
        return !before || (off(now) <= off(before) && shims(now) <= shims(before));
      });
      if (!isAsGood) continue;
      sections = smaller;
      chains = chains.map((before) => read.find(({ id }) => id === before.id) ?? before);
      break;
    }
  }
  return { ...solution, sections, chains };
}
