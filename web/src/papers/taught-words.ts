import {
  formatGap,
  formatWithUnit,
  paperOf,
  taughtGaps,
  type KeptPaper,
  type PaperLesson,
} from '@rangoli/core';

const outers = { lid: 'a lid', drawer: 'a drawer', liner: 'a liner' } as const;

/** What is known of a paper beyond what is usual, in a sentence; undefined where nothing is. */
export function taughtWords(
  paper: KeptPaper,
  { thickness, gaps }: PaperLesson,
): string | undefined {
  const usual = paperOf(paper).gaps;
  const learned = taughtGaps.flatMap((gap) => {
    const range = gaps[gap];
    if (!range) return [];
    const { least, target, most } = range;
    return target === usual[gap].target
      ? [
          `${outers[gap]} of it has a gap of ${formatGap(least)} to ${formatGap(most)}, best ${formatGap(target)}`,
        ]
      : [
          `${outers[gap]} of it has a gap of ${formatGap(target)} and not the usual ${formatGap(usual[gap].target)}`,
        ];
  });
  const thick =
    thickness === undefined ? [] : [`it counts as ${formatWithUnit(thickness, 'mm')} thick`];
  const said = [...thick, ...learned];
  return said.length === 0 ? undefined : `Learned: ${said.join('; ')}.`;
}
