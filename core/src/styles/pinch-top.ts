import { z } from 'zod';
import {
  depthOf,
  giftTube,
  noNarrowerThan,
  pinchedEnd,
  pinchesSides,
  section,
  standOnGluedFlaps,
  tubeAnswer,
  tubeStages,
  type StyleAnswer,
  type StyleBrief,
} from '../forms/index.ts';
import { largest, millimetres, times } from '../length/index.ts';
import { defineStyle } from './define-style.ts';
import { coverOption, howDeep, oneOf, seamOption, usualSeam } from './options.ts';

const options = z.object({
  closing: oneOf('Closing', ['ribbon holes', 'fold over']),
  gable: howDeep({ title: 'Slope', measures: 'the sloping panel, from fold to fold' }, [
    'low',
    'steep',
  ]),
  seam: seamOption,
  cover: coverOption,
});

/** Half a card lies inside the fold lines of the bottom; at the top the sides fold in under the slopes. */
const ends = { bottom: 1, top: 4 };

/** Narrower panels can't be folded in along their middle. */
const leastPanel = millimetres(12);

/** Puts it round the gift, or says why it can’t be. */
export function answer(asked: StyleBrief<z.infer<typeof options>>): StyleAnswer {
  const brief = noNarrowerThan(asked, leastPanel);
  const tube = giftTube(brief, 'bag', ends);
  const { floor } = tube.panels;
  const { across, deep } = floor.byDirection;
  const narrow = across.most < deep.most ? across : deep;
  // The slopes must reach the middle however the marks fall, and rise a little on the way.
  const slope = brief.options.gable === 'steep' ? 0.85 : 0.62;
  const least = times(narrow.most, 0.54);
  const gable = section(brief, 'bag gable', {
    least,
    target: largest(least, times(narrow.target, slope)),
    weight: 0.2,
  });
  const fin = section(brief, 'bag fin', {
    least: millimetres(12),
    target: millimetres(18),
    weight: 0.1,
  });
  const over = section(brief, 'bag over', {
    least: millimetres(8),
    target: millimetres(14),
    weight: 0.1,
  });
  const folds = brief.options.closing === 'fold over';
  const { finished, bottom, cover } = standOnGluedFlaps(brief, tube, {
    id: 'bag',
    name: 'Bag',
    top: pinchedEnd({
      gable: gable.id,
      fin: fin.id,
      ...(folds && { over: over.id }),
      floor,
      begins: tubeStages.top,
    }),
    ends,
    coverPaper: brief.options.cover ? 1 : undefined,
  });
  return tubeAnswer({
    tube,
    finished,
    bottom,
    cover,
    depths: [depthOf('gable', gable.id, { least, most: times(narrow.target, 1.6) })],
    ends: [gable, fin, ...(folds ? [over] : [])],
    smaller: folds ? [{ less: over.id, more: fin.id, by: millimetres(1) }] : [],
    closes: (size) =>
      pinchesSides(size(floor.across), size(floor.deep))
        ? 'pinched sides'
        : 'pinched front and back',
  });
}

/** A bag whose top is pinched flat, its sides folded in. */
export const pinchTop = defineStyle({
  id: 'pinch-top',
  name: 'Pinch-top bag',
  about: 'A bag whose top is pinched flat, its sides folded in',
  papers: ['Bag', 'Bottom cover'],
  options,
  usual: { closing: 'ribbon holes', gable: 'low', seam: usualSeam, cover: false },
  traits: () => ({ opensFromTop: true, showsGift: false }),
});
