import { ordinalInWords } from '../length/index.ts';
import type { FaceName } from '../make/index.ts';
import type { FlatFace } from './flat-faces.ts';

/** A face as a sentence names it: `back wall`, `top`, `left roof`. */
export function faceSaid({ role, faces, leans, nth, of, isPetal }: FaceName): string {
  if (isPetal) return 'petal';
  if (role === 'lid') return faces === 'top' && of ? 'lid' : faces;
  if (role === 'end') return `${faces} end`;
  if (role !== 'wall') return role;
  if (nth !== undefined) return `${ordinalInWords(nth)} wall`;
  return leans ? `${faces} roof` : `${faces} wall`;
}

/** Which of several layers it is, from the lowest. */
function wordForLayer(layer: number, layers: number): string {
  if (layers === 1) return '';
  if (layers === 2) return layer === 0 ? 'lower ' : 'upper ';
  if (layers === 3) return ['lower ', 'middle ', 'upper '][layer] ?? '';
  return `${ordinalInWords(layer + 1)} `;
}

/** Words with a capital at their head. */
export function capitalised(words: string): string {
  return `${words.charAt(0).toUpperCase()}${words.slice(1)}`;
}

/** What a face is called as the panel of it is: the side that it is on, and what it is, where that needs saying. */
interface PanelWord {
  readonly side: string;
  readonly noun: '' | 'flap' | 'petal' | 'bottom flap' | 'top flap' | 'roof' | 'wall' | 'end';
  readonly isOnLid: boolean;
}

function wordFor({ role, faces, isOnLid, nth, leans, of, isPetal }: FaceName): PanelWord {
  const plain = { side: faces, noun: '', isOnLid } as const;
  if (isPetal) return { ...plain, side: of?.faces ?? faces, noun: 'petal' };
  if (role === 'flap' && (faces === 'bottom' || faces === 'top'))
    return { ...plain, side: of?.faces ?? faces, noun: `${faces} flap` };
  if (role === 'flap') return { ...plain, noun: 'flap' };
  if (role === 'lid' && faces === 'top' && of) return { ...plain, side: 'lid' };
  if (role === 'end') return { ...plain, noun: 'end' };
  if (role === 'seat') return { ...plain, side: 'seat' };
  if (nth !== undefined) return { ...plain, side: ordinalInWords(nth), noun: 'wall' };
  return leans ? { ...plain, noun: 'roof' } : plain;
}

const around = ['front', 'back', 'left', 'right'];

/** What the sides of several faces are called together; empty where it is all of them. */
export function sidesTogether(sides: readonly string[]): string {
  const [only = ''] = sides;
  if (sides.length === 1) return only;
  if (sides.length > 2 || !sides.every((side) => around.includes(side))) return '';
  return sides.includes('left') && sides.includes('right') ? 'side' : sides.join(' and ');
}

/** What several faces are called together. */
function wordForAll(faces: readonly FlatFace[]): string {
  const words = faces.map(({ name }) => wordFor(name));
  const [first] = words;
  const sides = sidesTogether([...new Set(words.map(({ side }) => side))]);
  const noun = first && words.every((word) => word.noun === first.noun) ? first.noun : 'wall';
  const lid = words.every(({ isOnLid }) => isOnLid) ? 'lid' : '';
  return [lid, sides, sides === '' && noun === '' ? 'wall' : noun]
    .filter((word) => word !== '')
    .join(' ');
}

/** The name of a panel: of what piece, where there are several, for which faces, and which of several layers. */
export function panelName({
  faces,
  piece,
  layer,
  layers,
}: {
  readonly faces: readonly FlatFace[];
  /** The name of the piece that it is worn on; none where the box is one piece. */
  readonly piece: string | undefined;
  readonly layer: number;
  readonly layers: number;
}): string {
  const which = wordForAll(faces);
  const of = piece === undefined ? '' : `${piece.toLowerCase()} `;
  return capitalised(`${wordForLayer(layer, layers)}${of}${which} panel`);
}
