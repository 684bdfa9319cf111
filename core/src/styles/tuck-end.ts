import { z } from 'zod';
import {
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
import { oneOf, whether } from './options.ts';

const options = z.object({
  bottom: oneOf('Bottom', ['glued', 'tucked']),
  thumbNotch: whether('Thumb notch'),
  window: whether('Round window'),
  hangTab: whether('Hang tab'),
});

/** Two flaps behind one wall keep apart by this much, and a flap keeps as far from a window. */
const apart = millimetres(1);

/** A window smaller than this shows nothing. */
const leastWindow = millimetres(6);

/** What lies behind the front: how many flaps tuck in there, and so how much of it is left for a window. */
interface Front {
  readonly flaps: number;
  readonly window: boolean;
}

/** How long the flaps behind a front so high may be. */
function roomForTucks(wall: Length, { flaps, window }: Front): Length {
  if (flaps === 0) return wall;
  const taken = window ? plus(leastWindow, apart) : zero;
  return times(minus(wall, taken, times(apart, flaps - 1)), 1 / flaps);
}

function tooLow(brief: StyleBrief<unknown>, lowest: Length, wall: Length): StyleAnswer {
  const { step, unit } = brief.kit.trimmer;
  const nearest = roundUp(plus(brief.gift.high, minus(lowest, wall)), step);
  return {
    ok: false,
    refusal: {
      field: 'style.options.window',
      message: `The flap that tucks in behind the front would shut a window: this gift is too low for both. Choose no window, or a gift from ${formatWithUnit(nearest, unit)} high.`,
    },
  };
}

function answer(brief: StyleBrief<z.infer<typeof options>>): StyleAnswer {
  const { bottom, thumbNotch, window, hangTab } = brief.options;
  // With a tab at the back to hang it by, the lid hangs on the front.
  const on = hangTab ? 'front' : 'back';
  const isTucked = bottom === 'tucked';
  // Inside a tucked end lie half its lid and the dust flaps.
  const ends = { bottom: isTucked ? 3 : 1, top: 3 };
  const card = paperFor(brief.papers, 0).thickness;
  const behind = isTucked ? 2 : 1;
  const front: Front = { flaps: hangTab ? 0 : behind, window };
  const tube = giftTube(brief, 'box', ends, {
    linedWith: tuckRoom(card),
    lowest: largest(leastWall, plus(times(leastTuck, behind), times(apart, behind - 1))),
  });
  const room = smallest(
    roomForTucks(tube.wall.least, { flaps: behind, window: false }),
    roomForTucks(tube.wall.least, front),
  );
  if (room < leastTuck)
    return tooLow(
      brief,
      plus(tube.wall.least, times(minus(leastTuck, room), behind)),
      tube.wall.least,
    );
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
    const taken = front.flaps > 0 ? plus(size(tuck.id), apart) : zero;
    const [from, to] = [taken, front.flaps > 1 ? minus(wall, taken) : wall];
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
          minus(half(minus(to, from)), front.flaps > 1 ? zero : half(apart)),
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
  usual: { bottom: 'glued', thumbNotch: true, window: false, hangTab: false },
  traits: ({ window }) => ({ opensFromTop: true, showsGift: window }),
  answer,
});
