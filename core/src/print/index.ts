export { type OwnPrint, type PrintShape } from './own-print.ts';
export { ownPrints, ownPrintSchema, type OwnPrintId } from './own-prints.ts';
export {
  colourSchema,
  largestPicture,
  pictureIdSchema,
  pictureSchema,
  printSchema,
  repeatLimits,
  repeatOf,
  type Picture,
  type Print,
} from './print.ts';
