export {
  adhesiveSchema,
  genericAdhesives,
  tapeFor,
  wetGlueIn,
  widthForTape,
  type Adhesive,
} from './adhesive.ts';
export {
  cornerBoardSchema,
  faultsInMarks,
  genericCornerBoards,
  type CornerBoard,
  type MarkFault,
  type NamedMark,
} from './corner-board.ts';
export {
  diagonalBoardSchema,
  genericDiagonalBoards,
  type DiagonalBoard,
} from './diagonal-board.ts';
export { genericRulers, type HandRuler } from './hand-ruler.ts';
export {
  cuttingMeans,
  cutUnit,
  readOnMarks,
  type ReadLength,
  hasRuler,
  hasTip,
  kitOf,
  kitSchema,
  scoringMeans,
  toolKindSchema,
  type CuttingMeans,
  type Kit,
  type Marked,
  type ScoringMeans,
  type ToolKind,
} from './kit.ts';
export {
  genericPunches,
  borderPunches,
  roundPunches,
  type Punch,
  type PunchShape,
} from './punch.ts';
export { genericBoards, scoringBoardSchema, type ScoringBoard } from './scoring-board.ts';
export { isInKit, isOneOfAKind, kitWith } from './kit-choice.ts';
export {
  drawerOf,
  kitAsItIs,
  kitFor,
  ownTools,
  shippedToolbox,
  toolboxSchema,
  toolsAtHand,
  type Kept,
  type KeptTool,
  type KindedTool,
  type Toolbox,
  type ToolOf,
} from './toolbox.ts';
export {
  changedTools,
  removedTools,
  toolboxOf,
  toolItemSchema,
  type ToolItem,
  type ToolItems,
} from './tool-items.ts';
export { genericTrimmers, trimmerSchema, type Trimmer } from './trimmer.ts';
