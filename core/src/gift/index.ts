export {
  directions,
  extentsOf,
  giftLimits,
  giftSchema,
  type BlockGift,
  type CylinderGift,
  type Direction,
  type Extents,
  type Gift,
} from './gift.ts';
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
