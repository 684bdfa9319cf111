import { z } from 'zod';
import {
  depthOf,
  finishTube,
  giftTube,
  leastTuck,
  leastWall,
  gluedEnd,
  bottomFlaps,
  roomOf,
  tuckedEnd,
  tuckedPanel,
  tuckFit,
  tuckFlap,
  thumbRadius,
  tuckRoom,
  tubeStages,
  type SizeOf,
  type StyleAnswer,
  type StyleBrief,
} from '../forms/index.ts';
import {
  formatWithUnit,
  half,
  largest,
  millimetres,
  minus,
  plus,
  roundUp,
  smallest,
  times,
  toMillimetres,
  zero,
  type Length,
} from '../length/index.ts';
import { paperFor } from '../paper/index.ts';
import type { Cutout } from '../piece/index.ts';
import { defineStyle } from './define-style.ts';
import { oneOf, seamOption, tuckOption, usualSeam, usualTuck, whether } from './options.ts';

const options = z.object({
  bottom: oneOf('Bottom', ['glued', 'tucked']),
  thumbNotch: whether('Thumb notch'),
  window: whether('Round window'),
  hangTab: whether('Hang tab'),
  tuck: tuckOption,
  seam: seamOption,
});

/** Two flaps behind one wall keep apart by this much, and a flap keeps as far from a window. */
const apart = millimetres(1);

/** A window smaller than this shows nothing. */
const leastWindow = millimetres(6);

/** What a front of a box has to hold: flaps that tuck in behind it, a notch in its edge, a window. */
interface Front {
  /** How many flaps tuck in behind one wall, this one or the one that faces it. */
  readonly flaps: number;
  /** How deep a notch is in a wall so high; none where that is in the other wall. */
  readonly notch: (wall: Length) => Length;
  /** Whether there is a window in the wall that the flaps tuck in behind. */
  readonly window: boolean;
}

/** How long the flaps may be that tuck in behind a wall so high; none where there is no room for them. */
function roomForTucks(wall: Length, { flaps, notch, window }: Front): Length | undefined {
  const taken = plus(times(apart, flaps - 1), window ? plus(leastWindow, apart) : zero);
  const each = times(minus(wall, taken), 1 / flaps);
  // The notch takes as much of the wall as the upper flap, or more.
  const underNotch = minus(wall, window ? plus(leastWindow, apart) : zero, notch(wall), apart);
  const room = flaps > 1 ? smallest(each, underNotch) : each;
  const isShut = window && underNotch < 0;
  return room < leastTuck || isShut ? undefined : room;
}

/** The lowest wall that has room for all of it, to a quarter of a millimetre. */
function lowestWall(from: Length, front: Front): Length {
  const step = millimetres(0.25);
  let wall = from;
  while (roomForTucks(wall, front) === undefined) wall = plus(wall, step);
  return wall;
}

function tooLow(brief: StyleBrief<unknown>, more: Length): StyleAnswer {
  const { step, unit } = brief.kit.trimmer;
  const nearest = roundUp(plus(brief.gift.high, more), step);
  return {
    ok: false,
    refusal: {
      field: 'style.options.window',
      message: `The flap that tucks in behind the front would shut a window: this gift is too low for both. With a window it takes a gift from ${formatWithUnit(nearest, unit)} high.`,
    },
  };
}

/** Puts it round the gift, or says why it can’t be. */
export function answer(brief: StyleBrief<z.infer<typeof options>>): StyleAnswer {
  const { bottom, thumbNotch, window, hangTab } = brief.options;
  // With a tab at the back to hang it by, the lid hangs on the front.
  const on = hangTab ? 'front' : 'back';
  const isTucked = bottom === 'tucked';
  // Inside a tucked end lie half its lid and the dust flaps.
  const ends = { bottom: isTucked ? 3 : 1, top: 3 };
  const card = paperFor(brief.papers, 0).thickness;
  const flaps = isTucked ? 2 : 1;
  const tube = giftTube(brief, 'box', ends, {
    linedWith: tuckRoom(card),
    lowest: largest(leastWall, lowestWall(leastWall, { flaps, notch: () => zero, window: false })),
  });
  const notchIn = (across: Length, wall: Length) =>
    thumbNotch && !hangTab ? thumbRadius(across, wall) : zero;
  const widest = tube.panels.floor.byDirection.across.most;
  // With a tab at the back the flaps tuck in behind that, and leave the front to the window.
  const front: Front = {
    flaps,
    notch: (wall) => notchIn(widest, wall),
    window: window && !hangTab,
  };
  const { least: high } = tube.wall;
  const room = roomForTucks(high, front);
  if (room === undefined) {
    // A very low gift has a wall that is higher than it asks for.
    const asked = plus(brief.inside.high.least, times(card, (ends.bottom + ends.top) / 2));
    return tooLow(brief, minus(lowestWall(high, front), asked));
  }
  const { floor } = tube.panels;
  const lid = tuckedPanel(brief, 'box lid', card);
  const tuck = tuckFlap(brief, 'box tuck', tube.wall.least, room);
  const glued = bottomFlaps(brief, 'box bottom', floor);
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
  const round = (size: SizeOf, top: Length): readonly Cutout[] => {
    const wall = size(tube.wall.id);
    // Behind the front the flaps reach so far down from its upper edge and up from its lower one.
    const taken = front.window ? plus(size(tuck.id), apart) : zero;
    const notch = notchIn(size(floor.across), wall);
    const from = largest(taken, notch > 0 ? plus(notch, apart) : zero);
    const to = flaps > 1 ? minus(wall, taken) : wall;
    return [
      {
        shape: 'hole',
        use: 'window',
        centre: {
          x: plus(size(floor.deep), half(size(floor.across))),
          y: plus(top, half(plus(from, to))),
        },
        radius: smallest(
          times(smallest(size(floor.across), wall), 0.28),
          minus(half(minus(to, from)), flaps > 1 ? zero : half(apart)),
        ),
      },
    ];
  };
  const box = finishTube(
    tube,
    {
      id: 'box',
      name: 'Box',
      top: tucked(tubeStages.top, thumbNotch, hangTab),
      bottom: isTucked
        ? tucked(tubeStages.bottom, false, false)
        : gluedEnd(glued.flaps.id, floor, tubeStages.bottom),
      ...(window && { cutouts: round }),
    },
    ends,
  );
  return {
    ok: true,
    frame: {
      sections: [...tube.sections, lid, tuck, ...(isTucked ? [] : [glued.flaps])],
      pieces: [box.template],
      fits: [tuckFit('box', floor.deep, lid.id, card)],
      smaller: isTucked ? [] : glued.smaller,
      depths: [depthOf('tuck', tuck.id, { least: leastTuck, most: room }), tube.panels.seamDepth],
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
            stacks: [...box.stacks(size)],
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
  usual: {
    bottom: 'glued',
    thumbNotch: true,
    window: false,
    hangTab: false,
    tuck: usualTuck,
    seam: usualSeam,
  },
  traits: ({ window }) => ({ opensFromTop: true, showsGift: window }),
});
