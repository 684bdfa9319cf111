import type { JoinOperation, LineOperation } from '../make/index.ts';
import { counted, countInWords, inRow } from './plain.ts';
import { printSentences } from './print-towards.ts';
import type { NameOf } from './said.ts';

/** How a piece comes to the others by itself. */
export function joinSentences(
  { piece, how, onto, count = 1, isHooked, elastics = 0, prints }: JoinOperation,
  nameOf: NameOf,
): readonly string[] {
  const [one, other] = [nameOf(piece).toLowerCase(), nameOf(onto).toLowerCase()];
  const ends = isHooked ? 'hooked ends' : 'seam';
  const behind = isHooked ? ', its hooked ends at the back' : '';
  switch (how) {
    case 'over':
      return [`Slide the ${one} over the ${other}.`];
    case 'into':
      return [`Slide the ${one} into the ${other}, down to the floor.`];
    case 'place':
      return [`Put the ${one} in its place at the ${other}.`];
    case 'on its floor':
      return [
        ...(elastics > 0
          ? [`Put ${counted(elastics, 'elastic')} round the ${one}, one in each pair of notches.`]
          : []),
        `Lay the ${one} in the ${other}, flat on the floor.`,
        ...printSentences(prints, 1),
      ];
    case 'on its legs':
      return [`Stand the ${one} in the ${other}, its legs on the floor.`];
    case 'through its slots':
      return [
        `Stand each ${other} on its long edge, slots up.`,
        `Push each ${one} down over all of them, slots down, until their edges are level.`,
      ];
    case 'between the things':
      return [
        `Stand ${count === 1 ? 'the' : 'each'} ${one} in the ${other}, down to the floor, its flaps against the walls, ${count === 1 ? 'in the middle' : 'all places as wide'}.`,
      ];
    case 'on edge':
      return [
        `Stand the joined dividers in the ${other}, down to the floor, as far from every wall.`,
      ];
    case 'round the walls':
      return [`Slide the ${one} over the closed box from above, to half its height${behind}.`];
    case 'round the foot of the walls':
      return [`Slide the ${one} over the closed box from above, down to the table${behind}.`];
    case 'round the base':
      return [`Slide the ${one} over the ${other} from above, to half its height${behind}.`];
    case 'round from left to right':
      return [
        `Slide the ${one} over the closed box from the front, to the middle, its ${ends} at the bottom.`,
      ];
    case 'round from front to back':
      return [
        `Slide the ${one} over the closed box from the right, to the middle, its ${ends} at the bottom.`,
      ];
  }
}

/** Plates that are glued to the inside of walls, each one standing on the floor. */
export function lineSentences(
  { piece, onto, walls, prints }: LineOperation,
  nameOf: NameOf,
): readonly string[] {
  const [name, other] = [nameOf(piece).toLowerCase(), nameOf(onto).toLowerCase()];
  const count = typeof walls === 'number' ? walls : walls.length;
  const where =
    typeof walls === 'number' || count > 3
      ? `each of the ${countInWords(count)} walls`
      : inRow(walls.map((side) => `the ${side} wall`));
  return [
    `Adhesive all over the back of ${count === 1 ? 'the' : 'each'} ${name}.`,
    `Press ${count === 1 ? 'it' : 'one'} onto the inside of ${where} of the ${other}, standing on the floor, as far from both ends.`,
    ...printSentences(prints, count),
  ];
}
