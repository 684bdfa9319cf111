import { cutSizeOf, type LineRef, type Piece } from '../piece/index.ts';
import type { Paper } from '../paper/index.ts';
import type { Kit } from '../tools/index.ts';
import { afterOperation, justCut } from './as-made.ts';
import type { AsMade } from './card.ts';
import { flatWork } from './flat-operations.ts';
import { laidAs, type Laid } from './laid.ts';
import { asDrawn, quarterTurns, type Lying } from './lying.ts';
import type { FlatOperation } from './operation.ts';
import type { ScoreOperation } from './operations/score-operation.ts';
import { settingOf } from './operations/turning-order.ts';
import { handlingOf, type Bench, type FlatStep } from './step.ts';

/** A step before it is counted and named. */
export type FlatDraft = Pick<FlatStep, 'bench' | 'handling' | 'laid' | 'operations'>;

type Group = readonly FlatOperation[];

function isLine(operation: FlatOperation): operation is ScoreOperation {
  return operation.kind === 'score' || operation.kind === 'mark';
}

/** Whether the piece is turned so that its edge lies at a fence, or at the zero of the trimmer. */
function isTurned({ tool }: ScoreOperation): boolean {
  return tool !== 'ruler';
}

/** What is made of a piece lying one way, on one tool. */
function byLying(operations: readonly ScoreOperation[]): readonly (readonly ScoreOperation[])[] {
  const groups = new Map<string, ScoreOperation[]>();
  for (const each of operations) {
    const finishes = each.marks.some(({ stretch }) => stretch === 'the rest');
    const key = JSON.stringify([each.tool, each.lying, finishes]);
    groups.set(key, [...(groups.get(key) ?? []), each]);
  }
  return [...groups.values()];
}

/** Lyings that follow one another with the same marks are one step: the piece is only turned. */
function scoreGroups(piece: Piece, operations: readonly ScoreOperation[]): readonly Group[] {
  const size = cutSizeOf(piece.grid);
  const settings = (group: readonly ScoreOperation[]) =>
    group.map((each) => settingOf(each, size)).join();
  const groups: ScoreOperation[][] = [];
  let last: string | undefined;
  for (const group of byLying(operations)) {
    const setting = settings(group);
    if (setting === last) groups[groups.length - 1]?.push(...group);
    else groups.push([...group]);
    last = setting;
  }
  return groups;
}

/** More than so many things in one breath are two steps. */
const most = 6;

function inBreaths(operations: Group): readonly Group[] {
  if (operations.length === 0) return [];
  const count = Math.ceil(operations.length / most);
  const each = Math.ceil(operations.length / count);
  return Array.from({ length: count }, (_, i) => operations.slice(i * each, (i + 1) * each)).filter(
    (group) => group.length > 0,
  );
}

/** What scissors and a knife do: all at once where it is little. */
function scissorsGroups(slits: Group, trims: Group): readonly Group[] {
  const all = [...slits, ...trims];
  return all.length <= most ? inBreaths(all) : [...inBreaths(slits), ...inBreaths(trims)];
}

/** What one punch makes. */
function punchGroups(punched: Group): readonly Group[] {
  const nameOf = (operation: FlatOperation) => ('punch' in operation ? operation.punch : undefined);
  const names = [...new Set(punched.map(nameOf))];
  return names.map((name) => punched.filter((operation) => nameOf(operation) === name));
}

/** What is done on a punch board is done in one go, side after side; anything else by itself. */
function boardGroups(operations: Group): readonly Group[] {
  const punches = operations.filter(({ kind }) => kind === 'punch');
  const others = operations.filter(({ kind }) => kind !== 'punch');
  return [...(punches.length > 0 ? [punches] : []), ...others.map((operation) => [operation])];
}

function lyingOf(operation: FlatOperation): Lying {
  return isLine(operation) ? operation.lying : asDrawn;
}

/** How a piece lies when an operation is done: a punch board's sheet has been turned from side to side. */
function lyingAfter(operation: FlatOperation): Lying {
  if (operation.kind !== 'punch') return lyingOf(operation);
  const turns = operation.setting.kind === 'last lines' ? operation.sides : operation.sides - 1;
  return { turns: quarterTurns(turns), over: false };
}

function benchOf(operation: FlatOperation): Bench {
  switch (operation.kind) {
    case 'punch':
      return 'punch board';
    case 'score':
    case 'mark':
      return operation.tool;
    case 'slanted score':
      return 'ruler';
    case 'slit':
    case 'cut away':
    case 'cut to shape':
    case 'taper':
      return 'scissors';
    case 'round':
    case 'cut out':
      return operation.punch === undefined ? 'scissors' : 'punch';
  }
}

/** The steps of one flat piece, and how it is laid down when they are done. */
export interface FlatSteps {
  readonly steps: readonly FlatDraft[];
  readonly then: Laid;
}

/** The steps of one flat piece, with how it lies for each; the lines are those that are still to be made. */
export function flatSteps(
  piece: Piece,
  lines: readonly LineRef[],
  paper: Paper,
  kit: Kit,
): FlatSteps {
  const work = flatWork(piece, lines, kit);
  const groups: readonly Group[] = [
    ...boardGroups(work.lines.filter((operation) => !isLine(operation))),
    ...scoreGroups(piece, work.lines.filter(isLine).filter(isTurned)),
    // Along a ruler the piece lies still, and every line is told from its own edge.
    ...inBreaths([
      ...work.lines.filter((each) => isLine(each) && !isTurned(each)),
      ...work.slanted,
    ]),
    ...scissorsGroups(work.slits, work.trims),
    ...punchGroups(work.punched),
  ];
  const handling = handlingOf(paper);
  let made: AsMade = justCut(piece, paper);
  let last: Lying | undefined;
  const steps = groups.flatMap((group): readonly FlatDraft[] => {
    const [first, ...more] = group;
    if (!first) return [];
    const laid = laidAs(made, lyingOf(first), last);
    last = lyingAfter(more[more.length - 1] ?? first);
    for (const operation of group) made = afterOperation(made, piece, operation);
    return [{ bench: benchOf(first), handling, laid, operations: [first, ...more] }];
  });
  return { steps, then: laidAs(made, asDrawn, last) };
}
