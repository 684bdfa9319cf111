import { z } from 'zod';
import {
  half,
  lengthBetween,
  lengthSchema,
  millimetres,
  minus,
  plus,
  zero,
  type Length,
} from '../length/index.ts';

/** What a cell of the grid becomes in the box: a handle has an arch and two ends, an insert a plate on legs, panels and film are worn; waste is cut away. */
export const cellRoleSchema = z.enum([
  'floor',
  'wall',
  'lid',
  'tab',
  'flap',
  'seam',
  'rim',
  'gusset',
  'arch',
  'seat',
  'end',
  'plate',
  'leg',
  'panel',
  'film',
  'waste',
]);
export type CellRole = z.infer<typeof cellRoleSchema>;

/** The side of a cell or a piece, as it lies drawn. */
export const sideSchema = z.enum(['left', 'right', 'top', 'bottom']);
export type Side = z.infer<typeof sideSchema>;

/**
 * How a score folds, seen from the face that is drawn: a valley comes up towards the eye, a mountain goes
 * away from it, a mark is never folded. `angle` is how far it is turned in the finished box, in degrees;
 * `stage` is when, counted from the first fold of its piece. A fold that follows is not made by hand: it
 * gives way as its neighbours fold, as the creases of a gusset do.
 */
const foldSchema = z.object({
  sense: z.enum(['valley', 'mountain', 'mark']),
  angle: z.number().min(0).max(180),
  stage: z.int().min(0).max(20),
  follows: z.boolean().optional(),
  /** Whether the card bows beside it on the way, and lies flat again only in the finished box. */
  bows: z.boolean().optional(),
});
export type Fold = z.infer<typeof foldSchema>;

const index = z.int().nonnegative();

const scoreSpanSchema = z.object({
  make: z.literal('score'),
  from: index,
  to: index,
  fold: foldSchema,
});
const slitSpanSchema = z.object({
  make: z.literal('slit'),
  from: index,
  to: index,
});
const spanSchema = z.discriminatedUnion('make', [scoreSpanSchema, slitSpanSchema]);

/**
 * A run of a grid line, between two crossing grid lines numbered from 0 at the edge: what is made there.
 * A part score is a span that does not reach both edges.
 */
export type LineSpan = z.infer<typeof spanSchema>;

const gridLineSchema = z.object({
  /** A column line runs from top to bottom, a row line from left to right. */
  axis: z.enum(['column', 'row']),
  /** How many sections lie before it; never the piece's own edge. */
  index: z.int().positive(),
  spans: z.array(spanSchema),
});
export type GridLine = z.infer<typeof gridLineSchema>;
export type GridAxis = GridLine['axis'];
/** A grid line within its piece. The strip, the piece, the folded box and the work share it. */
export type LineRef = Pick<GridLine, 'axis' | 'index'>;

const along = z.number().nonnegative();
const gridPointSchema = z.object({ column: along, row: along });
/**
 * The crossing of two grid lines, the piece's edges among them, counted from the top left corner; 1.5 is
 * halfway between the lines 1 and 2.
 */
export type GridPoint = z.infer<typeof gridPointSchema>;

const diagonalSchema = z.discriminatedUnion('make', [
  z.object({
    make: z.literal('score'),
    from: gridPointSchema,
    to: gridPointSchema,
    fold: foldSchema,
  }),
  z.object({
    make: z.literal('slit'),
    from: gridPointSchema,
    to: gridPointSchema,
  }),
]);
export type Diagonal = z.infer<typeof diagonalSchema>;

const section = lengthBetween(millimetres(0.1), millimetres(2000));

const taperSchema = z.object({
  cell: gridPointSchema,
  /** The side on which the cell hangs on its neighbour. */
  hinge: sideSchema,
  /** How far each corner of the free end is drawn in. */
  inset: section,
  /** How far the flanks stand in at the hinge already; none where they start in the corner. */
  shoulder: section.optional(),
});
/** A tab whose two free corners are drawn in so that it doesn't catch: a wedge of waste on each flank. */
export type Taper = z.infer<typeof taperSchema>;

const spotSchema = z.object({ x: lengthSchema, y: lengthSchema });
/** An exact place on a piece, from its top left corner. */
export type Spot = z.infer<typeof spotSchema>;

/** What card is cut out for, or off what. */
export const cutoutUseSchema = z.enum([
  // Round openings and bites.
  'thumb notch',
  'finger hole',
  'hanging hole',
  'window',
  'seat',
  'punched seat',
  // What something is put through.
  'ribbon',
  'ribbon pull',
  'wire',
  'brad',
  'slot',
  'lock slit',
  'hook',
  // What is cut off a part, or rounded.
  'tab',
  'flap',
  'ear',
  'seam',
  'lip',
  'lid side',
  'lid front',
  'petal',
  'disc',
  'border',
  'plate',
  'seat side',
  'tip',
  'web corner',
  'tongue',
  'hang tab',
  'panel side',
  'clearing',
  'divider slot',
  'tag corner',
  // What holds a gift on its insert.
  'holder',
  'elastic notch',
  'card slit',
  // What a ribbon goes out through.
  'ribbon slit',
]);
export type CutoutUse = z.infer<typeof cutoutUseSchema>;

