import { nanometres } from '../length/index.ts';
import type { BestMarks } from './complete-choice.ts';
import { valuesAround } from './lattice.ts';
import { noCost } from './marks-cost.ts';
import type { MarksProblem, Section } from './marks-problem.ts';

/**
 * The only section of a problem in which nothing but the trimmer has a say: nothing is scored, goes over anything or
 * is made already.
 */
export function singleSection({
  sections,
  chains,
  fits,
  smaller,
  spans,
}: MarksProblem): Section | undefined {
  const [section, ...more] = sections;
  if (!section || section.weight === 0) return undefined;
  if (more.length + fits.length + smaller.length + spans.length > 0) return undefined;
  const isCutAlone = chains.every(
    (chain) => chain.sections.length === 1 && chain.cut === undefined,
  );
  return isCutAlone ? section : undefined;
}

/**
 * The trimmer's mark that is nearest to what the single section of a problem is to be, the smaller of two. Undefined
 * where there is none in its range, which is as far as its sheet goes.
 */
export function cutSingleSection(
  { chains, tools }: MarksProblem,
  section: Section,
): BestMarks | undefined {
  const { least, target, most, weight } = section;
  const wanted = Math.min(Math.max(target, least), most);
  let best: number | undefined;
  for (const value of valuesAround({ residue: 0, step: tools.step }, wanted, wanted)) {
    if (value < least || value > most) continue;
    if (best === undefined || Math.abs(value - target) < Math.abs(best - target)) best = value;
  }
  if (best === undefined) return undefined;
  const cut = nanometres(best);
  return {
    values: [cut],
    chains: chains.map(({ id }) => ({ id, cut, scores: [] })),
    cost: {
      ...noCost,
      deviation: weight * Math.abs(best - target),
      size: chains.length * best,
    },
  };
}
