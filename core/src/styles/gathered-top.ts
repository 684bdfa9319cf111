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
  type StyleAnswer,
  type StyleBrief,
} from '../forms/index.ts';
import { largest, millimetres, times } from '../length/index.ts';
import { defineStyle } from './define-style.ts';
import { coverOption, howDeep, seamOption, usualSeam } from './options.ts';

const options = z.object({
  collar: howDeep({ title: 'Collar', measures: 'from its fold to its edge' }, ['short', 'tall']),
  seam: seamOption,
  cover: coverOption,
});

/** Half a card lies inside the fold lines of the bottom, and of the collar over the room. */
const ends = { bottom: 1, top: 1 };

/** A panel that is narrower has no room for its pleats, nor for the seam behind them. */
const leastPanel = millimetres(10);

function answer(asked: StyleBrief<z.infer<typeof options>>): StyleAnswer {
  const brief = noNarrowerThan(asked, leastPanel);
  const tube = giftTube(brief, 'box', ends);
  const { floor } = tube.panels;
  const { across, deep } = floor.byDirection;
  const narrow = across.most < deep.most ? across : deep;
  // A collar shorter than its pleats are wide could not lean in.
  const least = times(pleatWidth(narrow.most), 1.15);
  const share = brief.options.collar === 'tall' ? 0.95 : 0.7;
  const collar = section(brief, 'box collar', {
    least,
    target: largest(least, times(narrow.target, share)),
    weight: 0.2,
  });
  const { finished, bottom, cover } = standOnGluedFlaps(brief, tube, {
    id: 'box',
    name: 'Box',
    top: gatheredEnd(collar.id, floor, tubeStages.top),
    ends,
    coverPaper: brief.options.cover ? 1 : undefined,
  });
  return tubeAnswer({
    tube,
    finished,
    bottom,
    cover,
    ends: [collar],
    depths: [depthOf('collar', collar.id, { least, most: narrow.target })],
    closes: () => 'gathered',
  });
}

/** A tube with a collar that a ribbon draws in. */
export const gatheredTop = defineStyle({
  id: 'gathered-top',
  name: 'Gathered-top box',
  about: 'A tube with a pleated collar that a ribbon draws in',
  papers: ['Box', 'Bottom cover'],
  options,
  usual: { collar: 'short', seam: usualSeam, cover: false },
  traits: () => ({ opensFromTop: true, showsGift: false }),
  answer,
});
