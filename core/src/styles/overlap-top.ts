import { z } from 'zod';
import {
  giftTube,
  overlappedEnd,
  section,
  standOnGluedFlaps,
  tubeAnswer,
  tubeStages,
  type StyleAnswer,
  type StyleBrief,
} from '../forms/index.ts';
import { millimetres, times } from '../length/index.ts';
import { defineStyle } from './define-style.ts';
import { coverOption, oneOf, seamOption, usualSeam } from './options.ts';

const options = z.object({
  edge: oneOf('Edge of the flaps', ['round', 'pointed', 'straight']),
  seam: seamOption,
  cover: coverOption,
});

/** Half a card of the bottom; dust flaps and half a card of the closing flaps at the top. */
const ends = { bottom: 1, top: 3 };

function answer(brief: StyleBrief<z.infer<typeof options>>): StyleAnswer {
  const tube = giftTube(brief, 'box', ends);
  const { floor } = tube.panels;
  const { deep } = floor.byDirection;
  const flap = {
    ...section(brief, 'box flap', {
      least: times(deep.least, 0.6),
      target: times(deep.target, 0.8),
      weight: 0.1,
    }),
    most: deep.least,
  };
  const { finished, bottom, cover } = standOnGluedFlaps(brief, tube, {
    id: 'box',
    name: 'Box',
    top: overlappedEnd(flap.id, floor, tubeStages.top, brief.options.edge),
    ends,
    coverPaper: brief.options.cover ? 1 : undefined,
  });
  // Each of the two reaches past the middle.
  return tubeAnswer({
    tube,
    finished,
    bottom,
    cover,
    ends: [flap],
    smaller: [{ less: floor.deep, more: flap.id, moreTimes: 2, by: millimetres(1) }],
  });
}

/** A tube whose front and back run up to shaped edges that close over each other. */
export const overlapTop = defineStyle({
  id: 'overlap-top',
  name: 'Overlap-top box',
  about: 'A tube whose front and back close over each other',
  papers: ['Box', 'Bottom cover'],
  options,
  usual: { edge: 'round', seam: usualSeam, cover: false },
  traits: () => ({ opensFromTop: true, showsGift: false }),
  answer,
});
