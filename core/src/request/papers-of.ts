import { papersWorn } from '../additions/index.ts';
import { paperFor, type Papers } from '../paper/index.ts';
import { styleSummary } from '../styles/index.ts';
import type { PlanRequest } from './request.ts';

/**
 * Every paper that a box takes, as its pieces count them: one for each piece that the style may give its own, then
 * those of what it wears.
 */
export function papersOf({
  papers,
  style,
  additions,
}: Pick<PlanRequest, 'papers' | 'style' | 'additions'>): Papers {
  if (additions.length === 0) return papers;
  const [first, ...others] = styleSummary(style.style).papers.map((_, slot) =>
    paperFor(papers, slot),
  );
  return [first ?? papers[0], ...others, ...papersWorn(additions)];
}
