import type { DressOperation, FaceName } from '../make/index.ts';
import { facesInWords } from './faces.ts';
import { allInWords } from './roles.ts';
import type { NameOf } from './said.ts';

/** The faces that wear something: of walls that are counted only their number, where it is all of them. */
function wornOn(faces: readonly FaceName[]): string {
  const [first] = faces;
  const isCounted = faces.length > 4 && faces.every(({ nth }) => nth !== undefined);
  return first && isCounted ? allInWords(first.role, faces.length) : facesInWords(faces);
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
  const where = wornOn(onto.faces);
  const each = isOne ? where : `each of these: ${where}`;
  return [
    ...(lies === 'flat' ? [`Lay the ${under} flat, outside up.`] : []),
    adhesive,
    `${press} onto the outside of ${each} of the ${under}, as far in from every edge.`,
  ];
}
