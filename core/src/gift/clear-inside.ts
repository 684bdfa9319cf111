import { plus, times, type Length } from '../length/index.ts';
import { extentsOf } from './extents.ts';
import type { Gift } from './gift.ts';
import type { Room } from './room.ts';

/** How much clear inside a box should have in one direction, and the least that will do. */
export interface NeededInside {
  readonly least: Length;
  readonly target: Length;
}

export interface ClearInsideNeeded {
  readonly across: NeededInside;
  readonly deep: NeededInside;
  readonly high: NeededInside;
}

/** The clear inside that a box must have for the gift with its room: twice the room sideways, once upwards. */
export function clearInsideNeeded(gift: Gift, room: Room): ClearInsideNeeded {
  const size = extentsOf(gift);
  const needed = (direction: keyof Room, sides: number): NeededInside => ({
    least: plus(size[direction], times(room[direction].floor, sides)),
    target: plus(size[direction], times(room[direction].target, sides)),
  });
  return {
    across: needed('across', 2),
    deep: needed('deep', 2),
    high: needed('high', 1),
  };
}
