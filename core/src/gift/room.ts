import { z } from 'zod';
import {
  half,
  inchFraction,
  lengthBetween,
  millimetres,
  roundToGrid,
  type Length,
  type Unit,
} from '../length/index.ts';

const most = millimetres(60);
const mostRoom = lengthBetween(millimetres(0), most);

/** The most room that can be asked for in one direction. */
export const roomLimit = most;

const directedRoomSchema = z
  .object({ target: mostRoom, floor: mostRoom })
  .refine((room) => room.floor <= room.target, {
    error: 'The least room can’t be more than the room that is wanted.',
    path: ['floor'],
  });

/**
 * Clearance round the gift: on each side across and deep, and over the top. `target` is wanted, and the
 * box never has less than `floor`.
 */
export const roomSchema = z.object({
  across: directedRoomSchema,
  deep: directedRoomSchema,
  high: directedRoomSchema,
});
export type Room = z.infer<typeof roomSchema>;
export type DirectedRoom = z.infer<typeof directedRoomSchema>;

/** Room of `target` in one direction, of which half must be left whatever the marks do to it. */
export function directedRoom(target: Length): DirectedRoom {
  return { target, floor: half(target) };
}

/** The same room in every direction. */
export function evenRoom(target: Length): Room {
  const room = directedRoom(target);
  return { across: room, deep: room, high: room };
}

/** Room as it is shown and set: on the 1/64 in or 0.1 mm nearest to what was asked. */
export function roundRoom(target: Length, unit: Unit): Length {
  return roundToGrid(target, unit === 'inch' ? inchFraction(1, 64) : millimetres(0.1));
}

/** Named amounts of room, from least to most. */
export const roomStops = [
  { name: 'snug', target: millimetres(0.8) },
  { name: 'easy', target: millimetres(2.4) },
  { name: 'tissue', target: millimetres(6.4) },
  { name: 'nest', target: millimetres(9.6) },
] as const;
