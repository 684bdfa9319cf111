export { layBatch, laySheets, type Placement, type SheetPiece, type SheetUse } from './lay.ts';
export { cutPlan, type NamedPiece } from './cut-plan.ts';
export { type CutCaution, type CutGives, type SheetCut, type TrimStep } from './cut-step.ts';
