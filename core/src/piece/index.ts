export { derivedFromGrid } from './derived.ts';
export {
  cellRoleSchema,
  cutSizeOf,
  cutoutUseSchema,
  faultsOf,
  gridPositions,
  halves,
  isSameLine,
  scoreGridSchema,
  sideSchema,
  type CellRole,
  type Cutout,
  type CutoutUse,
  type Diagonal,
  type Fold,
  type GridAxis,
  type GridLine,
  type GridPoint,
  type LineRef,
  type LineSpan,
  type Patch,
  type ScoreGrid,
  type Side,
  type Spot,
  type Taper,
} from './score-grid.ts';
export { doubleArea, interiorPoint, isInside, type Point } from './point.ts';
export { gridPlacer, type Make, type Segment } from './segments.ts';
export { subdivide, type Face, type Subdivision, type SubdivisionEdge } from './subdivision.ts';
export { isBorder, isWithin, outlinesOf } from './outline.ts';
export { wasteOf, type Waste } from './waste.ts';
export { linesAtMark, type Run } from './mark-lines.ts';
export { pieceSchema, punchBoardSchema, type Piece, type PunchBoard } from './piece.ts';
