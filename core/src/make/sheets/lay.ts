import { minus, plus, zero, type Length } from '../../length/index.ts';
import { hasWayUp, paperFor, type Paper, type Papers } from '../../paper/index.ts';
import type { Side } from '../../piece/index.ts';
import { isTurnedByPrint } from '../print-top.ts';
import { layByPatterns } from './lay-by-patterns.ts';
import { layInStrips } from './strips.ts';

/** One piece on one sheet, by its top left corner; turned a quarter when it lies sideways. */
export interface Placement {
  readonly piece: string;
  readonly sheet: number;
  readonly x: Length;
  readonly y: Length;
  readonly turned: boolean;
}

/** What a layout must know of a piece. */
export interface SheetPiece {
  readonly id: string;
  /** The place of its paper in the box's papers. */
  readonly paper: number;
  readonly copies: number;
  readonly width: Length;
  readonly height: Length;
  /** The edge at which the top of its print is to be. */
  readonly printTop?: Side | undefined;
}

/** The sheets of one paper that a box takes. */
export interface SheetUse {
  readonly paper: string;
  readonly sheets: number;
  readonly placements: readonly Placement[];
  /** Share of the bought card that is left over, 0–1. */
  readonly leftOver: number;
}

interface Space {
  readonly sheet: number;
  readonly x: Length;
  readonly y: Length;
  readonly width: Length;
  readonly height: Length;
}

interface Rectangle {
  readonly piece: string;
  readonly width: Length;
  readonly height: Length;
}

/** Both edge-to-edge ways of splitting what is left of a space beside a piece in its top left corner. */
function splits(space: Space, width: Length, height: Length): readonly (readonly Space[])[] {
  const right = minus(space.width, width);
  const below = minus(space.height, height);
  const beside = { ...space, x: plus(space.x, width), width: right };
  const under = { ...space, y: plus(space.y, height), height: below };
  return [
    [{ ...beside, height }, under],
    [beside, { ...under, width }],
  ].map((spaces) => spaces.filter((each) => each.width > 0 && each.height > 0));
}

interface Layout {
  readonly sheets: number;
  readonly placements: readonly Placement[];
}

/** How many placements are tried before the best that was found is taken. */
const tries = 1500;

/**
 * Lays pieces by edge-to-edge cuts, trying every order of spaces, every turn and every split: the number
 * of sheets is the least for the given order of pieces, as long as there are few. Meant for the pieces of
 * one box.
 */
function layInOrder(
  rectangles: readonly Rectangle[],
  spaces: readonly Space[],
  {
    sheets,
    paper,
    most,
    least,
    left,
  }: {
    readonly sheets: number;
    readonly paper: Paper;
    readonly most: number;
    readonly least: number;
    readonly left: { tries: number; found: boolean };
  },
): Layout | undefined {
  const [next, ...rest] = rectangles;
  if (!next) {
    left.found = true;
    return { sheets, placements: [] };
  }
  let best: Layout | undefined;
  const fresh: Space = {
    sheet: sheets,
    x: zero,
    y: zero,
    width: paper.sheet.width,
    height: paper.sheet.height,
  };
  for (const space of [...spaces, fresh])
    for (const turned of turnsOf(paper)) {
      const used = Math.max(sheets, space.sheet + 1);
      // Only fewer sheets than the best that was found are worth a look.
      if (used > most || (best && used >= best.sheets)) continue;
      const width = turned ? next.height : next.width;
      const height = turned ? next.width : next.height;
      if (width > space.width || height > space.height) continue;
      for (const free of splits(space, width, height)) {
        if (left.tries-- < 0 && left.found) return best;
        const others = spaces.filter((each) => each !== space);
        const fewer = best ? best.sheets - 1 : most;
        const onward = layInOrder(rest, [...others, ...free], {
          sheets: used,
          paper,
          most: fewer,
          least,
          left,
        });
        if (onward)
          best = {
            sheets: onward.sheets,
            placements: [
              {
                piece: next.piece,
                sheet: space.sheet,
                x: space.x,
                y: space.y,
                turned,
              },
              ...onward.placements,
            ],
          };
        if (best && best.sheets <= Math.max(sheets, least)) return best;
      }
    }
  return best;
}

/** A print that must run up can't be turned. */
function turnsOf(paper: Paper): readonly boolean[] {
  return hasWayUp(paper) ? [false] : [false, true];
}

