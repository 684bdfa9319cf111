import type { Length } from '@rangoli/core';

/** A measure beside a piece: one section, or a run of equal ones that are told together. */
export interface PlacedMeasure {
  readonly length: Length;
  /** How many equal sections it stands for. */
  readonly times: number;
  /** Its middle along the edge. */
  readonly at: number;
  /** 0 beside the piece, 1 one line further off, and so on. */
  readonly line: number;
}

/**
 * Where the measures of sections stand along an edge, so that none covers another: equal neighbours that
 * are too narrow for their figures are told once, and what still doesn't fit goes one line further off.
 * `positions` are the edges of the sections, `room` is what a figure takes along the edge, both in pixels.
 */
export function placeMeasures(
  sections: readonly Length[],
  positions: readonly number[],
  room: (length: Length, times: number) => number,
): readonly PlacedMeasure[] {
  const at = (i: number) => positions[i] ?? 0;
  const runs: { length: Length; from: number; to: number }[] = [];
  sections.forEach((length, i) => {
    const last = runs.at(-1);
    const isNarrow = at(i + 1) - at(i) < room(length, 1);
    if (last && isNarrow && last.length === length) last.to = i + 1;
    else runs.push({ length, from: i, to: i + 1 });
  });
  /** Where each line is taken up to. */
  const taken: number[] = [];
  return runs.map(({ length, from, to }) => {
    const middle = (at(from) + at(to)) / 2;
    const reach = room(length, to - from) / 2;
    const free = taken.findIndex((end) => end <= middle - reach);
    const line = free === -1 ? taken.length : free;
    taken[line] = middle + reach;
    return { length, times: to - from, at: middle, line };
  });
}
