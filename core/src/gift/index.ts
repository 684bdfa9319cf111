export {
  inRows,
  itemOf,
  mostInSet,
  rowsOf,
  setItems,
  withAnother,
  withItem,
  withoutItem,
  type Rows,
} from './arrangement.ts';
export { apart, standsInARow, standsInRows } from './apart.ts';
export { commonDrawers, type CommonDrawer, type CommonThing } from './common-things.ts';
export { reshape } from './reshape.ts';
export { measuresOf, type GiftMeasure } from './measures.ts';
export {
  mostInRow,
  giftLimits,
  giftSchema,
  type BlockGift,
  type CylinderGift,
  type Gift,
  type GiftItem,
  type SetGift,
  type SeveralGift,
} from './gift.ts';
export {
  directions,
  extentsOf,
  isLying,
  isRoundGift,
  type Direction,
  type Extents,
} from './extents.ts';
export { waysUp } from './ways-up.ts';
export { footprintsOf, type Footprint } from './footprints.ts';
export { outermostPoints, solidsOf, type GiftSolid, type Place } from './solids.ts';
export {
  directedRoom,
  evenRoom,
  roomLimit,
  roomSchema,
  roomStops,
  roundRoom,
  type DirectedRoom,
  type Room,
} from './room.ts';
export { clearInsideNeeded, type ClearInsideNeeded, type NeededInside } from './clear-inside.ts';
export { neatGift, scaledGift, stretchedGift } from './stretched.ts';