/** Whether two pieces can be cut from one sheet, side by side or one below the other. */
function canShare(a: Rectangle, b: Rectangle, paper: Paper): boolean {
  const { width, height } = paper.sheet;
  const ways = ({ width: across, height: down }: Rectangle) =>
    turnsOf(paper).map((turned) => (turned ? [down, across] : [across, down]));
  return ways(a).some(([aAcross = zero, aDown = zero]) =>
    ways(b).some(
      ([bAcross = zero, bDown = zero]) =>
        (aAcross + bAcross <= width && Math.max(aDown, bDown) <= height) ||
        (aDown + bDown <= height && Math.max(aAcross, bAcross) <= width),
    ),
  );
}

/** So many pieces, the largest first, of which no two can share a sheet. */
function apart(rectangles: readonly Rectangle[], paper: Paper): number {
  const alone: Rectangle[] = [];
  for (const each of rectangles)
    if (!alone.some((other) => canShare(each, other, paper))) alone.push(each);
  return alone.length;
}

/** Pieces one after the other, the largest first; the fewest sheets that a short search finds. */
function layOneByOne(paper: Paper, pieces: readonly SheetPiece[], least: number) {
  const rectangles = pieces
    .flatMap(({ id, copies, width, height }): readonly Rectangle[] =>
      Array.from({ length: copies }, () => ({ piece: id, width, height })),
    )
    .sort((a, b) => b.width * b.height - a.width * a.height);
  return layInOrder(rectangles, [], {
    sheets: 0,
    paper,
    most: rectangles.length,
    least: Math.max(least, apart(rectangles, paper)),
    left: { tries, found: false },
  });
}

/** Strips are quicker to cut; they are left only where that saves a sheet. */
function layForTrimmer(paper: Paper, pieces: readonly SheetPiece[]): SheetUse {
  // The same to the last digit whichever way a piece lies.
  const used = pieces.reduce(
    (sum, { copies, width, height }) => sum + copies * (width * height),
    0,
  );
  const sheet = paper.sheet.width * paper.sheet.height;
  const least = Math.ceil(used / sheet);
  const strips = layInStrips(paper, pieces);
  const densest =
    strips && strips.sheets <= least
      ? undefined
      : (layByPatterns(paper, pieces) ?? layOneByOne(paper, pieces, least));
  const best = strips && (!densest || strips.sheets <= densest.sheets) ? strips : densest;
  if (!best) throw new RangeError(`A piece is larger than a sheet of ${paper.name}`);
  const { sheets, placements } = best;
  return { paper: paper.id, sheets, placements, leftOver: 1 - used / (sheets * sheet) };
}

/**
 * The sheets that so many pieces take, paper by paper, laid so that they are quick to cut: in strips, unless
 * that takes more sheets. Pieces of the same paper share sheets.
 * @throws RangeError when a piece is larger than its sheet.
 */
export function layOut(pieces: readonly SheetPiece[], papers: Papers): readonly SheetUse[] {
  return stacksOf(pieces, papers).map((stack) =>
    hasWayUp(stack.paper)
      ? layByPrint(stack.paper, stack.pieces)
      : layForTrimmer(stack.paper, stack.pieces),
  );
}

/** Pieces of a paper whose print has a way up: each lies as its print must come to stand, and in no other way. */
function layByPrint(paper: Paper, pieces: readonly SheetPiece[]): SheetUse {
  const turned = pieces.filter(isTurnedByPrint);
  const ids = new Set(turned.map(({ id }) => id));
  const asLying = pieces.map((piece) =>
    ids.has(piece.id) ? { ...piece, width: piece.height, height: piece.width } : piece,
  );
  const use = layForTrimmer(paper, asLying);
  return {
    ...use,
    placements: use.placements.map((placement) => ({
      ...placement,
      turned: ids.has(placement.piece),
    })),
  };
}

function stacksOf(pieces: readonly SheetPiece[], papers: Papers) {
  const byPaper = new Map<string, { paper: Paper; pieces: SheetPiece[] }>();
  for (const piece of pieces) {
    const paper = paperFor(papers, piece.paper);
    // The same card bought in two sizes is two stacks on the table, and so it is where only one of them has a way up.
    const key = `${paper.id} ${paper.sheet.width} ${paper.sheet.height} ${hasWayUp(paper)}`;
    const stack = byPaper.get(key) ?? { paper, pieces: [] };
    stack.pieces.push(piece);
    byPaper.set(key, stack);
  }
  return [...byPaper.values()];
}
