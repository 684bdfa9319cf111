export {
  cutSizeOf,
  faultsOf,
  gridPositions,
  lineName,
  scoreGridSchema,
  sideSchema,
  type CellRole,
  type Diagonal,
  type Fold,
  type GridAxis,
  type GridLine,
  type GridPoint,
  type LineSpan,
  type ScoreGrid,
  type Side,
  type Taper,
} from './score-grid.ts';
export { doubleArea, interiorPoint, isInside, type Point } from './point.ts';
export { type Make, type Segment } from './segments.ts';
export { subdivide, type Face, type Subdivision, type SubdivisionEdge } from './subdivision.ts';
export { isBorder, isWithin, outlinesOf } from './outline.ts';
export { pieceSchema, type Piece } from './piece.ts';
