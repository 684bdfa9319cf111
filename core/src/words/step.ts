import type { Unit } from '../length/index.ts';
import type {
  AssemblyOperation,
  AssemblyStep,
  BoxToMake,
  CutAwayOperation,
  FlatOperation,
  FlatStep,
  Job,
  PunchOperation,
  ScoreOperation,
  SlitOperation,
  Step,
  TaperOperation,
} from '../make/index.ts';
import { pieceOf } from '../make/index.ts';
import { cutSizeOf, type CutoutUse } from '../piece/index.ts';
import { cutUnit, type Kit } from '../tools/index.ts';
import { adhesiveSentence } from './adhesives.ts';
import { assemblyFigure, assemblyLine, foldUpFigure } from './assembly-heading.ts';
import { assemblySentences, sameAgain } from './assembly.ts';
import { sayCut } from './cut.ts';
import { faceInWords } from './faces.ts';
import { laidInWords } from './laid.ts';
import { sayOwn, withNotes } from './own.ts';
import { capitalised, countInWords, counted, plural } from './plain.ts';
import { punchFigure, punchFigures, punchHeadline, punchSentences } from './punch.ts';
import { isOpening, roleInWords, useInWords } from './roles.ts';
import { namesFrom, type NameOf, type Passage, type Said } from './said.ts';
import { scoreFigure, scoreLine, scoreSentences, scoreUnit } from './score.ts';
import {
  cutAwaySentences,
  cutOutSentences,
  outlineSentences,
  roundSentences,
  slantSentences,
  slitSentences,
  taperSentences,
} from './snips.ts';

/** A step in words, and what is counted of it. */
export interface StepWords extends Said {
  readonly passages: readonly Passage[];
  /** What is counted: `lids scored`. */
  readonly counted: string;
}

/** What words need beside the step itself: the tools, and what the pieces are. */
export interface Telling {
  readonly job: Job;
  readonly box: Pick<BoxToMake, 'pieces'>;
  readonly kit: Kit;
}

function isLine(operation: FlatOperation): operation is ScoreOperation {
  return operation.kind === 'score' || operation.kind === 'mark';
}

function isSlit(operation: FlatOperation): operation is SlitOperation {
  return operation.kind === 'slit';
}

/** What is done to a flat piece, sentence by sentence. */
function flatSentences(
  operations: FlatStep['operations'],
  { box, kit }: Telling,
): readonly string[] {
  const unit = cutUnit(kit);
  const [first] = operations;
  const [line, ...lines] = operations.filter(isLine);
  const size = cutSizeOf(pieceOf(box, first.piece).grid);
  const scores = line ? scoreSentences([line, ...lines], size, kit) : [];
  const slits = operations.filter(isSlit);
  return [
    ...scores,
    ...slitSentences(slits, unit),
    ...operations.flatMap((operation): readonly string[] => {
      switch (operation.kind) {
        case 'punch':
          return punchSentences(operation, kit);
        case 'slanted score':
          return slantSentences(operation, unit);
        case 'cut away':
          return cutAwaySentences(operation, unit);
        case 'cut to shape':
          return outlineSentences(operation, unit);
        case 'taper':
          return taperSentences(operation, unit);
        case 'round':
          return roundSentences(operation, unit);
        case 'cut out':
          return cutOutSentences(operation, unit);
        case 'slit':
        case 'score':
        case 'mark':
          return [];
      }
    }),
  ];
}

/** Whether something is cut into a part, and nothing trimmed off it. */
function isCutIn({ use, shape }: CutAwayOperation): boolean {
  return use !== 'waste' && (shape.kind === 'slit' || isOpening(use));
}

/** What is made so often for one use: holes that are punched, flaps that are trimmed. */
interface CountedWork {
  readonly verb: 'cut' | 'punch' | 'trim';
  readonly use: CutoutUse;
  readonly count: number;
}

function countedWork(operation: FlatOperation): CountedWork | undefined {
  switch (operation.kind) {
    case 'cut away': {
      const { use, at } = operation;
      const verb = isCutIn(operation) ? 'cut' : 'trim';
      return use === 'waste' ? undefined : { verb, use, count: at.corners.length };
    }
    case 'cut out': {
      const verb = operation.punch === undefined ? 'cut' : 'punch';
      return { verb, use: operation.use, count: operation.cutouts.length };
    }
    default:
      return undefined;
  }
}

/** All that is done in one way for one use, together: `punch four ribbon holes`, `trim the flaps`. */
function workHeadlines(work: readonly CountedWork[]): readonly string[] {
  const all = new Map<string, CountedWork>();
  for (const each of work) {
    const key = `${each.verb} ${each.use}`;
    all.set(key, { ...each, count: each.count + (all.get(key)?.count ?? 0) });
  }
  return [...all.values()].map(({ verb, use, count }) => {
    const what = useInWords(use);
    return verb === 'cut' || verb === 'punch'
      ? `${verb} ${counted(count, what)}`
      : `${verb} the ${count === 1 ? what : plural(what)}`;
  });
}

