import { largest, type Length } from '../length/index.ts';
import type { StyleDepth } from './brief.ts';

/** A depth as a maker chose it: by a word, or as a figure. */
export type Depth<Word extends string> = Word | Length;

/** A depth that is one section of the box, which may be so short and so long. */
export function depthOf(
  option: string,
  section: string,
  { least, most }: { readonly least: Length; readonly most: Length },
): StyleDepth {
  return {
    option,
    least,
    most: largest(least, most),
    comes: (size) => size(section),
    sets: { section, to: (figure) => figure },
  };
}
