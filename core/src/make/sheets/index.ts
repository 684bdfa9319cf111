export { cutPlan } from './cut-plan.ts';
export { layOut, type Placement, type SheetPiece, type SheetUse } from './lay.ts';
export { isOffcut, leftOver } from './offcuts.ts';
