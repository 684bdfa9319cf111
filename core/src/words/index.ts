export { clashInWords } from './clash.ts';
export {
  cutListEntry,
  type CutListEntry,
  type PunchTold,
  type RulerStrip,
  type StripMark,
} from './cut-list.ts';
export { faceInWords, facesInWords } from './faces.ts';
export { laidInWords } from './laid.ts';
export { formatNearest } from './measures.ts';
export { capitalised, countInWords, inRow, plural } from './plain.ts';
export { ribbonInWords } from './ribbon.ts';
export { printOnPieceInWords, printTurnInWords } from './print-on-piece.ts';
export type { Passage } from './said.ts';
export { noteBefore, stageNote } from './stage.ts';
export { verdictsOf, type Verdict } from './verdicts.ts';
export { flatHeadlines, momentFigure, sayStep, type StepWords, type Telling } from './step.ts';
export { markWords, scoreUnit } from './score.ts';

export { sizeSumInWords, whyCutToThat } from './why-size.ts';
export { sizeInWords, sizeWithin } from './sizes.ts';
