export {
  absolute,
  half,
  inches,
  inchFraction,
  largest,
  lengthBetween,
  lengthSchema,
  millimetres,
  minus,
  nanometres,
  plus,
  smallest,
  times,
  toMillimetres,
  zero,
  type Length,
} from './length.ts';
export { isOnGrid, roundDown, roundToGrid, roundUp, snapToGrid } from './grid.ts';
export { hair, toleranceSchema, type Tolerance } from './tolerance.ts';
export { unitSchema, type Unit } from './unit.ts';
export { explainLengthFault, parseLength, type LengthFault, type ParsedLength } from './parse.ts';
export {
  formatGap,
  formatLength,
  formatShown,
  formatSize,
  formatWithUnit,
  measureParts,
  shownParts,
  type MeasureParts,
} from './format.ts';
export { markInWords, type Ruler } from './words.ts';
export { ordinalInWords } from './ordinals.ts';
