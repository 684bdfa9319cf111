import type { Unit } from '../length/index.ts';
import type { DressOperation } from '../make/index.ts';
import { facesInWords, rowOfFaces } from './faces.ts';
import { formatNearest } from './measures.ts';
import { countInWords } from './plain.ts';
import { printSentences } from './print-towards.ts';
import { rowWays } from './row-ways.ts';
import type { NameOf } from './said.ts';

type OnFaces = Extract<DressOperation['onto'], { kind: 'faces' }>;

/** The faces that wear something, each one: of walls only their number is told, where it is all of them. */
function eachOf({ faces, isAllRound }: OnFaces): string {
  const all = facesInWords(faces);
  if (isAllRound) return `each of the ${countInWords(faces.length)} walls`;
  const [, among] = /^all (four walls.*)$/.exec(all) ?? [];
  return among === undefined ? `each of these: ${all}` : `each of the ${among}`;
}

/** How the flat piece is laid with its outside up: by its parts, where the one that is meant could be taken for another. */
function layOutsideUp(
  { onto, lies, side }: DressOperation,
  under: string,
  laid: string | undefined,
): readonly string[] {
  if (lies === 'folded' || onto.kind === 'layer') return [];
  if (onto.kind === 'piece' || onto.rows.length === 0 || laid === undefined)
    return [`Lay the ${under} flat, ${side} up.`];
  return [
    `Lay the ${under} flat, ${laid}.`,
    ...onto.rows.map(({ way, faces }) => `${rowWays[way]} it has ${rowOfFaces(faces)}.`),
    ...(side === 'outside' ? ['Turn it over like a page, outside up.'] : []),
  ];
}

/** Where on its face it is pressed. */
function placeOnFace({ side, fromFold }: DressOperation, unit: Unit): string {
  if (fromFold !== undefined)
    return `its wide end along the fold, ${formatNearest(fromFold, unit)} from it, as far from both ends of the fold`;
  return side === 'outside' ? 'as far in from every edge' : 'in the middle';
}

/** What is worn is glued on, in the middle of its face. */
export function dressSentences(
  dress: DressOperation,
  nameOf: NameOf,
  { unit, laid }: { readonly unit: Unit; readonly laid: string | undefined },
): readonly string[] {
  const { piece, onto, count, side, isFilm, prints } = dress;
  const [name, under] = [nameOf(piece).toLowerCase(), nameOf(onto.piece).toLowerCase()];
  const isOne = count === 1;
  const press = isOne ? 'Press it' : 'Press one';
  const where = () => {
    switch (onto.kind) {
      case 'layer':
        return `${isOne ? 'the' : 'each'} ${under}`;
      case 'piece':
        return `the ${side} of the ${under}`;
      case 'faces':
        return `the ${side} of ${isOne ? facesInWords(onto.faces) : eachOf(onto)} of the ${under}`;
    }
  };
  if (isFilm)
    return [
      ...layOutsideUp(dress, under, laid),
      `Adhesive along the edges of ${isOne ? 'the' : 'each'} ${name}.`,
      `${press} onto ${where()}, over ${isOne ? 'its' : 'each'} window.`,
    ];
  return [
    ...layOutsideUp(dress, under, laid),
    `Adhesive all over the back of ${isOne ? 'the' : 'each'} ${name}.`,
    `${press} onto ${where()}, ${placeOnFace(dress, unit)}.`,
    ...printSentences(prints, count),
  ];
}
