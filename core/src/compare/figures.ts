import { secondsToMake } from '../make/index.ts';
import type { Plan } from '../planning/index.ts';
import { papersOf, type PlanRequest } from '../request/index.ts';
import { largest, plus, zero, type Length } from '../length/index.ts';
import type { Piece } from '../piece/index.ts';
import { traitsOf } from '../styles/index.ts';

/** What one kind of box takes, to be weighed against another. */
export interface BoxFigures {
  /** Pieces to cut, every copy counted. */
  readonly pieces: number;
  readonly sheets: number;
  /** Share of the bought card that is in the pieces, 0–1. */
  readonly used: number;
  readonly scores: number;
  /** How often a piece is laid down anew to be scored. */
  readonly lyings: number;
  readonly offGrid: number;
  /** Length of all glued strips together. */
  readonly glue: Length;
  /** Minutes at the table, by the same table of times as the job's own steps. */
  readonly minutes: number;
  readonly opensFromTop: boolean;
  readonly showsGift: boolean;
}

/** The longer side of the cell that a glued face lies in: the strip of glue runs along it. */
function stripLength(piece: Piece, column: number, row: number): Length {
  const width = piece.grid.columns[Math.floor(column)] ?? zero;
  const height = piece.grid.rows[Math.floor(row)] ?? zero;
  return largest(width, height);
}

/** The glued strips of a box, each face counted once. */
function gluedStrips(plan: Plan): readonly Length[] {
  const { parts, stacks } = plan.assembly;
  const strips = new Map<string, Length>();
  for (const { face, holds } of stacks) {
    if (holds !== 'glue') continue;
    const part = parts.find(({ id }) => id === face.part);
    const piece = plan.pieces.find(({ id }) => id === part?.piece);
    const key = `${face.part} ${face.spot.column} ${face.spot.row}`;
    if (piece) strips.set(key, stripLength(piece, face.spot.column, face.spot.row));
  }
  return [...strips.values()];
}

/** The figures of a planned box. */
export function figuresOf(plan: Plan, request: PlanRequest): BoxFigures {
  const each = (count: (piece: Piece) => number) =>
    plan.pieces.reduce((sum, piece) => sum + piece.copies * count(piece), 0);
  const copies = new Map(plan.pieces.map(({ id, copies: times }) => [id, times]));
  const scores =
    plan.marks.reduce(
      (sum, { piece, readings }) => sum + readings.length * (copies.get(piece) ?? 1),
      0,
    ) + each(({ grid }) => grid.diagonals.length);
  const lyings = plan.marks.reduce(
    (sum, { piece, readings }) =>
      sum +
      new Set(readings.map(({ axis, from }) => `${axis} ${from}`)).size * (copies.get(piece) ?? 1),
    0,
  );
  const strips = gluedStrips(plan);
  const pieces = each(() => 1);
  const sheets = plan.sheets.reduce((sum, use) => sum + use.sheets, 0);
  const spare = plan.sheets.reduce((sum, use) => sum + use.leftOver * use.sheets, 0);
  return {
    pieces,
    sheets,
    used: 1 - spare / sheets,
    scores,
    lyings,
    offGrid: plan.offGrid,
    glue: plus(zero, ...strips),
    minutes: secondsToMake(plan, { papers: papersOf(request), kit: request.kit }) / 60,
    ...traitsOf(plan.style),
  };
}
