export type { LeftOff } from './addition.ts';
export {
  dressAsItIs,
  dressFrame,
  leftOff,
  mayGoUnder,
  papersWorn,
  wearable,
  withWornPaper,
  type DressAnswer,
  type DressRequest,
} from './dress-frame.ts';
export { withoutOpenings } from './openings.ts';
export { choiceOf, chosenFrom, isSameFace, type FaceChoice } from './face-choice.ts';
export { bandLimits, bandWays, type BandChoice } from './band.ts';
export { handleLimits, type HandleChoice } from './handle.ts';
export { platformLimits, type InsertChoice } from './insert.ts';
export type { LinerChoice } from './liner.ts';
export type { FlatFace } from './flat-faces.ts';
export { newPanel, usualMargin, withLayer } from './new-panel.ts';
export { marginLimits, mostLayers, type PanelChoice } from './panel.ts';
export { ribbonLimits, ribbonWays, type RibbonChoice } from './ribbon.ts';
export { insetLimits, placesOnFace, type PlaceOnFace, type SpotChoice } from './spot.ts';
export type { StiffenerChoice } from './stiffener.ts';
export { tagLimits, type TagChoice } from './tag.ts';
export { windowPlaces, type WindowPlace } from './window-places.ts';
export { windowLimits, type WindowChoice } from './window.ts';
export type { OverTop } from './facing-walls.ts';
export type { WireChoice } from './wire.ts';
export { wireWays } from './wire-ways.ts';
export { lessEachWay, type RoomTaken } from './room-taken.ts';
export type { DividersChoice } from './dividers.ts';
export { heldApart, roomTaken, withRoomTaken } from './take-room.ts';
export { additionSchema, type AdditionChoice } from './registry.ts';
