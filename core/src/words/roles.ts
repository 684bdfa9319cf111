import type { CellRole, CutoutUse } from '../piece/index.ts';
import { countInWords } from './plain.ts';

/** What a part of a piece is called, one and more of it. */
const roles: Readonly<Record<CellRole, readonly [string, string]>> = {
  tab: ['tab', 'tabs'],
  seam: ['seam', 'seams'],
  flap: ['flap', 'flaps'],
  rim: ['rim', 'rims'],
  gusset: ['corner', 'corners'],
  wall: ['wall', 'walls'],
  floor: ['floor', 'floors'],
  lid: ['lid panel', 'lid panels'],
  arch: ['top panel', 'top panels'],
  seat: ['seat', 'seats'],
  end: ['end', 'ends'],
  plate: ['plate', 'plates'],
  leg: ['leg', 'legs'],
  panel: ['panel', 'panels'],
  film: ['film', 'films'],
  waste: ['edge', 'edges'],
};

/** Parts of a piece by name, in one or many: `tab`, `tabs`. */
export function roleInWords(role: CellRole, count: number): string {
  return roles[role][count === 1 ? 0 : 1];
}

/** All of so many parts: `the seam`, `both tabs`, `all four flaps`. */
export function allInWords(role: CellRole, count: number): string {
  if (count === 1) return `the ${roleInWords(role, 1)}`;
  return `${count === 2 ? 'both' : `all ${countInWords(count)}`} ${roleInWords(role, count)}`;
}

/** What is cut out, or off, as a noun: `thumb notch`, `tab`. */
const uses: Readonly<Record<CutoutUse, string>> = {
  'thumb notch': 'thumb notch',
  'finger hole': 'finger hole',
  'hanging hole': 'hole to hang it by',
  window: 'window',
  seat: 'opening',
  'punched seat': 'opening',
  ribbon: 'ribbon hole',
  'ribbon pull': 'hole for the pull',
  wire: 'hole for the wire',
  brad: 'hole for the brad',
  slot: 'slot',
  'lock slit': 'slit for the ears',
  hook: 'hook slit',
  tab: 'tab',
  flap: 'flap',
  ear: 'ear',
  seam: 'seam',
  lip: 'lip',
  'lid side': 'lid side',
  'lid front': 'lid front',
  petal: 'petal',
  disc: 'disc',
  border: 'border',
  plate: 'plate',
  'seat side': 'side of the seat',
  tip: 'tip',
  'web corner': 'corner',
  tongue: 'tongue',
  'hang tab': 'hang tab',
  'panel side': 'side of the panel',
  clearing: 'opening',
  'divider slot': 'slot for the other dividers',
  'tag corner': 'corner of the tag',
  holder: 'opening',
  'elastic notch': 'notch',
  'card slit': 'slit for the gift',
  'ribbon slit': 'slit for the ribbon',
};

/** What is cut out, or off. */
export function useInWords(use: CutoutUse): string {
  return uses[use];
}

/** What is cut right through a part for something to go through; nothing is trimmed by it. */
const openings: ReadonlySet<CutoutUse> = new Set([
  'hook',
  'slot',
  'lock slit',
  'window',
  'clearing',
  'holder',
  'card slit',
  'ribbon slit',
]);

/** Whether a cutout is an opening of its own, and not card trimmed off a part. */
export function isOpening(use: CutoutUse): boolean {
  return openings.has(use);
}
