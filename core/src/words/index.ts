export { cutListEntry, type CutListEntry, type RulerStrip, type StripMark } from './cut-list.ts';
export { faceInWords } from './faces.ts';
export { formatNearest } from './measures.ts';
export { capitalised, countInWords, inRow, ordinalInWords, plural } from './plain.ts';
export { noteBefore, stageNote } from './stage.ts';
export { verdictsOf, type Verdict } from './verdicts.ts';
export { flatHeadlines, sayStep, type StepWords, type Telling } from './step.ts';
export { markWords, scoreUnit } from './score.ts';
export { punchFigure, punchHeadline } from './punch.ts';
