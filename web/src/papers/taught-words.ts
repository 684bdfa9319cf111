import {
  formatGap,
  formatWithUnit,
  paperOf,
  taughtGaps,
  type KeptPaper,
  type PaperLesson,
} from '@rangoli/core';

const plurals = { lid: 'lids', drawer: 'drawers', liner: 'liners' } as const;

/** What is known of a paper beyond what is usual, in a sentence; undefined where nothing is. */
export function taughtWords(
  paper: KeptPaper,
  { thickness, gaps }: PaperLesson,
): string | undefined {
  const usual = paperOf(paper).gaps;
  const clear = taughtGaps.flatMap((gap) => {
    const range = gaps[gap];
    if (!range) return [];
    const said = `${plurals[gap]} of it clear by ${formatGap(range.target)}`;
    return range.target === usual[gap].target
      ? [said]
      : [`${said} in place of ${formatGap(usual[gap].target)}`];
  });
  const thick =
    thickness === undefined ? [] : [`it counts as ${formatWithUnit(thickness, 'mm')} thick`];
  const said = [...thick, ...clear];
  return said.length === 0 ? undefined : `Learned: ${said.join(', ')}.`;
}
