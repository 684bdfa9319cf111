import { ordinalInWords } from '../length/index.ts';
import type { FaceName } from '../make/index.ts';
import type { FlatFace } from './flat-faces.ts';

/** A face as a sentence names it: `back wall`, `top`, `left roof`. */
export function faceSaid({ role, faces, leans, nth, of }: FaceName): string {
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

function capitalised(words: string): string {
  return `${words.charAt(0).toUpperCase()}${words.slice(1)}`;
}

/** What a face is called as the panel of it is: `front`, `lid top`. */
function wordFor({ role, faces, isOnLid, nth, leans, above, of }: FaceName): string {
  if (role === 'flap')
    return of?.role === 'tab' ? 'petal' : `${of?.faces ?? ''} ${faces} flap`.trim();
  if (role === 'lid' && faces === 'top' && of) return 'lid';
  if (role === 'end') return `${faces} end`;
  if (role === 'seat') return 'seat';
  if (nth !== undefined) return `${ordinalInWords(nth)} wall`;
  if (leans) return `${faces} roof`;
  const side = above === undefined ? faces : `${faces} ${above}`;
  return isOnLid ? `lid ${side}` : side;
}

const walls = ['front', 'back', 'left', 'right'];

/** What several faces are called together. */
function wordForAll(faces: readonly FlatFace[]): string {
  const words = [...new Set(faces.map(({ name }) => wordFor(name)))];
  const [only = 'wall'] = words;
  if (words.length === 1) return only;
  const shared = ['roof', 'flap', 'petal'].find((noun) =>
    words.every((word) => word.endsWith(noun)),
  );
  if (shared !== undefined) return shared;
  const [lid, sides] = words.every((word) => word.startsWith('lid '))
    ? ['lid ', words.map((word) => word.slice(4))]
    : ['', words];
  if (sides.length > 2 || !sides.every((side) => walls.includes(side))) return `${lid}wall`;
  return sides.includes('left') && sides.includes('right')
    ? `${lid}side`
    : `${lid}${sides.join(' and ')}`;
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
