export { laySheets, type Placement, type SheetPiece, type SheetUse } from './lay.ts';
