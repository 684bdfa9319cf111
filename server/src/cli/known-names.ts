import { distance } from 'fastest-levenshtein';

/** The name among these that is most like one that was written; undefined where none is at all like it. */
export function nearestName(written: string, names: readonly string[]): string | undefined {
  const near = names
    .map((name) => ({ name, far: distance(written.toLowerCase(), name.toLowerCase()) }))
    .sort((a, b) => a.far - b.far)[0];
  return near && near.far <= Math.max(2, near.name.length / 2) ? near.name : undefined;
}

/** `Did you mean “lidDepth”?`, or all that may be meant where nothing is like what was written. */
export function meant(written: string, names: readonly string[]): string {
  const near = nearestName(written, names);
  return near === undefined
    ? `Choose ${names.map((name) => `“${name}”`).join(' or ')}.`
    : `Choose “${near}”.`;
}
