import {
  half,
  inchFraction,
  largest,
  millimetres,
  plus,
  smallest,
  times,
  zero,
  type Length,
} from '../length/index.ts';
import { widthForTape } from '../tools/index.ts';
import type { Section } from '../marks/index.ts';
import type { StyleBrief, StyleDepth, StyleSection, StyleSmaller } from './brief.ts';
import { depthOf } from './depth.ts';
import { section, type FloorSections } from './sections.ts';

type Brief = Pick<StyleBrief<unknown>, 'kit'>;

/** A seam that is narrower holds no glue. */
const leastSeam = millimetres(3);

/** No tape that is wider than this is asked a wider seam for. */
const mostTaped = plus(inchFraction(1, 2), millimetres(2));

/** A seam behind a panel that has so much room for it: wide enough for the maker's tape, and for a thumb. */
export function seamSection(brief: Brief, id: string, room: Length): StyleSection {
  const taped = smallest(widthForTape(brief.kit.adhesives) ?? millimetres(10), mostTaped);
  const wanted = largest(smallest(largest(millimetres(13), taped), room), leastSeam);
  const scant = largest(times(wanted, 0.6), leastSeam);
  return {
    ...section(brief, id, {
      least: largest(scant, smallest(taped, room)),
      target: wanted,
      weight: 0.1,
    }),
    scant,
    most: largest(wanted, plus(wanted, millimetres(6))),
  };
}

/** How wide such a seam may be as a figure, behind a panel that leaves it so much room. */
export function seamDepth({ id, most }: Section, room: Length): StyleDepth {
  return depthOf('seam', id, { least: leastSeam, most: largest(most, room) });
}

/** Flaps of a bottom, and how far those that face each other over its narrower way go past each other. */
export interface BottomFlaps {
  readonly flaps: StyleSection;
  readonly smaller: readonly StyleSmaller[];
}

/** Flaps that are glued over one another under this floor: well past its middle, where it is wide enough. */
export function bottomFlaps(
  brief: Pick<StyleBrief<unknown>, 'kit' | 'inside'>,
  id: string,
  floor: FloorSections,
): BottomFlaps {
  const { across, deep } = brief.inside;
  const way = across.least < deep.least ? 'across' : 'deep';
  const narrow = brief.inside[way].least;
  return {
    flaps: {
      ...section(brief, id, {
        least: half(narrow),
        target: smallest(plus(half(narrow), millimetres(6)), times(narrow, 0.95)),
        weight: 0.1,
      }),
      most: largest(narrow, floor.byDirection[way].most),
    },
    smaller: [
      { less: id, more: floor[way], by: zero },
      {
        less: floor[way],
        more: id,
        moreTimes: 2,
        by: smallest(inchFraction(3, 8), times(narrow, 0.4)),
        scantBy: zero,
      },
    ],
  };
}
