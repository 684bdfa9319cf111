import { vector, type Cavity } from '../fold/index.ts';
import type { StyleFrame } from '../forms/index.ts';
import { apart, type Gift } from '../gift/index.ts';
import { largest, minus, plus, toMillimetres, zero } from '../length/index.ts';
import { lessEachWay, noRoomTaken, type RoomTaken } from './room-taken.ts';
import { narrowed, roomAt } from './room-at.ts';
import { additionOf, type AdditionChoice } from './registry.ts';

/** All the room inside the box that these take from the gift’s. */
export function roomTaken(additions: readonly AdditionChoice[], gift: Gift): RoomTaken {
  return additions
    .map((choice) => additionOf(choice).room(gift))
    .reduce(
      (all, each) => ({
        around: plus(all.around, each.around),
        under: plus(all.under, each.under),
        over: plus(all.over, each.over),
      }),
      noRoomTaken,
    );
}

/** The gift with its things as far apart as what stands between them holds them. */
export function heldApart(gift: Gift, additions: readonly AdditionChoice[]): Gift {
  const between = largest(zero, ...additions.map((choice) => additionOf(choice).apart(gift)));
  return between === zero ? gift : apart(gift, between);
}

/** A room without what is taken of it. */
function reduced(cavity: Cavity, { around, under, over }: RoomTaken): Cavity {
  const [side, low, top] = [toMillimetres(around), toMillimetres(under), toMillimetres(over)];
  return {
    ...cavity,
    floor: narrowed(roomAt(cavity, low), side),
    top: narrowed(roomAt(cavity, cavity.high - top), side),
    high: cavity.high - low - top,
  };
}

/**
 * A frame whose clear inside was asked for with so much room more: what is left of it is the gift’s. What lies on the
 * floor raises it, and the box with it: it stands on the clear floor.
 */
export function withRoomTaken(frame: StyleFrame, taken: RoomTaken): StyleFrame {
  const less = lessEachWay(taken);
  if (less.across === zero && less.high === zero) return frame;
  const up = toMillimetres(taken.under);
  return {
    ...frame,
    settle: (size) => {
      const { clearInside, assembly } = frame.settle(size);
      return {
        clearInside: {
          across: minus(clearInside.across, less.across),
          deep: minus(clearInside.deep, less.deep),
          high: minus(clearInside.high, less.high),
        },
        assembly: {
          ...assembly,
          parts: assembly.parts.map((part) => ({
            ...part,
            at: vector(part.at.x, part.at.y, part.at.z - up),
          })),
          cavity: reduced(assembly.cavity, taken),
        },
      };
    },
  };
}
