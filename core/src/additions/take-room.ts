import { vector, type Cavity } from '../fold/index.ts';
import type { StyleFrame } from '../forms/index.ts';
import { minus, plus, toMillimetres, zero } from '../length/index.ts';
import type { RoomTaken } from './addition.ts';
import { roomAt } from './room-at.ts';
import { additionOf, type AdditionChoice } from './registry.ts';

/** All the room inside the box that these take from the gift’s. */
export function roomTaken(additions: readonly AdditionChoice[]): RoomTaken {
  return additions
    .map((choice) => additionOf(choice).room)
    .reduce(
      (all, each) => ({
        across: plus(all.across, each.across),
        deep: plus(all.deep, each.deep),
        high: plus(all.high, each.high),
      }),
      { across: zero, deep: zero, high: zero },
    );
}

/** A room whose floor lies so much higher. */
function raised(cavity: Cavity, up: number): Cavity {
  return { ...cavity, floor: roomAt(cavity, up), high: cavity.high - up };
}

/**
 * A frame whose clear inside was asked for with so much room more: what is left of it is the gift’s. What lies on the
 * floor raises it, and the box with it: it stands on the clear floor.
 */
export function withRoomTaken(frame: StyleFrame, taken: RoomTaken): StyleFrame {
  if (taken.high === zero) return frame;
  const up = toMillimetres(taken.high);
  return {
    ...frame,
    settle: (size) => {
      const { clearInside, assembly } = frame.settle(size);
      return {
        clearInside: { ...clearInside, high: minus(clearInside.high, taken.high) },
        assembly: {
          ...assembly,
          parts: assembly.parts.map((part) => ({
            ...part,
            at: vector(part.at.x, part.at.y, part.at.z - up),
          })),
          cavity: raised(assembly.cavity, up),
        },
      };
    },
  };
}
