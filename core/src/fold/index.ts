export {
  assemblySchema,
  type Assembly,
  type Cavity,
  type FaceRef,
  type GridSpot,
  type Part,
  type Stack,
} from './assembly.ts';
export { checkFolding } from './checks.ts';
export { creasePattern, type Crease, type CreasePattern } from './crease-pattern.ts';
export {
  closedFaces,
  foldingBox,
  placeFaces,
  type FoldingBox,
  type FoldingPart,
  type PlacedFace,
} from './folded-box.ts';
export type { FoldFault } from './fold-fault.ts';
export {
  carriedAlong,
  compose,
  flat,
  placeInto,
  seenFrom,
  shifted,
  turnInto,
  type Frame,
} from './frame.ts';
export { isInRing } from './in-ring.ts';
export { jointsOf, type Joint, type JointFace } from './joints.ts';
export { measureGap } from './measure-gap.ts';
export { foldedTo, largestOpening, poseFaces, progressOf, type FoldProgress } from './pose.ts';
export {
  giftAt,
  lyingFrames,
  partPlace,
  posePart,
  poseWorn,
  sceneAt,
  type PartPose,
  wearerOf,
  type Scene,
} from './scene.ts';
export { spotUseSchema, type SpotUse, type StampSpot, type Towards } from './stamp-spot.ts';
export type { Tag } from './tag.ts';
export { ribbonWaySchema, type Ribbon, type RibbonWay } from './ribbon.ts';
export { cavitySolid, depthIn, type Solid } from './solid.ts';
export {
  add,
  cross,
  direction,
  dot,
  lengthOf,
  origin,
  scale,
  subtract,
  vector,
  type Vector,
} from './vector.ts';
