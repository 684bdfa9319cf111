import { meansOf, type Grooves } from './on-mark.ts';

/** What decides whether a score is on a groove: sections still open are undefined. */
export interface ScoredChain {
  readonly sizes: readonly (number | undefined)[];
  readonly grooves: Grooves;
}

/**
 * The least number of scores of a chain that are on no groove, each read from whichever edge has one for it,
 * as far as the sections decided say.
 */
export function leastOffGrid({ sizes, grooves }: ScoredChain): number {
  const { reach } = grooves;
  let whole = 0;
  let open = 0;
  for (const size of sizes) {
    if (size === undefined) open++;
    whole += size ?? 0;
  }
  let before = 0;
  let openBefore = 0;
  let count = 0;
  for (let i = 0; i + 1 < sizes.length; i++) {
    const size = sizes[i];
    before += size ?? 0;
    if (size === undefined) openBefore++;
    const after = whole - before;
    const offFromStart =
      before > reach || (openBefore === 0 && meansOf(before, grooves) === 'none');
    const offFromEnd = after > reach || (openBefore === open && meansOf(after, grooves) === 'none');
    if (offFromStart && offFromEnd) count++;
  }
  return count;
}
