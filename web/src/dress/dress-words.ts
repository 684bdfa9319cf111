import { capitalised, inRow, type AdditionChoice, type PanelChoice } from '@rangoli/core';
import type { WearableFace } from '../planner/wearable-faces.ts';

/** Where something is worn, as its heading: `Top of the lid`, `All walls of the base`. */
export function whereWorn({ on }: PanelChoice, faces: readonly WearableFace[]): string {
  const [first] = faces;
  if (on.which === 'face') return first?.said ?? capitalised(on.face.faces);
  const [, of = ''] = / of the (.+)$/.exec(first?.said ?? '') ?? [];
  return of === '' ? 'All walls' : `All walls of the ${of}`;
}

const called = {
  panel: ['panel', 'panels'],
  liner: ['liner', 'liners'],
  stiffener: ['stiffener', 'stiffeners'],
  band: ['band', 'bands'],
  dividers: ['set of dividers', 'sets of dividers'],
  ribbon: ['ribbon', 'ribbons'],
  spot: ['spot', 'spots'],
  window: ['window', 'windows'],
  tag: ['tag', 'tags'],
  insert: ['insert', 'inserts'],
  handle: ['handle', 'handles'],
  wire: ['wire handle', 'wire handles'],
} as const satisfies Record<AdditionChoice['addition'], readonly [string, string]>;

/** How much a box wears: `2 panels`, `2 panels and 1 band`, `5 things`. */
export function countWorn(additions: readonly AdditionChoice[]): string {
  const kinds = [...new Set(additions.map(({ addition }) => addition))];
  if (kinds.length > 2) return `${additions.length} things`;
  return inRow(
    kinds.map((kind) => {
      const count = additions.filter(({ addition }) => addition === kind).length;
      return `${count} ${called[kind][count === 1 ? 0 : 1]}`;
    }),
  );
}
