import type { Tag } from '../fold/index.ts';
import { formatWithUnit, type Unit } from '../length/index.ts';
import type { NameOf } from './said.ts';

/** The top of a tag as bare card shows it. */
const tops: Readonly<Record<Tag['top'], string>> = {
  fold: 'the fold',
  'cut corners': 'the edge between the cut corners',
  'shaped end': 'the tip of the shaped end',
  'shorter edge': 'one of its shorter edges',
  'longer edge': 'one of its longer edges',
  'any edge': 'one edge',
  rim: 'the edge',
};

function holeSentence({ hole, layers, top }: Tag, unit: Unit): string {
  if (!hole) return 'Stick it on the closed box.';
  const made =
    hole.punch === undefined
      ? `Cut a hole ${formatWithUnit(hole.across, unit)} across`
      : `Punch a hole with the ${hole.punch}`;
  const through = layers.length > 0 ? ' through all its layers' : '';
  return `${made}${through}, its middle ${formatWithUnit(hole.fromTop, unit)} from ${tops[top]}, as far from both sides.`;
}

/** A tag that is put together and hung on, as it is said at the table. */
export function tagSentences(tag: Tag, nameOf: NameOf, unit: Unit): readonly string[] {
  const { isFolded, layers, hole, endPunch } = tag;
  return [
    ...(endPunch === undefined
      ? []
      : [
          `Push an end of it that is ${formatWithUnit(endPunch.across, unit)} wide into the ${endPunch.name}, and punch it: that end is its top.`,
        ]),
    ...(isFolded
      ? ['Fold the tag in half along its score, outside out, and burnish it: the fold is its top.']
      : []),
    ...layers.flatMap(({ piece, standsOff }) => {
      const how = standsOff ? 'Put foam squares on' : 'Adhesive all over';
      return [
        `${how} the back of the ${nameOf(piece).toLowerCase()}.`,
        'Press it onto the front of the tag, as far in from every edge.',
      ];
    }),
    holeSentence(tag, unit),
    ...(hole ? ['Put a thread or a ribbon through the hole, and tie the tag to the box.'] : []),
  ];
}
