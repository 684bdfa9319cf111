import { z } from 'zod';
import {
  finishTube,
  giftTube,
  openEnd,
  thumbRadius,
  tubeAnswer,
  type SizeOf,
  type StyleAnswer,
  type StyleBrief,
} from '../forms/index.ts';
import { half, plus, type Length } from '../length/index.ts';
import type { Cutout } from '../piece/index.ts';
import { defineStyle } from './define-style.ts';
import { oneOf, seamOption, usualSeam } from './options.ts';

const options = z.object({
  notches: oneOf('Thumb notches', ['front and back', 'front', 'none']),
  seam: seamOption,
});

type Brief = StyleBrief<z.infer<typeof options>>;

/** Nothing lies under the gift, nor over it. */
const noEnds = { bottom: 0, top: 0 };

/** Puts it round the gift, or says why it can’t be. */
export function answer(brief: Brief): StyleAnswer {
  const { notches } = brief.options;
  const tube = giftTube(brief, 'sleeve', noEnds);
  const { floor } = tube.panels;
  /** Half-round bites out of the upper edge, in the middle of a panel. */
  const thumbs = (size: SizeOf, top: Length): readonly Cutout[] => {
    const [deep, across] = [size(floor.deep), size(floor.across)];
    const front = plus(deep, half(across));
    const middles = {
      none: [],
      front: [front],
      'front and back': [front, plus(front, deep, across)],
    };
    return middles[notches].map((x) => ({
      shape: 'notch',
      use: 'thumb notch',
      centre: { x, y: top },
      radius: thumbRadius(across, size(tube.wall.id)),
      edge: 'top',
    }));
  };
  const sleeve = finishTube(
    tube,
    { id: 'sleeve', name: 'Sleeve', top: openEnd, bottom: openEnd, cutouts: thumbs },
    noEnds,
  );
  return tubeAnswer({ tube, finished: sleeve, ends: [] });
}

/** A tube that is open at both ends, for a gift that is held by its sides. */
export const sleeve = defineStyle({
  id: 'sleeve',
  name: 'Open sleeve',
  about: 'A tube open at both ends, for a gift that slides in',
  papers: ['Sleeve'],
  options,
  usual: { notches: 'front and back', seam: usualSeam },
  traits: () => ({ opensFromTop: false, showsGift: true }),
});
