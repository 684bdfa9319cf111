import type { Length } from '../length/index.ts';
import type {
  CellRole,
  Cutout,
  Diagonal,
  Fold,
  GridLine,
  GridPoint,
  LineSpan,
  Patch,
  ScoreGrid,
  Taper,
} from '../piece/index.ts';

const letters: Readonly<Record<string, CellRole>> = {
  f: 'floor',
  w: 'wall',
  l: 'lid',
  t: 'tab',
  p: 'flap',
  s: 'seam',
  r: 'rim',
  g: 'gusset',
  a: 'arch',
  o: 'seat',
  e: 'end',
  '.': 'waste',
};

/** What is made on a stretch of a grid line. */
export interface PlacedSpan {
  readonly axis: GridLine['axis'];
  readonly index: number;
  readonly span: LineSpan;
}

/** A fold up towards the drawn face. */
export function valley(angle: number, stage: number): Fold {
  return { sense: 'valley', angle, stage };
}

/** A fold away from the drawn face. */
export function mountain(angle: number, stage: number): Fold {
  return { sense: 'mountain', angle, stage };
}

/** A fold that gives way as its neighbours fold. */
export function following(fold: Fold): Fold {
  return { ...fold, follows: true };
}

/** A score on a column line, between two row lines. */
export function columnScore(index: number, from: number, to: number, fold: Fold): PlacedSpan {
  return { axis: 'column', index, span: { make: 'score', from, to, fold } };
}

/** A score on a row line, between two column lines. */
export function rowScore(index: number, from: number, to: number, fold: Fold): PlacedSpan {
  return { axis: 'row', index, span: { make: 'score', from, to, fold } };
}

export function columnSlit(index: number, from: number, to: number): PlacedSpan {
  return { axis: 'column', index, span: { make: 'slit', from, to } };
}

export function rowSlit(index: number, from: number, to: number): PlacedSpan {
  return { axis: 'row', index, span: { make: 'slit', from, to } };
}

/** A diagonal score between two crossings. */
export function diagonalScore(from: GridPoint, to: GridPoint, fold: Fold): Diagonal {
  return { make: 'score', from, to, fold };
}

interface Drawing {
  readonly columns: readonly Length[];
  readonly rows: readonly Length[];
  /** Roles row by row, a letter a cell: floor, wall, lid, tab, flap (p), seam, rim, gusset, arch (a), seat (o), end, waste (.). */
  readonly picture: readonly string[];
  readonly lines: readonly PlacedSpan[];
  readonly diagonals?: readonly Diagonal[];
  readonly tapers?: readonly Taper[];
  readonly cutouts?: readonly Cutout[];
  readonly patches?: readonly Patch[];
}

/**
 * A score grid from its picture and its spans in any order.
 * @throws RangeError on a letter that stands for no role.
 */
export function drawGrid(drawing: Drawing): ScoreGrid {
  const roleOf = (letter: string): CellRole => {
    const role = letters[letter];
    if (!role) throw new RangeError(`No role is drawn as ${letter}`);
    return role;
  };
  const lines: GridLine[] = [];
  for (const axis of ['column', 'row'] as const) {
    const indices = new Set(
      drawing.lines.filter((line) => line.axis === axis).map(({ index }) => index),
    );
    for (const index of [...indices].sort((a, b) => a - b))
      lines.push({
        axis,
        index,
        spans: drawing.lines
          .filter((line) => line.axis === axis && line.index === index)
          .map(({ span }) => span)
          .sort((a, b) => a.from - b.from),
      });
  }
  return {
    columns: [...drawing.columns],
    rows: [...drawing.rows],
    roles: drawing.picture.map((row) => row.split('').map(roleOf)),
    lines,
    diagonals: [...(drawing.diagonals ?? [])],
    tapers: [...(drawing.tapers ?? [])],
    cutouts: [...(drawing.cutouts ?? [])],
    patches: [...(drawing.patches ?? [])],
  };
}
