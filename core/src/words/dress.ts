import type { DressOperation } from '../make/index.ts';
import { facesInWords } from './faces.ts';
import { countInWords } from './plain.ts';
import type { NameOf } from './said.ts';

type OnFaces = Extract<DressOperation['onto'], { kind: 'faces' }>;

/** The faces that wear something, each one: of walls only their number is told, where it is all of them. */
function eachOf({ faces, isAllRound }: OnFaces): string {
  const all = facesInWords(faces);
  if (isAllRound) return `each of the ${countInWords(faces.length)} walls`;
  const [, among] = /^all (four walls.*)$/.exec(all) ?? [];
  return among === undefined ? `each of these: ${all}` : `each of the ${among}`;
}

/** What is worn is glued on, in the middle of its face. */
export function dressSentences(
  { piece, onto, count, lies }: DressOperation,
  nameOf: NameOf,
): readonly string[] {
  const [name, under] = [nameOf(piece).toLowerCase(), nameOf(onto.piece).toLowerCase()];
  const isOne = count === 1;
  const adhesive = `Adhesive all over the back of ${isOne ? 'the' : 'each'} ${name}.`;
  const press = isOne ? 'Press it' : 'Press one';
  if (onto.kind === 'layer')
    return [
      adhesive,
      `${press} onto ${isOne ? 'the' : 'each'} ${under}, as far in from every edge.`,
    ];
  const flat = lies === 'flat' ? [`Lay the ${under} flat, outside up.`] : [];
  if (onto.kind === 'piece')
    return [
      ...flat,
      adhesive,
      `${press} onto the outside of the ${under}, as far in from every edge.`,
    ];
  const where = isOne ? facesInWords(onto.faces) : eachOf(onto);
  return [
    ...flat,
    adhesive,
    `${press} onto the outside of ${where} of the ${under}, as far in from every edge.`,
  ];
}
