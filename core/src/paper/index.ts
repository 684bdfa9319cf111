export { faceLook, type FaceLook, type PaperFace } from './face-look.ts';
export { learnedGap, type Felt } from './learned-gap.ts';
export {
  keptPaperSchema,
  mostSheets,
  paperOf,
  shippedPapers,
  type KeptPaper,
} from './kept-paper.ts';
export {
  paperItemSchema,
  papersAtHand,
  papersIn,
  removedPapers,
  shippedItem,
  type PaperItem,
  type PlacedPaper,
} from './paper-items.ts';
export { parseThickness, type ParsedThickness } from './parse-thickness.ts';
export {
  commonSheets,
  largeSheets,
  parseSheet,
  sheetLimits,
  sheetOf,
  sheetSchema,
  type Sheet,
} from './sheet.ts';
export {
  finishSchema,
  hasWayUp,
  isSamePaper,
  paperFor,
  papersSchema,
  paperSchema,
  thicknessLimits,
  type Finish,
  type Paper,
  type Papers,
} from './paper.ts';
export { stockPapers, windowFilm } from './stock.ts';
export {
  lessonSchema,
  lessonsFrom,
  lessonsSchema,
  noLessons,
  taughtGaps,
  taughtOf,
  withLessons,
  type Lessons,
  type PaperLesson,
  type TaughtGap,
} from './lessons.ts';
export { thicknessOf, weightOf, weightSchema, type Weight } from './weight.ts';
