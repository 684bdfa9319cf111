import { cutSizeOf, type LineRef } from '../piece/index.ts';
import { paperFor, type Papers } from '../paper/index.ts';
import type { Kit } from '../tools/index.ts';
import { assemblySteps } from './assemble.ts';
import { assemblySeconds } from './assembly-seconds.ts';
import type { BoxToMake } from './box-to-make.ts';
import { flatOperations } from './flat-operations.ts';
import { flatSteps } from './flat-steps.ts';
import type { LidCorners } from './lid-corners.ts';
import type { Operation } from './operation.ts';
import type { CutOperation } from './operations/cut.ts';
import { cutPlan, layOut, type SheetPiece, type SheetUse } from './sheets/index.ts';
import {
  handlingOf,
  type AssemblyStep,
  type Bench,
  type CutStep,
  type FlatStep,
  type Step,
} from './step.ts';
import { secondsOf } from './times.ts';

/** What a job is made with, and what of it is made already. */
export interface JobBrief {
  readonly papers: Papers;
  readonly kit: Kit;
  /** Pieces that are cut already. */
  readonly cut: readonly string[];
  /** Whether a line of a piece is made already. */
  readonly isMade: (piece: string, line: LineRef) => boolean;
  readonly boxes: number;
  readonly corners: LidCorners;
}

/** Steps that are done with the same tool, one after the other. */
export interface Stage {
  readonly bench: Bench;
  readonly steps: readonly Step[];
}

/** Everything that there is to do for so many boxes, in order. */
export interface Job {
  readonly boxes: number;
  /** What the pieces are called, and the papers, by their ids. */
  readonly names: ReadonlyMap<string, string>;
  readonly stages: readonly Stage[];
  /** The same steps in one row. */
  readonly steps: readonly Step[];
}

const benches: readonly Bench[] = [
  'trimmer',
  'punch board',
  'board',
  'tip',
  'ruler',
  'scissors',
  'punch',
  'glue',
];

function sheetPieces({ pieces }: BoxToMake, boxes: number): readonly SheetPiece[] {
  return pieces.map(({ id, paper, copies, printTop, grid }) => ({
    id,
    paper,
    ...(printTop && { printTop }),
    copies: copies * boxes,
    ...cutSizeOf(grid),
  }));
}

/**
 * The sheets that so many boxes are cut from, paper by paper.
 * @throws RangeError when a piece is larger than its sheet.
 */
export function sheetsFor(box: BoxToMake, papers: Papers, boxes: number): readonly SheetUse[] {
  return layOut(sheetPieces(box, boxes), papers);
}

/** The cuts that take laid sheets apart into their pieces, in order. */
function cutOperations(
  sheets: readonly SheetUse[],
  pieces: readonly SheetPiece[],
  { papers, kit }: Pick<JobBrief, 'papers' | 'kit'>,
): readonly CutOperation[] {
  const uses = sheets.flatMap((use) => {
    // The same card in two sheet sizes is told apart by the pieces that lie on it.
    const laid = use.placements[0]?.piece;
    const slot = pieces.find(({ id }) => id === laid)?.paper;
    return slot === undefined ? [] : [{ use, paper: paperFor(papers, slot) }];
  });
  return cutPlan(uses, pieces, kit);
}

function linesOf({ marks }: BoxToMake, piece: string): readonly LineRef[] {
  return marks
    .filter((each) => each.piece === piece)
    .flatMap(({ readings }) => readings.map(({ axis, index }) => ({ axis, index })));
}

/** What tells an operation from the others of its piece, as long as the box stays what it is. */
function keyOf(operation: Operation): unknown {
  switch (operation.kind) {
    case 'cut': {
      const { paper, from, measures, takes, gives } = operation;
      return [paper, from.width, from.height, measures, takes, gives.kind];
    }
    case 'punch':
      return operation.setting;
    case 'score':
    case 'mark':
      return [
        operation.kind,
        operation.tool,
        operation.edge,
        operation.marks.map(({ reading }) => reading),
      ];
    case 'slanted score':
      return operation.diagonals;
    case 'slit':
      return operation.lines;
    case 'taper':
      return [operation.role, operation.places];
    case 'cut away':
      return [operation.use, operation.cells, operation.cutouts];
    case 'cut to shape':
      return operation.cutouts;
    case 'round':
    case 'cut out':
      return [operation.use, operation.cutouts];
    case 'glue':
      return [
        operation.faces.map(({ role }) => role),
        operation.onto.map(({ faces }) => faces),
        operation.round,
      ];
    case 'tuck':
      return operation.faces.map(({ faces }) => faces);
    case 'thread':
      return operation.what;
    case 'dress':
      return [operation.onto.piece, operation.count];
    case 'tie':
    case 'lay ribbon':
      return operation.ribbon.way;
    case 'tag':
      return operation.tag.layers.length;
    case 'spot':
      return [operation.spot.use, operation.spot.top];
    case 'fold':
    case 'fold up':
    case 'fold corners':
    case 'hook':
    case 'join':
    case 'line':
    case 'attach':
    case 'put in':
    case 'close':
      return operation.kind;
  }
}

/** A short name for a step out of what it does: the same words give the same name. */
function nameFor(piece: string, operations: readonly Operation[]): string {
  const [first] = operations;
  let hash = 5381;
  for (const letter of JSON.stringify(operations.map(keyOf)))
    hash = (hash * 33 + letter.charCodeAt(0)) % 4_294_967_291;
  return `${first?.kind ?? ''} ${piece} ${hash.toString(36)}`;
}

