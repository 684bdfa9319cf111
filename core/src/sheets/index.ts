export { laySheets, type Placement, type SheetUse } from './lay.ts';
