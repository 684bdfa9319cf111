export {
  finForBorder,
  ridgeClosings,
  ridgeCutouts,
  type BorderedEdge,
  type Fins,
  type RidgeClosing,
} from './ridge.ts';
export { borderFits } from './border.ts';
export { builtInSeat, seatLayers, type BuiltInSeat } from './built-in-seat.ts';
export { gatheredEnd, pleatWidth, type CollarRows } from './collar.ts';
export { archHandle, type ArchHandle } from './arch-handle.ts';
export {
  type FitKind,
  type PieceCutout,
  type PieceTemplate,
  type Refusal,
  type RoughSection,
  type SettledBox,
  type SettledFit,
  type SizeOf,
  type StyleAnswer,
  type StyleBrief,
  type StyleDepth,
  type StyleFit,
  type StyleFrame,
  type StyleSection,
  type StyleSmaller,
  type Worn,
  type WornAnswer,
} from './brief.ts';
export { drawFrame, type DrawnFrame } from './draw-frame.ts';
export {
  columnScore,
  columnSlit,
  diagonalScore,
  drawGrid,
  following,
  mountain,
  rowScore,
  rowSlit,
  valley,
  type PlacedSpan,
} from './draw-grid.ts';
export { atFront, boxRoom, lies, overturned, sitting } from './placing.ts';
export {
  addLayers,
  evenLayers,
  fitsOver,
  floorSections,
  footprint,
  leastWall,
  depthWindow,
  marksWindow,
  noNarrowerThan,
  section,
  sectionsOver,
  wideEnoughForTabs,
  type FloorSections,
  type Footprint,
  type Layers,
} from './sections.ts';
export {
  insideLayers,
  tabLayers,
  tabTaper,
  thumbRadius,
  trayFloor,
  trayStacks,
  trayTemplate,
  trimmedCorners,
  type Tray,
} from './tray.ts';
export {
  flapOf,
  flapTaper,
  gluedEnd,
  openEnd,
  panels,
  seamTaper,
  tubeAside,
  tubeInside,
  tubePanels,
  tubePart,
  tubeStacks,
  tubeTemplate,
  type EndPlace,
  type TubeEnd,
  type TubePanels,
  type TubeShape,
} from './tube.ts';
export { giftTray, openTray, roomOf, smoothTray, withCutouts } from './gift-tray.ts';
export { trayInside } from './tray-inside.ts';
export { depthOf, type Depth } from './depth.ts';
export { handleWidth } from './handle-width.ts';
export { lidTray, lidWallTarget } from './lid-tray.ts';
export {
  leastTuck,
  overlappedEnd,
  roundedFlap,
  tuckedEnd,
  tuckedPanel,
  tuckFit,
  tuckFlap,
  tuckRoom,
} from './closing.ts';
export { finishTube, giftTube, standOnGluedFlaps, tubeAnswer, tubeStages } from './gift-tube.ts';
export { uprightSlit } from './upright-slit.ts';
export {
  hookReach,
  hookSlits,
  hookStack,
  webCreases,
  webStacks,
  slitWidth,
  webStand,
  webTrims,
  type Web,
  type WebsOn,
} from './web.ts';
export { bottomFlaps, seamDepth, seamSection, type BottomFlaps } from './flap-widths.ts';
export { drawHingedBox, hingedStages, type HingedBox } from './hinged-box.ts';
export { flapBox } from './flap-box.ts';
export {
  diamondInside,
  diamondLayers,
  diamondPart,
  diamondStacks,
  diamondTemplate,
  markFor,
  slant,
  type Diamond,
} from './diamond.ts';
export {
  apothemOf,
  cornersOf,
  manySidedRoom,
  manySidedStacks,
  overlappingStacks,
  overlappingTabs,
  panelStrip,
  plate,
  plateSize,
  ringFloors,
  type RingFloor,
  sideTangent,
  stripPart,
  tabSection,
  towardsSeam,
  type ManySided,
} from './many-sided.ts';
export { reachInRing, ringSections, sideForReach } from './ring-sections.ts';
export { cutOpening, noPunchFor, punchedOpening, type RoundOpening } from './round-opening.ts';
export { moveGrid } from './move-grid.ts';
export { liner, type Liner } from './liner.ts';
export { loosePetals, type LoosePetals } from './loose-petals.ts';
export { pinchedEnd, pinchesSides } from './pleats.ts';
export {
  depthUnderRoof,
  flattestRoof,
  leastRoof,
  ridgeOfTent,
  ridgeHeight,
  tentFor,
  slopeForRidge,
  steepestRoof,
} from './tent-shape.ts';
export { cutOutOf } from './cut-out-of.ts';
