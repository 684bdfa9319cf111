export { commonSheets, sheetSchema, type Sheet } from './sheet.ts';
export { paperSchema, thicknessLimits, usualLidGap, type Paper } from './paper.ts';
export { stockPapers } from './stock.ts';
