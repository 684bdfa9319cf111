import { formatGap, formatWithUnit, taughtGaps, type PaperLesson } from '@rangoli/core';

const plurals = { lid: 'lids', drawer: 'drawers', liner: 'liners' } as const;

/** What trial boxes have taught about a paper, in a sentence; nothing where they have taught nothing. */
export function taughtWords({ thickness, gaps }: PaperLesson): string | undefined {
  const said = taughtGaps.flatMap((gap) => {
    const range = gaps[gap];
    return range ? [`its ${plurals[gap]} clear by ${formatGap(range.target)}`] : [];
  });
  const thick =
    thickness === undefined ? [] : [`it counts as ${formatWithUnit(thickness, 'mm')} thick`];
  const all = [...thick, ...said];
  return all.length === 0 ? undefined : `A trial box has shown: ${all.join(', ')}.`;
}
