import type { ScoreGrid } from './score-grid.ts';

/** What is derived from a grid, worked out once for each: a grid never changes. */
export function derivedFromGrid<Value>(
  derive: (grid: ScoreGrid) => Value,
): (grid: ScoreGrid) => Value {
  const known = new WeakMap<ScoreGrid, { readonly value: Value }>();
  return (grid) => {
    const before = known.get(grid);
    if (before) return before.value;
    const value = derive(grid);
    known.set(grid, { value });
    return value;
  };
}
