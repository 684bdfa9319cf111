import type { BoxSide, PrintTowards } from '../make/index.ts';
import { inRow } from './plain.ts';

const places: Readonly<Record<BoxSide, string>> = {
  top: 'up',
  bottom: 'down',
  left: 'at the left',
  right: 'at the right',
  front: 'at the front',
  back: 'at the back',
};

/** Which way a print comes to stand, as somebody sees it who has the finished box before them. */
export function printSentences(
  prints: readonly PrintTowards[] | undefined,
  count: number,
): readonly string[] {
  const [first, ...others] = prints ?? [];
  if (!first) return [];
  const where =
    others.length === 0
      ? places[first.towards]
      : inRow(
          [first, ...others].map(({ towards, on }) => `${places[towards]} on the ${inRow(on)}`),
        );
  return [`As the box will stand, the top of ${count === 1 ? 'its' : 'each'} print is ${where}.`];
}
