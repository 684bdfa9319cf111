import type { Tag } from '../fold/index.ts';
import { formatWithUnit, type Unit } from '../length/index.ts';
import type { NameOf } from './said.ts';

function holeSentence({ hole, layers }: Tag, unit: Unit): string {
  if (!hole) return 'Stick it on the closed box.';
  const made =
    hole.punch === undefined
      ? `Cut a hole ${formatWithUnit(hole.across, unit)} across`
      : `Punch a hole with the ${hole.punch}`;
  const through = layers.length > 0 ? ' through all its layers' : '';
  return `${made}${through}, its middle ${formatWithUnit(hole.fromTop, unit)} from the top edge, as far from both sides.`;
}

/** A tag that is put together and hung on, as it is said at the table. */
export function tagSentences(tag: Tag, nameOf: NameOf, unit: Unit): readonly string[] {
  const { isFolded, layers, hole } = tag;
  return [
    ...(isFolded
      ? ['Fold the tag in half along its score, outside out, and burnish it: the fold is its top.']
      : []),
    ...layers.map(({ piece, standsOff }) => {
      const name = nameOf(piece).toLowerCase();
      return standsOff
        ? `Put foam squares on the back of the ${name}, and press it onto the front of the tag, as far in from every edge.`
        : `Adhesive on the back of the ${name}: press it onto the front of the tag, as far in from every edge.`;
    }),
    holeSentence(tag, unit),
    ...(hole ? ['Put a thread or a ribbon through the hole, and tie the tag to the box.'] : []),
  ];
}