/** What is told of one operation by itself, short; nothing of what is counted with others of its kind. */
function ownHeadline(operation: FlatOperation): readonly string[] {
  switch (operation.kind) {
    case 'punch':
      return [punchHeadline(operation)];
    case 'cut away':
      return operation.use === 'waste' ? ['cut the waste away'] : [];
    case 'cut to shape':
      return ['cut it to shape'];
    case 'round':
      return operation.use === 'disc' ? ['cut the disc out'] : [];
    case 'score':
    case 'mark':
    case 'slanted score':
    case 'slit':
    case 'taper':
    case 'cut out':
      return [];
  }
}

/** How much all operations together make of something; nothing where they make none. */
function countAll(
  operations: readonly FlatOperation[],
  countIn: (operation: FlatOperation) => number,
  told: (count: number) => string,
): readonly string[] {
  const count = operations.reduce((sum, each) => sum + countIn(each), 0);
  return count > 0 ? [told(count)] : [];
}

function ruledLines(operation: FlatOperation): number {
  if (operation.kind === 'slanted score') return operation.diagonals.length;
  return operation.kind === 'score' && operation.tool === 'ruler' ? operation.marks.length : 0;
}

function groovedLines(operation: FlatOperation): number {
  return operation.kind === 'score' && operation.tool !== 'ruler' ? operation.marks.length : 0;
}

function markedLines(operation: FlatOperation): number {
  return operation.kind === 'mark' ? operation.marks.length : 0;
}

function slitLines(operation: FlatOperation): number {
  return isSlit(operation) ? operation.lines.length : 0;
}

function roundedCorners(operation: FlatOperation): number {
  return operation.kind === 'round' && operation.use !== 'disc' ? operation.cutouts.length : 0;
}

/** What is tapered, all parts together: `taper the seam and four flaps`. */
function taperHeadline(operations: readonly FlatOperation[]): readonly string[] {
  const counts = new Map<TaperOperation['role'], number>();
  for (const each of operations)
    if (each.kind === 'taper')
      counts.set(each.role, (counts.get(each.role) ?? 0) + each.places.length);
  if (counts.size === 0) return [];
  const roles = [...counts].map(([role, count]) =>
    count === 1
      ? `the ${roleInWords(role, 1)}`
      : `${countInWords(count)} ${roleInWords(role, count)}`,
  );
  return [`taper ${roles.join(' and ')}`];
}

/** What a flat step does, things of one kind together: `six slits, taper the seam and four flaps`. */
export function flatHeadlines(operations: readonly FlatOperation[]): readonly string[] {
  const work = operations.flatMap((each) => countedWork(each) ?? []);
  const isCut = ({ verb }: CountedWork) => verb === 'cut';
  const lines = (count: number) => counted(count, 'line');
  return [
    ...countAll(operations, ruledLines, (count) => `score ${lines(count)} along a ruler`),
    ...countAll(operations, groovedLines, (count) => `score ${lines(count)}`),
    ...countAll(operations, markedLines, (count) => `mark ${lines(count)}`),
    ...countAll(operations, slitLines, (count) => counted(count, 'slit')),
    ...taperHeadline(operations),
    ...new Set(operations.flatMap(ownHeadline)),
    ...workHeadlines(work.filter((each) => !isCut(each))),
    ...countAll(operations, roundedCorners, (count) => `round ${counted(count, 'corner')}`),
    ...workHeadlines(work.filter(isCut)),
  ];
}

function flatFigure(operations: FlatStep['operations'], kit: Kit): string {
  const [punch, ...punches] = operations.filter((each) => each.kind === 'punch');
  if (punch) return punchFigures([punch, ...punches], kit);
  const [line, ...lines] = operations.filter(isLine);
  if (line && line.tool !== 'ruler') return scoreFigure([line, ...lines], kit);
  const [one = '', ...more] = flatHeadlines(operations);
  return capitalised(more.length === 0 || operations.length > 3 ? one : `${one}, ${more[0] ?? ''}`);
}

function flatLine(operations: FlatStep['operations'], kit: Kit): string {
  const [line, ...lines] = operations.filter(isLine);
  if (line && line.tool !== 'ruler') return scoreLine([line, ...lines], kit);
  const [punch, ...punches] = operations.filter((each) => each.kind === 'punch');
  if (punch) return `punch and score, ${punchFigures([punch, ...punches], kit)}`;
  return flatHeadlines(operations).join(', ');
}

function sayFlat(step: FlatStep, nameOf: NameOf, telling: Telling): Said {
  const { kit } = telling;
  const { operations, laid, handling } = step;
  const name = nameOf(step.piece);
  const [first] = operations;
  const unit: Unit = isLine(first) ? scoreUnit(first.tool, kit) : cutUnit(kit);
  const fence =
    isLine(first) && first.tool === 'board' ? `, against the ${kit.board.fence} fence` : '';
  const scores = first.kind === 'punch' || first.kind === 'slanted score' || isLine(first);
  return {
    figure: flatFigure(operations, kit),
    text: [
      `${name}, ${laidInWords(laid, handling, unit)}${fence}.`,
      ...(scores && handling.lightly ? ['Score lightly: the paper is thin.'] : []),
      ...flatSentences(operations, telling),
    ].join(' '),
    line: `${name}: ${flatLine(operations, kit)}`,
  };
}

