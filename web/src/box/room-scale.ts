import { nanometres, roomStops, roundRoom, type Length, type Unit } from '@rangoli/core';

/** The slider's length in steps; the named amounts of room stand evenly along it. */
export const roomSteps = 300;

const perStop = roomSteps / (roomStops.length - 1);

/** The room at a place on the slider, straight between the named amounts. */
export function roomAt(place: number, unit: Unit): Length {
  const at = Math.min(Math.floor(place / perStop), roomStops.length - 2);
  const [from, to] = roomStops.slice(at, at + 2);
  if (!from || !to) return nanometres(0);
  const share = place / perStop - at;
  const target = from.target + (to.target - from.target) * share;
  return roundRoom(nanometres(Math.round(target)), unit);
}

/** Where an amount of room stands on the slider; at its ends when it is beyond them. */
export function placeOfRoom(room: Length): number {
  const above = roomStops.findIndex(({ target }) => target >= room);
  if (above === 0) return 0;
  if (above < 0) return roomSteps;
  const from = roomStops[above - 1];
  const to = roomStops[above];
  if (!from || !to) return 0;
  return perStop * (above - 1 + (room - from.target) / (to.target - from.target));
}
