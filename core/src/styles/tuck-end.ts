import { z } from 'zod';
import {
  finishTube,
  giftTube,
  gluedEnd,
  gluedFlaps,
  roomOf,
  tuckedEnd,
  tuckedPanel,
  tuckFit,
  tuckFlap,
  tuckRoom,
  tubeStages,
  type SizeOf,
  type StyleAnswer,
  type StyleBrief,
} from '../forms/index.ts';
import { half, minus, plus, smallest, times, toMillimetres, type Length } from '../length/index.ts';
import { paperFor } from '../paper/index.ts';
import type { Cutout } from '../piece/index.ts';
import { defineStyle } from './define-style.ts';
import { oneOf, whether } from './options.ts';

const options = z.object({
  bottom: oneOf('Bottom', ['glued', 'tucked']),
  thumbNotch: whether('Thumb notch'),
  window: whether('Round window'),
  hangTab: whether('Hang tab'),
});

function answer(brief: StyleBrief<z.infer<typeof options>>): StyleAnswer {
  const { bottom, thumbNotch, window, hangTab } = brief.options;
  // With a tab at the back to hang it by, the lid hangs on the front.
  const on = hangTab ? 'front' : 'back';
  const isTucked = bottom === 'tucked';
  // Inside a tucked end lie half its lid and the dust flaps.
  const ends = { bottom: isTucked ? 3 : 1, top: 3 };
  const card = paperFor(brief.papers, 0).thickness;
  const tube = giftTube(brief, 'box', ends, tuckRoom(card));
  const { floor } = tube.panels;
  const lid = tuckedPanel(brief, 'box lid', card);
  const tuck = tuckFlap(brief, 'box tuck', tube.wall.least);
  const flaps = gluedFlaps(brief, 'box bottom');
  const tucked = (begins: number, thumb: boolean, hangs: boolean) =>
    tuckedEnd({
      lid: lid.id,
      tuck: tuck.id,
      floor,
      wall: tube.wall.id,
      begins,
      on,
      thumb,
      hangs,
    });
  const round = (size: SizeOf, top: Length): readonly Cutout[] => [
    {
      shape: 'hole',
      use: 'window',
      centre: {
        x: plus(size(floor.deep), half(size(floor.across))),
        y: plus(top, half(size(tube.wall.id))),
      },
      radius: times(smallest(size(floor.across), size(tube.wall.id)), 0.28),
    },
  ];
  const box = finishTube(
    tube,
    {
      id: 'box',
      name: 'Box',
      top: tucked(tubeStages.top, thumbNotch, hangTab),
      bottom: isTucked
        ? tucked(tubeStages.bottom, false, false)
        : gluedEnd(flaps.id, floor, tubeStages.bottom),
      ...(window && { cutouts: round }),
    },
    ends,
  );
  return {
    ok: true,
    frame: {
      sections: [...tube.sections, lid, tuck, ...(isTucked ? [] : [flaps])],
      pieces: [box.template],
      fits: [tuckFit('box', floor.deep, lid.id, card)],
      smaller: [],
      settle: (size) => {
        const clearInside = { ...box.inside(size), deep: minus(size(lid.id), card) };
        // The flap takes its room from the wall that it tucks behind alone.
        const part = box.part(size, tubeStages.stands);
        const spare = toMillimetres(minus(size(lid.id), size(floor.deep))) / 2;
        const back = hangTab ? -spare : spare;
        return {
          clearInside,
          assembly: {
            parts: [{ ...part, at: { ...part.at, y: part.at.y + back } }],
            stacks: [...box.stacks],
            cavity: roomOf(clearInside),
            giftEnters: tubeStages.gift,
          },
        };
      },
    },
  };
}

/** A tube with a lid that tucks in over dust flaps. */
export const tuckEnd = defineStyle({
  id: 'tuck-end',
  name: 'Tuck-end box',
  about: 'A tube whose lid tucks in over dust flaps',
  papers: ['Box'],
  options,
  usual: { bottom: 'glued', thumbNotch: true, window: false, hangTab: false },
  traits: ({ window }) => ({ opensFromTop: true, showsGift: window }),
  answer,
});
