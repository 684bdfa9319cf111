import { capitalised, inRow, type AdditionChoice, type PanelChoice } from '@rangoli/core';
import type { WearableFace } from './wearable-faces.ts';

/** Where something is worn, as its heading: `Top of the lid`, `All walls of the base`. */
export function whereWorn({ on }: PanelChoice, faces: readonly WearableFace[]): string {
  const [first] = faces;
  if (on.which === 'face') return first?.said ?? capitalised(on.face.faces);
  const [, of = ''] = / of the (.+)$/.exec(first?.said ?? '') ?? [];
  return of === '' ? 'All walls' : `All walls of the ${of}`;
}

/** How much a box wears: `2 panels and a stiffener`. */
export function countWorn(additions: readonly AdditionChoice[]): string {
  const panels = additions.filter(({ addition }) => addition === 'panel').length;
  const hasStiffener = additions.some(({ addition }) => addition === 'stiffener');
  return inRow([
    ...(panels === 0 ? [] : [panels === 1 ? '1 panel' : `${panels} panels`]),
    ...(hasStiffener ? ['a stiffener'] : []),
  ]);
}
