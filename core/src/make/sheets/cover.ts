import type { Pattern } from './patterns.ts';

/** Sheets that are cut the same way. */
export interface Share {
  readonly pattern: Pattern;
  readonly sheets: number;
}

/** Steps after which a search ends with what it has. */
const mostSteps = 30_000;

/** Weights for a few kinds, so close to one another that the best bound is nearly found; one to a kind. */
function weightings(kinds: number): readonly (readonly number[])[] {
  const fine = 12;
  const shares = (left: number, parts: number): readonly (readonly number[])[] =>
    parts <= 1
      ? [[left]]
      : Array.from({ length: left + 1 }, (_, here) => here).flatMap((here) =>
          shares(left - here, parts - 1).map((rest) => [here, ...rest]),
        );
  return shares(fine, kinds);
}

function weigh(weights: readonly number[], counts: readonly number[]): number {
  return counts.reduce((sum, count, i) => sum + count * (weights[i] ?? 0), 0);
}

/**
 * The fewest sheets that give all that is wanted when each is cut by one of these patterns, and how many by
 * which; undefined where a kind is on none of them. However kinds are weighed, no sheet gives more than the
 * heaviest pattern: that bounds what is left from below.
 */
export function coverWith(
  patterns: readonly Pattern[],
  wanted: readonly number[],
): readonly Share[] | undefined {
  if (wanted.some((count, i) => count > 0 && patterns.every(({ counts }) => !counts[i])))
    return undefined;
  const scales = weightings(wanted.length).map((weights) => ({
    weights,
    most: Math.max(...patterns.map(({ counts }) => weigh(weights, counts))),
  }));
  const leastFor = (left: readonly number[]) =>
    Math.max(
      0,
      ...scales.map(({ weights, most }) => (most > 0 ? Math.ceil(weigh(weights, left) / most) : 0)),
    );
  const heaviest = [...patterns].sort(
    (a, b) => b.counts.reduce((x, y) => x + y, 0) - a.counts.reduce((x, y) => x + y, 0),
  );
  let steps = 0;
  const search = (left: readonly number[], from: number, sheets: number): Share[] | undefined => {
    if (left.every((count) => count === 0)) return [];
    const pattern = heaviest[from];
    if (!pattern || leastFor(left) > sheets || steps++ > mostSteps) return undefined;
    const most = Math.min(
      sheets,
      Math.max(
        ...left.map((count, i) => {
          const gives = pattern.counts[i] ?? 0;
          return gives > 0 ? Math.ceil(count / gives) : 0;
        }),
      ),
    );
    for (let times = most; times >= 0; times--) {
      const rest = left.map((count, i) => Math.max(0, count - times * (pattern.counts[i] ?? 0)));
      const onward = search(rest, from + 1, sheets - times);
      if (onward) return times > 0 ? [{ pattern, sheets: times }, ...onward] : onward;
    }
    return undefined;
  };
  const enough = wanted.reduce((sum, count) => sum + count, 0);
  for (let sheets = leastFor(wanted); sheets <= enough; sheets++) {
    steps = 0;
    const found = search(wanted, 0, sheets);
    if (found) return found;
  }
  return undefined;
}
