import type { Fit, Lean, MarksCost } from './marks-problem.ts';

/** A tight lid outweighs any looseness that could be chosen instead, and the other way round. */
export const leantAway = 1000;

/** What one gap is out of range by itself: below the least, or so loose that no other gap makes up for it. */
export function ownMisfit(
  gap: number,
  { gap: range, slack }: Pick<Fit, 'gap' | 'slack'>,
  lean: Lean,
): number {
  if (gap < range.least) return (range.least - gap) * (lean === 'loose' ? leantAway : 1);
  return Math.max(0, gap - range.most - slack) * (lean === 'tight' ? leantAway : 1);
}

/** Looseness of a group is that of its closest fit: one direction that holds keeps a lid on. */
export function looseness<Each extends Pick<Fit, 'gap'>>(
  fits: readonly Each[],
  gapOf: (fit: Each) => number,
  lean: Lean,
): number {
  let least = fits.length === 0 ? 0 : Infinity;
  for (const fit of fits) least = Math.min(least, Math.max(0, gapOf(fit) - fit.gap.most));
  return least * (lean === 'tight' ? leantAway : 1);
}

/** Below zero when the first cost is better. */
export function compareCosts(a: MarksCost, b: MarksCost): number {
  return (
    a.unfit - b.unfit ||
    a.offGrid - b.offGrid ||
    a.shims - b.shims ||
    a.turns - b.turns ||
    a.deviation - b.deviation ||
    a.settings - b.settings ||
    a.size - b.size
  );
}

export const noCost: MarksCost = {
  unfit: 0,
  offGrid: 0,
  shims: 0,
  turns: 0,
  deviation: 0,
  settings: 0,
  size: 0,
};

/** What two parts of a box cost together. */
export function addCosts(a: MarksCost, b: MarksCost): MarksCost {
  return {
    unfit: a.unfit + b.unfit,
    offGrid: a.offGrid + b.offGrid,
    shims: a.shims + b.shims,
    turns: a.turns + b.turns,
    deviation: a.deviation + b.deviation,
    settings: a.settings + b.settings,
    size: a.size + b.size,
  };
}