function total(operations: readonly Operation[]): number {
  return operations.reduce((sum, operation) => sum + secondsOf(operation), 0);
}

/** Steps with the same name are told apart by their order. */
function withIds(steps: readonly Step[]): readonly Step[] {
  const ids = new Set<string>();
  return steps.map((step) => {
    let { id } = step;
    for (let again = 2; ids.has(id); again++) id = `${step.id} (${again})`;
    ids.add(id);
    return id === step.id ? step : { ...step, id };
  });
}

/** The size of the strips that a cut gives. */
function stripOf({ from, measures, takes }: CutOperation) {
  return measures === 'width'
    ? { width: takes, height: from.height }
    : { width: from.width, height: takes };
}

/** Whether a cut goes through the one strip that another gave. */
function cutsOn(cut: CutOperation, before: CutOperation): boolean {
  const { width, height } = stripOf(before);
  return (
    before.gives.kind === 'strip' &&
    before.count === 1 &&
    cut.paper === before.paper &&
    cut.from.what === 'strip' &&
    cut.from.count === 1 &&
    cut.from.width === width &&
    cut.from.height === height
  );
}

type CutGroup = readonly [CutOperation, ...CutOperation[]];

/** A strip is cut on at once where there is only one of its size: nothing is gained by waiting. */
function inOneGo(cuts: readonly CutOperation[]): readonly CutGroup[] {
  const groups: [CutOperation, ...CutOperation[]][] = [];
  for (const cut of cuts) {
    const strips = groups.filter((group) => group.some((before) => cutsOn(cut, before)));
    const [only] = strips;
    if (only && strips.length === 1) only.push(cut);
    else groups.push([cut]);
  }
  return groups;
}

function cutStep(cuts: CutGroup): CutStep {
  const [first] = cuts;
  const last = cuts[cuts.length - 1] ?? first;
  // Sheets are counted for all boxes together.
  const pieces = cuts.filter(({ gives }) => gives.kind === 'piece');
  const copies = pieces.length > 0 ? pieces.reduce((sum, { count }) => sum + count, 0) : last.count;
  return {
    kind: 'cut',
    id: nameFor(first.piece, cuts),
    bench: 'trimmer',
    piece: first.piece,
    copies,
    seconds: total(cuts) / copies,
    cuts,
  };
}

/**
 * The whole job for so many boxes, in the order of the table: sheets cut, pieces scored, snipped and punched,
 * then folded and glued. Everything that can't be done after gluing comes before it.
 */
export function jobFor(box: BoxToMake, brief: JobBrief): Job {
  const { papers, kit, boxes, corners, isMade } = brief;
  // What is cut already, and planned round, is not cut again.
  const pieces = sheetPieces(box, boxes).filter(({ id }) => !brief.cut.includes(id));
  const cuts = inOneGo(cutOperations(layOut(pieces, papers), pieces, brief)).map(cutStep);
  const works = box.pieces.map((piece) => {
    const lines = linesOf(box, piece.id).filter((line) => !isMade(piece.id, line));
    const paper = paperFor(papers, piece.paper);
    return { piece, handling: handlingOf(paper), ...flatSteps(piece, lines, paper, kit) };
  });
  const flat = works.flatMap(({ piece, steps }) =>
    steps.map((draft): FlatStep => ({
      kind: 'flat',
      id: nameFor(piece.id, draft.operations),
      piece: piece.id,
      copies: piece.copies * boxes,
      seconds: total(draft.operations),
      ...draft,
    })),
  );
  const assembly = assemblySteps(box, papers, corners).map((draft): AssemblyStep => {
    const [first] = draft.operations;
    // What is put on a flat piece is put on as that lies.
    const lying = first.kind === 'dress' ? first.onto.piece : draft.piece;
    const work = works.find(({ piece }) => piece.id === lying);
    const isFlat =
      first.kind === 'fold' ||
      first.kind === 'spot' ||
      (first.kind === 'dress' && first.lies === 'flat');
    return {
      kind: 'assembly',
      id: nameFor(draft.piece, draft.operations),
      bench: 'glue',
      seconds: total(draft.operations),
      ...(work && isFlat && { flat: { handling: work.handling, laid: work.then } }),
      ...draft,
      copies: draft.copies * boxes,
    };
  });
  const all = withIds([...cuts, ...flat, ...assembly]);
  const stages = benches.flatMap((bench): readonly Stage[] => {
    const steps = all.filter((step) => step.bench === bench);
    return steps.length === 0 ? [] : [{ bench, steps }];
  });
  const names = new Map([
    ...papers.map(({ id, name }) => [id, name] as const),
    ...box.pieces.map(({ id, name }) => [id, name] as const),
  ]);
  return { boxes, names, stages, steps: stages.flatMap(({ steps }) => steps) };
}

/**
 * The seconds that the making of one box takes, without putting its steps in order: by the same table as the
 * job's own steps, from counts that need no folding.
 */
export function secondsToMake(
  box: BoxToMake & { readonly sheets: readonly SheetUse[] },
  { papers, kit }: Pick<JobBrief, 'papers' | 'kit'>,
): number {
  const { pieces, sheets } = box;
  const cuts = cutOperations(sheets, sheetPieces(box, 1), { papers, kit });
  const flat = pieces.reduce(
    (sum, piece) => sum + piece.copies * total(flatOperations(piece, linesOf(box, piece.id), kit)),
    0,
  );
  return total(cuts) + flat + assemblySeconds(box);
}
