export { learnedGap, type Felt } from './learned-gap.ts';
export { commonSheets, sheetSchema, type Sheet } from './sheet.ts';
export {
  paperFor,
  papersSchema,
  paperSchema,
  thicknessLimits,
  type Paper,
  type Papers,
} from './paper.ts';
export { stockPapers } from './stock.ts';
export {
  lessonSchema,
  lessonsFrom,
  lessonsSchema,
  noLessons,
  withLessons,
  type PaperLesson,
  type Lessons,
} from './lessons.ts';