function sayAssembly(step: AssemblyStep, nameOf: NameOf, { kit }: Telling): Said {
  const { operations } = step;
  const name = nameOf(step.piece);
  const narrow = operations.flatMap((each) => ('narrow' in each ? [each.narrow] : []));
  const [least] = [...narrow].sort((a, b) => a - b);
  const isOfBox = isOfWholeBox(step);
  const { flat } = step;
  const laid = flat && laidInWords(flat.laid, flat.handling, cutUnit(kit));
  const lies = laid !== undefined && operations[0].kind === 'fold' ? `, ${laid}` : '';
  const passages: readonly Passage[] = [
    ...(isOfBox ? [] : [{ text: `${name}${lies}.` }]),
    ...operations.flatMap((each, at) => {
      const again = sameAgain(operations[at - 1], each);
      const sentences =
        again === undefined ? assemblySentences(each, nameOf, cutUnit(kit), laid) : [again];
      // What is done to another piece than the step's own is told by its name.
      if (sentences.length === 0) return [];
      const isOther =
        each.piece !== step.piece &&
        each.kind !== 'join' &&
        each.kind !== 'line' &&
        each.kind !== 'put in';
      const all = isOther ? [`${nameOf(each.piece)}:`, ...sentences] : sentences;
      return [{ text: all.join(' '), at }];
    }),
    ...(least === undefined ? [] : [{ text: adhesiveSentence(least, kit) }]),
  ];
  return {
    figure: assemblyFigure(operations, nameOf),
    text: passages.map(({ text }) => text).join(' '),
    passages,
    line: isOfBox
      ? capitalised(assemblyLine(operations, nameOf))
      : `${name}: ${assemblyLine(operations, nameOf)}`,
  };
}

/** One of the things that a step does, to be read from two metres. */
export function momentFigure(
  operation: AssemblyOperation | PunchOperation,
  { job, kit }: Telling,
): string {
  if (operation.kind === 'punch') return punchFigure(operation, kit) ?? punchHeadline(operation);
  const nameOf = namesFrom(job.names);
  if (operation.kind === 'glue' && operation.moves === 'without') {
    const [wall] = operation.onto;
    if (wall) return `Glue the ${faceInWords(wall)}`;
  }
  if (operation.kind === 'tuck' && !operation.isLast) return 'Fold the flaps in';
  if (operation.kind === 'fold up') return foldUpFigure(operation);
  return assemblyFigure([operation], nameOf);
}

function participle(step: Step): string {
  if (step.kind === 'own') return 'done';
  switch (step.bench) {
    case 'trimmer':
      return 'cut';
    case 'punch board':
    case 'punch':
      return 'punched';
    case 'board':
    case 'tip':
    case 'ruler':
      return 'scored';
    case 'scissors':
      return 'snipped';
    case 'glue':
      return step.kind === 'assembly' && step.operations[0].kind === 'fold' ? 'folded' : 'done';
  }
}

function isFilling(step: Step): boolean {
  return step.kind === 'assembly' && step.operations[0].kind === 'put in';
}

/** Whether a step is of the box, and not of one of its pieces: it begins with the gift, or is about a ribbon. */
function isOfWholeBox(step: Step): boolean {
  if (step.kind !== 'assembly') return false;
  const { kind } = step.operations[0];
  return kind === 'put in' || kind === 'tie';
}

function things(step: Step, nameOf: NameOf): string {
  if (step.kind === 'cut') {
    const pieces = step.cuts.flatMap(({ gives }) => (gives.kind === 'piece' ? [gives.piece] : []));
    const [only] = pieces;
    if (only === undefined) return 'strips';
    return new Set(pieces).size === 1 ? plural(nameOf(only)) : 'pieces';
  }
  if (isOfWholeBox(step) || step.kind === 'own') return 'boxes';
  return plural(nameOf(step.piece));
}

function sayPlain(step: Step, nameOf: NameOf, telling: Telling): Said {
  switch (step.kind) {
    case 'cut':
      return sayCut(step, nameOf, telling.kit);
    case 'flat':
      return sayFlat(step, nameOf, telling);
    case 'assembly':
      return sayAssembly(step, nameOf, telling);
    case 'own':
      return sayOwn(step);
  }
}

/** A step as it is said at the table; made from its data alone. */
export function sayStep(step: Step, telling: Telling): StepWords {
  const nameOf = namesFrom(telling.job.names);
  const said = withNotes(sayPlain(step, nameOf, telling), step.notes ?? []);
  return {
    ...said,
    passages: said.passages ?? [{ text: said.text }],
    counted: capitalised(
      `${things(step, nameOf)} ${isFilling(step) ? 'filled' : participle(step)}`,
    ),
  };
}
