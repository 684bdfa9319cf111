import { z } from 'zod';
import {
  borderFits,
  giftTube,
  overlappedEnd,
  section,
  standOnGluedFlaps,
  tubeAnswer,
  tubeStages,
  type StyleAnswer,
  type StyleBrief,
} from '../forms/index.ts';
import { millimetres, minus, times } from '../length/index.ts';
import { borderPunches } from '../tools/index.ts';
import { defineStyle } from './define-style.ts';
import { noEdgePunch } from './no-edge-punch.ts';
import { coverOption, oneOf, seamOption, usualSeam } from './options.ts';

const options = z.object({
  edge: oneOf('Edge of the flaps', ['round', 'pointed', 'straight', 'punched']),
  seam: seamOption,
  cover: coverOption,
});

/** Half a card of the bottom; dust flaps and half a card of the closing flaps at the top. */
const ends = { bottom: 1, top: 3 };

type Brief = StyleBrief<z.infer<typeof options>>;

/** Puts it round the gift, or says why it can’t be. */
export function answer(brief: Brief): StyleAnswer {
  const tube = giftTube(brief, 'box', ends);
  const { floor } = tube.panels;
  const { deep, across } = floor.byDirection;
  const { edge } = brief.options;
  const flap = {
    ...section(brief, 'box flap', {
      least: times(deep.least, 0.6),
      target: times(deep.target, 0.8),
      weight: 0.1,
    }),
    most: deep.least,
  };
  // A flap keeps a hair from the edges of its panel.
  const room = { edge: minus(across.least, millimetres(0.8)), deep: flap.least };
  const border = borderPunches(brief.kit.punches).find((repeat) => borderFits(repeat, room));
  if (edge === 'punched' && border === undefined)
    return noEdgePunch(brief.kit, {
      option: 'edge',
      asked: 'Punched edges',
      tooSmall: 'these flaps are too small for it',
    });
  const shape = edge === 'punched' ? (border ? { border } : 'straight') : edge;
  const { finished, bottom, cover } = standOnGluedFlaps(brief, tube, {
    id: 'box',
    name: 'Box',
    top: overlappedEnd(flap.id, floor, tubeStages.top, shape),
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
});
