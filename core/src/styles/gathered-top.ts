import { z } from 'zod';
import {
  depthOf,
  gatheredEnd,
  giftTube,
  noNarrowerThan,
  pleatWidth,
  section,
  standOnGluedFlaps,
  tubeAnswer,
  tubeStages,
  type CollarRows,
  type StyleAnswer,
  type StyleBrief,
} from '../forms/index.ts';
import { largest, millimetres, times, type Length } from '../length/index.ts';
import { defineStyle } from './define-style.ts';
import { coverOption, howDeep, oneOf, seamOption, usualSeam } from './options.ts';

const options = z.object({
  collar: howDeep(
    { title: 'Collar', measures: 'of each row, from its fold to the next or its edge' },
    ['short', 'tall'],
  ),
  rows: oneOf('Rows of the collar', ['one', 'three']).default('one'),
  seam: seamOption,
  cover: coverOption,
});

/** Half a card lies inside the fold lines of the bottom, and of the collar over the room. */
const ends = { bottom: 1, top: 1 };

interface CollarLimits {
  /** A panel that is narrower has no room for its pleats, nor for the seam behind them; nor for a hole in its neck. */
  readonly leastPanel: Length;
  /** How deep a row is, of the width of the narrower panel. */
  readonly share: Readonly<Record<'short' | 'tall', number>>;
  /** A deeper one would reach past the middle, or look like a chimney. */
  readonly most: number;
}

const limits: Readonly<Record<CollarRows, CollarLimits>> = {
  one: { leastPanel: millimetres(10), share: { short: 0.7, tall: 0.95 }, most: 1 },
  three: { leastPanel: millimetres(20), share: { short: 0.37, tall: 0.5 }, most: 0.7 },
};

/** Puts it round the gift, or says why it can’t be. */
export function answer(asked: StyleBrief<z.infer<typeof options>>): StyleAnswer {
  const { rows } = asked.options;
  const { leastPanel, share, most } = limits[rows];
  const brief = noNarrowerThan(asked, leastPanel);
  const tube = giftTube(brief, 'box', ends);
  const { floor } = tube.panels;
  const { across, deep } = floor.byDirection;
  const narrow = across.most < deep.most ? across : deep;
  // A collar shorter than its pleats are wide could not lean in.
  const least = times(pleatWidth(narrow.most, rows), 1.15);
  const collar = section(brief, 'box collar', {
    least,
    target: largest(
      least,
      times(narrow.target, share[brief.options.collar === 'tall' ? 'tall' : 'short']),
    ),
    weight: 0.2,
  });
  const { finished, bottom, cover } = standOnGluedFlaps(brief, tube, {
    id: 'box',
    name: 'Box',
    top: gatheredEnd({ row: collar.id, rows, floor, begins: tubeStages.top }),
    ends,
    coverPaper: brief.options.cover ? 1 : undefined,
  });
  return tubeAnswer({
    tube,
    finished,
    bottom,
    cover,
    ends: [collar],
    depths: [depthOf('collar', collar.id, { least, most: times(narrow.target, most) })],
    closes: () => (rows === 'three' ? 'gathered to a neck' : 'gathered'),
  });
}

/** A tube with a collar that a ribbon draws in. */
export const gatheredTop = defineStyle({
  id: 'gathered-top',
  name: 'Gathered-top box',
  about: 'A tube with a pleated collar that a ribbon draws in',
  papers: ['Box', 'Bottom cover'],
  options,
  usual: { collar: 'short', rows: 'one', seam: usualSeam, cover: false },
  traits: () => ({ opensFromTop: true, showsGift: false }),
});
