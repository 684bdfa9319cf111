export {
  assemblySchema,
  type Assembly,
  type Cavity,
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
export { compose, placeInto, shifted, type Frame } from './frame.ts';
export { jointsOf, type Joint, type JointFace } from './joints.ts';
export { measureGap } from './measure-gap.ts';
export { largestOpening, poseFaces } from './pose.ts';
export { sceneAt, type Scene } from './scene.ts';
export { cavitySolid, depthIn, type Solid } from './solid.ts';
export { add, cross, direction, dot, scale, subtract, vector, type Vector } from './vector.ts';
