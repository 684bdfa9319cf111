import type { MarksProblem } from './marks-problem.ts';

/** Whether two problems are the same in every figure, so that one solution does for both. */
export function isSameProblem(one: MarksProblem, other: MarksProblem): boolean {
  return isSame(one, other);
}

/** Plain data, compared field by field; the first difference ends it. */
function isSame(one: unknown, other: unknown): boolean {
  if (one === other) return true;
  if (!isObject(one) || !isObject(other)) return false;
  if (Array.isArray(one) || Array.isArray(other))
    return Array.isArray(one) && Array.isArray(other) && isSameList(one, other);
  let fields = 0;
  for (const name in one) {
    if (!isSame(one[name], other[name])) return false;
    fields++;
  }
  return fields === Object.keys(other).length;
}

function isSameList(one: readonly unknown[], other: readonly unknown[]): boolean {
  return one.length === other.length && one.every((each, i) => isSame(each, other[i]));
}

function isObject(value: unknown): value is Readonly<Record<string, unknown>> {
  return typeof value === 'object' && value !== null;
}
