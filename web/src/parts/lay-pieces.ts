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
  readonly measures: number;
  readonly between: number;
  readonly border: number;
}

/** All pieces to one scale, as large as the space allows, side by side or one under the other. */
export function layPieces(
  pieces: readonly Piece[],
  width: number,
  height: number,
  { title: titleRoom, measures: measureRoom, between, border }: FreeRoom,
): PiecesLayout {
  const sizes = pieces.map(({ grid }) => {
    const size = cutSizeOf(grid);
    return { width: toMillimetres(size.width), height: toMillimetres(size.height) };
  });
  const sum = (values: readonly number[]) => values.reduce((a, b) => a + b, 0);
  const widths = sizes.map((size) => size.width);
  const heights = sizes.map((size) => size.height);
  const gaps = between * (pieces.length - 1);
  const sideways = (count: number) => width - 2 * border - count * measureRoom;
  const upright = (count: number) => height - 2 * border - count * (titleRoom + measureRoom);
  const beside = Math.min(
    (sideways(pieces.length) - gaps) / sum(widths),
    upright(1) / Math.max(...heights),
  );
  const stacked = Math.min(
    sideways(1) / Math.max(...widths),
    (upright(pieces.length) - gaps) / sum(heights),
  );
  const isBeside = beside >= stacked;
  const scale = Math.max(0.2, isBeside ? beside : stacked);
  const taken = isBeside
    ? sum(widths) * scale + gaps + pieces.length * measureRoom
    : sum(heights) * scale + gaps + pieces.length * (titleRoom + measureRoom);
  let along = Math.max(border, ((isBeside ? width : height) - taken) / 2);
  const placed = pieces.map((piece, i): LaidPiece => {
    const w = (widths[i] ?? 0) * scale;
    const h = (heights[i] ?? 0) * scale;
    const x = isBeside ? along : (width - w - measureRoom) / 2;
    const y = isBeside ? (height - h + titleRoom - measureRoom) / 2 : along + titleRoom;
    along += isBeside ? w + measureRoom + between : h + titleRoom + measureRoom + between;
    const inPixels = (sections: Piece['grid']['columns']) =>
      gridPositions(sections).map((at) => toMillimetres(at) * scale);
    return {
      piece,
      x,
      y,
      width: w,
      height: h,
      columns: inPixels(piece.grid.columns),
      rows: inPixels(piece.grid.rows),
    };
  });
  return { scale, pieces: placed };
}
