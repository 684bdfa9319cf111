import type { Tolerance } from '../length/index.ts';
import type { Lean, MarksCost } from './marks-problem.ts';

/** A tight lid outweighs any looseness that could be chosen instead, and the other way round. */
const leantAway = 1000;

export function tightness(gap: number, range: Tolerance, lean: Lean): number {
  return Math.max(0, range.least - gap) * (lean === 'loose' ? leantAway : 1);
}

/** Looseness of a group is that of its closest fit: one direction that holds keeps a lid on. */
export function looseness(
  gaps: readonly number[],
  ranges: readonly Tolerance[],
  lean: Lean,
): number {
  const excess = gaps.map((gap, i) => Math.max(0, gap - (ranges[i]?.most ?? 0)));
  return (excess.length === 0 ? 0 : Math.min(...excess)) * (lean === 'tight' ? leantAway : 1);
}

/** Below zero when the first cost is better. */
export function compareCosts(a: MarksCost, b: MarksCost): number {
  return (
    a.unfit - b.unfit ||
    a.offGrid - b.offGrid ||
    a.deviation - b.deviation ||
    a.settings - b.settings ||
    a.size - b.size
  );
}