const cutoutSchema = z.discriminatedUnion('shape', [
  /** A round hole. */
  z.object({ shape: z.literal('hole'), use: cutoutUseSchema, centre: spotSchema, radius: section }),
  /** A half-round bite out of an edge of the card, which lies on that side of it. */
  z.object({
    shape: z.literal('notch'),
    use: cutoutUseSchema,
    centre: spotSchema,
    radius: section,
    edge: sideSchema,
  }),
  /** A rounded corner: how far the curve runs from it both ways, below zero to the left and upwards. */
  z.object({
    shape: z.literal('corner'),
    use: cutoutUseSchema,
    at: spotSchema,
    along: lengthSchema,
    down: lengthSchema,
  }),
  /** Straight-sided waste by its corners. */
  z.object({ shape: z.literal('trim'), use: cutoutUseSchema, corners: z.array(spotSchema).min(3) }),
]);
/** Card that is punched or snipped away elsewhere than along grid lines. */
export type Cutout = z.infer<typeof cutoutSchema>;

const patchSchema = z.object({
  role: cellRoleSchema,
  corners: z.array(gridPointSchema).min(3),
});
/** Faces inside these grid points have this role and not that of their cells: what diagonals bound. */
export type Patch = z.infer<typeof patchSchema>;

/**
 * A piece of card as a grid: sections edge to edge both ways, a role for each cell, and what is made along
 * each grid line. Everything else about a piece is derived from this.
 */
export const scoreGridSchema = z.object({
  /** Section widths from left to right. */
  columns: z.array(section).min(1),
  /** Section heights from top to bottom. */
  rows: z.array(section).min(1),
  /** Roles by row, then by column. */
  roles: z.array(z.array(cellRoleSchema)),
  lines: z.array(gridLineSchema),
  diagonals: z.array(diagonalSchema),
  tapers: z.array(taperSchema),
  cutouts: z.array(cutoutSchema),
  patches: z.array(patchSchema),
});
export type ScoreGrid = z.infer<typeof scoreGridSchema>;

/** Where the grid lines stand, from the first edge at 0 to the last edge at the cut size. */
export function gridPositions(sections: readonly Length[]): readonly Length[] {
  const positions = [zero];
  let reached = zero;
  for (const each of sections) {
    reached = plus(reached, each);
    positions.push(reached);
  }
  return positions;
}

/** The size that a piece is cut to. */
export function cutSizeOf(grid: ScoreGrid): {
  readonly width: Length;
  readonly height: Length;
} {
  return { width: plus(...grid.columns), height: plus(...grid.rows) };
}

/** Whether two references are to one grid line. */
export function isSameLine(one: LineRef, other: LineRef): boolean {
  return one.axis === other.axis && one.index === other.index;
}

/** What is wrong with a grid as plain sentences; none when it holds together. */
export function faultsOf(grid: ScoreGrid): readonly string[] {
  const faults: string[] = [];
  const columns = grid.columns.length;
  const rows = grid.rows.length;
  if (grid.roles.length !== rows || grid.roles.some((row) => row.length !== columns))
    faults.push('Every cell needs one role.');
  for (const line of grid.lines) {
    const lines = line.axis === 'column' ? columns : rows;
    const across = line.axis === 'column' ? rows : columns;
    if (line.index >= lines) faults.push(`There is no ${line.axis} ${line.index}.`);
    let reached = 0;
    for (const span of line.spans) {
      if (span.from < reached || span.to <= span.from || span.to > across)
        faults.push(
          `The spans of ${line.axis} ${line.index} must follow one another inside the piece.`,
        );
      reached = span.to;
    }
  }
  for (const { cell, hinge, inset, shoulder = zero } of grid.tapers) {
    const free =
      hinge === 'left' || hinge === 'right' ? grid.rows[cell.row] : grid.columns[cell.column];
    if (free === undefined) faults.push(`There is no cell ${cell.column}, ${cell.row} to taper.`);
    else if (2 * Math.max(inset, shoulder) >= free)
      faults.push('A taper can’t take the whole end of its tab.');
  }
  const beyond = (point: GridPoint) => point.column > columns || point.row > rows;
  if (grid.diagonals.some(({ from, to }) => beyond(from) || beyond(to)))
    faults.push('A diagonal must run between grid points.');
  if (grid.patches.some(({ corners }) => corners.some(beyond)))
    faults.push('A patch must have its corners on grid points.');
  return faults;
}

/** Two halves that make up a section exactly, the odd nanometre in the second. */
export function halves(section: Length): readonly [Length, Length] {
  const first = half(section);
  return [minus(section, first), first];
}
