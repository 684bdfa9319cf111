import { cutSizeOf, gridPositions, toMillimetres, type Piece } from '@rangoli/core';

/** A piece as it lies: its top left corner and size in pixels, and pixels for each millimetre. */
export interface LaidPiece {
  readonly piece: Piece;
  readonly x: number;
  readonly y: number;
  readonly width: number;
  readonly height: number;
  /** Where the grid lines stand, edges among them, in pixels from the piece's corner. */
  readonly columns: readonly number[];
  readonly rows: readonly number[];
}

export interface PiecesLayout {
  readonly scale: number;
  readonly pieces: readonly LaidPiece[];
}

/** Pixels left free: over a piece for its title, below and beside it for measures, between, around. */
export interface FreeRoom {
  readonly title: number;
  /** The least width of a piece with its measures, so that titles stand apart. */
  readonly titleWidth: number;
  /** How wide the title of a piece is, where they differ. */
  readonly titleOf?: (piece: Piece) => number;
  readonly measures: number;
  readonly between: number;
  readonly border: number;
}

interface Sized {
  readonly piece: Piece;
  readonly width: number;
  readonly height: number;
  /** Whether it is one panel, whose size is all that there is to it: it needs no measures. */
  readonly isPlain: boolean;
}

/** Whether nothing is scored on a piece, so that its size says all. */
export function isPlainPiece({ grid: { columns, rows } }: Pick<Piece, 'grid'>): boolean {
  return columns.length === 1 && rows.length === 1;
}

/** Pixels left free below and beside a piece for its measures. */
function measuresOf({ isPlain }: Sized, { measures }: FreeRoom): number {
  return isPlain ? 6 : measures;
}

type Row = readonly Sized[];

/** With more pieces not every way of breaking them is tried: there are too many. */
const mostTried = 8;

/** Rows of as many pieces each, for every number of rows. */
function evenRows(pieces: Row): readonly (readonly Row[])[] {
  return pieces.map((_, i) => {
    const each = Math.ceil(pieces.length / (i + 1));
    const rows = Math.ceil(pieces.length / each);
    return Array.from({ length: rows }, (__, row) => pieces.slice(row * each, (row + 1) * each));
  });
}

/** The ways of breaking a line of pieces into rows: of few pieces every one. */
function waysToBreak(pieces: Row): readonly (readonly Row[])[] {
  if (pieces.length > mostTried) return evenRows(pieces);
  const [first, ...rest] = pieces;
  if (!first) return [[]];
  if (rest.length === 0) return [[[first]]];
  return waysToBreak(rest).flatMap((rows) => {
    const [next = [], ...others] = rows;
    return [
      [[first], ...rows],
      [[first, ...next], ...others],
    ];
  });
}

const sum = (values: readonly number[]) => values.reduce((a, b) => a + b, 0);

function slotWidth(each: Sized, scale: number, room: FreeRoom): number {
  const titleWidth = Math.max(room.titleWidth, room.titleOf?.(each.piece) ?? 0);
  return Math.max(each.width * scale + measuresOf(each, room), titleWidth);
}

function rowWidth(row: Row, scale: number, room: FreeRoom): number {
  return sum(row.map((each) => slotWidth(each, scale, room))) + room.between * (row.length - 1);
}

function rowHeight(row: Row, scale: number, room: FreeRoom): number {
  const high = row.map((each) => each.height * scale + measuresOf(each, room));
  return room.title + Math.max(...high);
}

function columnHeight(rows: readonly Row[], scale: number, room: FreeRoom): number {
  return sum(rows.map((row) => rowHeight(row, scale, room))) + room.between * (rows.length - 1);
}

/** The largest scale at which these rows lie in the space; 0 when none does. */
function scaleOf(rows: readonly Row[], width: number, height: number, room: FreeRoom): number {
  const fits = (scale: number) =>
    rows.every((row) => rowWidth(row, scale, room) <= width) &&
    columnHeight(rows, scale, room) <= height;
  if (!fits(0)) return 0;
  let [low, high] = [0, 100];
  for (let i = 0; i < 30; i++) {
    const middle = (low + high) / 2;
    if (fits(middle)) low = middle;
    else high = middle;
  }
  return low;
}

const leastScale = 0.2;

/** All pieces to one scale, as large as the space allows, in one row or several, each row centred. */
export function layPieces(
  pieces: readonly Piece[],
  width: number,
  height: number,
  room: FreeRoom,
): PiecesLayout {
  const sized = pieces.map((piece): Sized => {
    const size = cutSizeOf(piece.grid);
    return {
      piece,
      width: toMillimetres(size.width),
      height: toMillimetres(size.height),
      isPlain: isPlainPiece(piece),
    };
  });
  const space = { width: width - 2 * room.border, height: height - 2 * room.border };
  const [best = { rows: [sized], scale: 0 }] = waysToBreak(sized)
    .map((rows) => ({ rows, scale: scaleOf(rows, space.width, space.height, room) }))
    .sort((a, b) => b.scale - a.scale);
  const scale = Math.max(leastScale, best.scale);
  let y = Math.max(room.border, (height - columnHeight(best.rows, scale, room)) / 2);
  const placed = best.rows.flatMap((row) => {
    let x = Math.max(room.border, (width - rowWidth(row, scale, room)) / 2);
    const high = rowHeight(row, scale, room);
    const inRow = row.map((each): LaidPiece => {
      const slot = slotWidth(each, scale, room);
      const measures = measuresOf(each, room);
      const left = x + (slot - measures - each.width * scale) / 2;
      x += slot + room.between;
      const free = high - room.title - measures - each.height * scale;
      const inPixels = (sections: Piece['grid']['columns']) =>
        gridPositions(sections).map((at) => toMillimetres(at) * scale);
      return {
        piece: each.piece,
        x: left,
        y: y + room.title + free / 2,
        width: each.width * scale,
        height: each.height * scale,
        columns: inPixels(each.piece.grid.columns),
        rows: inPixels(each.piece.grid.rows),
      };
    });
    y += high + room.between;
    return inRow;
  });
  return { scale, pieces: placed };
}
