import { inches, largest, millimetres, roundUp, smallest, type Length } from '../length/index.ts';
import { commonSheets, largeSheets, sheetLimits, sheetOf, type Sheet } from '../paper/index.ts';
import type { PlanRequest, Problem } from '../request/index.ts';
import type { WayOut } from './way-out.ts';

/** A paper whose sheet is too small, by its place in the request, and what is to be cut from it. */
interface TooSmall {
  readonly slot: number;
  readonly needs: Pick<Sheet, 'width' | 'height'>;
}

function tooSmall(problems: readonly Problem[]): readonly TooSmall[] {
  return problems.flatMap(({ field, needs }) => {
    const [, slot] = /^papers\.(\d+)\.sheet$/.exec(field) ?? [];
    return slot === undefined || !needs ? [] : [{ slot: Number(slot), needs }];
  });
}

function area({ width, height }: Pick<Sheet, 'width' | 'height'>): number {
  return width * height;
}

/** The sheets that are sold, from the smallest on. */
const sold = [...commonSheets, ...largeSheets].sort((a, b) => area(a) - area(b));

/** A sheet as large as is needed and a little more, where none that is sold would do. */
function largeEnough(pieces: readonly TooSmall[], { unit }: PlanRequest): readonly Sheet[] {
  const step = unit === 'inch' ? inches(0.5) : millimetres(10);
  const side = (of: (...sides: Length[]) => Length) =>
    pieces.reduce((most, { needs }) => largest(most, of(needs.width, needs.height)), step);
  const [short, long] = [roundUp(side(smallest), step), roundUp(side(largest), step)];
  return long <= sheetLimits.most ? [sheetOf(short, long, unit), sheetOf(long, short, unit)] : [];
}

/** Ways out by a larger sheet of the papers whose sheet is too small, the smallest that is sold first. */
export function waysBySheet(request: PlanRequest, problems: readonly Problem[]): readonly WayOut[] {
  const pieces = tooSmall(problems);
  if (pieces.length === 0) return [];
  const isIn = (slot: number) => pieces.some((piece) => piece.slot === slot);
  const names = [
    ...new Set(request.papers.filter((_, slot) => isIn(slot)).map(({ name }) => name)),
  ];
  return [...sold, ...largeEnough(pieces, request)].map((sheet): WayOut => {
    const [first, ...rest] = request.papers;
    const papers: PlanRequest['papers'] = [
      isIn(0) ? { ...first, sheet } : first,
      ...rest.map((paper, i) => (isIn(i + 1) ? { ...paper, sheet } : paper)),
    ];
    return {
      kind: 'sheet',
      said: `${names.join(' and ')} in sheets of ${sheet.name}`,
      part: { papers },
    };
  });
}
