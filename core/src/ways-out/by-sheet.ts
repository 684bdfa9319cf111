import {
  inches,
  largest,
  millimetres,
  roundUp,
  smallest,
  zero,
  type Length,
} from '../length/index.ts';
import {
  commonSheets,
  largeSheets,
  sheetLimits,
  sheetOf,
  type Paper,
  type Sheet,
} from '../paper/index.ts';
import type { PlanRequest, Problem } from '../request/index.ts';
import type { WayOut } from './way-out.ts';

type Needs = Pick<Sheet, 'width' | 'height'>;

/** A paper whose sheet is too small, by its place in the request, and what is to be cut from it. */
interface TooSmall {
  readonly slot: number;
  readonly needs: Needs;
}

function tooSmall(problems: readonly Problem[]): readonly TooSmall[] {
  return problems.flatMap(({ field, needs }) => {
    const [, slot] = /^papers\.(\d+)\.sheet$/.exec(field) ?? [];
    return slot === undefined || !needs ? [] : [{ slot: Number(slot), needs }];
  });
}

function area({ width, height }: Needs): number {
  return width * height;
}

/** The sheets that are sold, from the smallest on. */
const sold = [...commonSheets, ...largeSheets].sort((a, b) => area(a) - area(b));

/** A sheet as large as is needed and a little more, either way round: none that is sold may be so large. */
function largeEnough({ width, height }: Needs, { unit }: PlanRequest): readonly Sheet[] {
  const step = unit === 'inch' ? inches(0.5) : millimetres(10);
  const side = (needed: Length) => roundUp(largest(needed, sheetLimits.least), step);
  const [short, long] = [side(smallest(width, height)), side(largest(width, height))];
  return long <= sheetLimits.most ? [sheetOf(short, long, unit), sheetOf(long, short, unit)] : [];
}

/** The sheets of one paper that hold each of its pieces by itself, from the smallest on. */
export function sheetsFor(needs: readonly Needs[], request: PlanRequest): readonly Sheet[] {
  const holds = (sheet: Sheet) =>
    needs.every(
      ({ width, height }) =>
        smallest(width, height) <= smallest(sheet.width, sheet.height) &&
        largest(width, height) <= largest(sheet.width, sheet.height),
    );
  const all: Needs = {
    width: needs.reduce((most, each) => largest(most, smallest(each.width, each.height)), zero),
    height: needs.reduce((most, each) => largest(most, largest(each.width, each.height)), zero),
  };
  return [...sold.filter(holds), ...largeEnough(all, request)];
}

/** `Dusk and Sodium in sheets of A3`, or each with its own where they are not the same. */
function saidOf(papers: readonly Paper[]): string {
  const sizes = [...new Set(papers.map(({ sheet }) => sheet.name))];
  return sizes
    .map((size) => {
      const names = papers.filter(({ sheet }) => sheet.name === size).map(({ name }) => name);
      return `${[...new Set(names)].join(' and ')} in sheets of ${size}`;
    })
    .join(', ');
}

/** Ways out by larger sheets of the papers whose sheet is too small, the smallest that are sold first. */
export function waysBySheet(request: PlanRequest, problems: readonly Problem[]): readonly WayOut[] {
  const small = tooSmall(problems);
  const choices = request.papers.map((_, slot) => {
    const needs = small.filter((each) => each.slot === slot).map((each) => each.needs);
    return needs.length > 0 ? sheetsFor(needs, request) : [];
  });
  const tries = Math.max(...choices.map(({ length }) => length));
  return Array.from({ length: tries }, (_, nth): WayOut => {
    const chosen = (paper: Paper, slot: number): Paper => {
      const sheets = choices[slot] ?? [];
      const sheet = sheets[Math.min(nth, sheets.length - 1)];
      return sheet ? { ...paper, sheet } : paper;
    };
    const [first, ...rest] = request.papers;
    const papers: PlanRequest['papers'] = [
      chosen(first, 0),
      ...rest.map((paper, i) => chosen(paper, i + 1)),
    ];
    const changed = papers.filter((_, slot) => small.some((each) => each.slot === slot));
    return { kind: 'sheet', said: saidOf(changed), part: { papers } };
  });
}
