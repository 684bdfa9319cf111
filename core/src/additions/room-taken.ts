import { plus, times, zero, type Length } from '../length/index.ts';

/** Room inside the box that is no longer the gift’s: on each side of it, under it and over it. */
export interface RoomTaken {
  readonly around: Length;
  readonly under: Length;
  readonly over: Length;
}

/** Nothing of it. */
export const noRoomTaken: RoomTaken = { around: zero, under: zero, over: zero };

/** How much smaller the room is each way by what is taken of it. */
export function lessEachWay({ around, under, over }: RoomTaken) {
  return { across: times(around, 2), deep: times(around, 2), high: plus(under, over) };
}
