import type { CellRole } from '../piece/index.ts';
import { countInWords } from './count-in-words.ts';

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
  waste: ['edge', 'edges'],
};

/** Parts of a piece by name, in one or many: `tab`, `tabs`. */
export function roleInWords(role: CellRole, count: number): string {
  return roles[role][count === 1 ? 0 : 1];
}

/** So many parts of a piece: `the seam`, `four tabs`. */
export function severalInWords(count: number, role: CellRole): string {
  return `${count === 1 ? 'the' : countInWords(count)} ${roleInWords(role, count)}`;
}
