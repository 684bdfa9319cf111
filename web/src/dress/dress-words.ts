import { capitalised, type AdditionChoice } from '@rangoli/core';
import type { WearableFace } from './wearable-faces.ts';

/** Where something is worn, as its heading: `Top of the lid`, `All walls of the base`. */
export function whereWorn({ on }: AdditionChoice, faces: readonly WearableFace[]): string {
  const [first] = faces;
  if (on.which === 'face') return first?.said ?? capitalised(on.face.faces);
  const [, of = ''] = / of the (.+)$/.exec(first?.said ?? '') ?? [];
  return of === '' ? 'All walls' : `All walls of the ${of}`;
}

/** How much a box wears: `2 panels`. */
export function countWorn({ length }: readonly AdditionChoice[]): string {
  if (length === 0) return 'nothing yet';
  return length === 1 ? '1 panel' : `${length} panels`;
}
