import type { IndexedChain } from './marks-index.ts';
import type { MarkTools } from './marks-problem.ts';
import { meansOf } from './on-mark.ts';

/** What the scores of chains cost, before one of them is read. */
export interface ScoreTally {
  /** Scores that are on no groove from either edge. */
  readonly offGrid: number;
  /** Scores for which the shim must be laid in. */
  readonly shims: number;
  /** Chains that are read from either edge by turns: turned once only, they would miss a groove. */
  readonly turns: number;
}

const rank = { groove: 0, shim: 1, none: 2 } as const;

/** Counts them; every section of the chains is decided. */
export function tallyScores(
  chains: readonly IndexedChain[],
  values: readonly (number | undefined)[],
  tools: MarkTools,
): ScoreTally {
  let offGrid = 0;
  let shims = 0;
  let turns = 0;
  for (const { ids, sections } of chains) {
    let cut = 0;
    for (const at of sections) cut += values[at] ?? 0;
    const last = sections.length - 1;
    // Up to the first that is worse from the start all can be read from there, and all behind the last one that is
    // worse from the end from there.
    let fromStart = last;
    let lastFromStart = 0;
    let position = 0;
    for (let i = 0; i < last; i++) {
      position += values[sections[i] ?? 0] ?? 0;
      const start = rank[meansOf(position, tools)];
      const end = tools.edges === 'first' ? start : rank[meansOf(cut - position, tools)];
      const read = Math.min(start, end);
      if (read === rank.none) offGrid += ids.length;
      if (read === rank.shim) shims += ids.length;
      if (start > read && i < fromStart) fromStart = i;
      if (end > read) lastFromStart = i + 1;
    }
    if (lastFromStart > fromStart) turns += ids.length;
  }
  return { offGrid, shims, turns };
}
