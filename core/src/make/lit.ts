import { toMillimetres, zero } from '../length/index.ts';
import {
  cutSizeOf,
  gridPositions,
  wasteOf,
  type GridPoint,
  type Piece,
  type Point,
  type Run,
  type ScoreGrid,
  type Spot,
} from '../piece/index.ts';
import { spotOnGrid } from './grid-spot.ts';
import type { FlatOperation } from './operation.ts';
import { scoreRun } from './score-run.ts';

/** What an operation is about on its piece, to be lit in a drawing: in millimetres, as it is drawn. */
export interface Lit {
  readonly lines: readonly Run[];
  readonly areas: readonly (readonly Point[])[];
}

function placer(grid: ScoreGrid): (point: GridPoint) => Point {
  return (point) => drawnSpot(spotOnGrid(grid, point));
}

function drawnSpot({ x, y }: Spot): Point {
  return { x: toMillimetres(x), y: toMillimetres(y) };
}

function scoreLines(
  operation: Extract<FlatOperation, { kind: 'score' | 'mark' }>,
  grid: ScoreGrid,
): readonly Run[] {
  return operation.marks.map((mark) => {
    const { x1, y1, x2, y2 } = scoreRun(operation.edge, mark, cutSizeOf(grid));
    return {
      from: { x: toMillimetres(x1), y: toMillimetres(y1) },
      to: { x: toMillimetres(x2), y: toMillimetres(y2) },
    };
  });
}

/** The rings of what is cut out of a grid by these of its parts and no others. */
function rings(grid: ScoreGrid, parts: Partial<Pick<ScoreGrid, 'tapers' | 'cutouts' | 'patches'>>) {
  const only = { ...grid, tapers: [], cutouts: [], patches: [], ...parts };
  return wasteOf(only, placer(grid)).map(({ ring }) => ring);
}

function cellRing({ columns, rows }: ScoreGrid, column: number, row: number): readonly Point[] {
  const [left = zero, right = zero] = gridPositions(columns).slice(column, column + 2);
  const [top = zero, bottom = zero] = gridPositions(rows).slice(row, row + 2);
  const [x1, x2, y1, y2] = [left, right, top, bottom].map(toMillimetres);
  return [
    { x: x1 ?? 0, y: y1 ?? 0 },
    { x: x2 ?? 0, y: y1 ?? 0 },
    { x: x2 ?? 0, y: y2 ?? 0 },
    { x: x1 ?? 0, y: y2 ?? 0 },
  ];
}

/** What some of the cutouts of a piece take away. */
export function litCutouts(cutouts: readonly number[], { grid }: Pick<Piece, 'grid'>): Lit {
  const wanted = cutouts.flatMap((place) => grid.cutouts[place] ?? []);
  return { lines: [], areas: rings(grid, { cutouts: wanted }) };
}

/** What is to be lit while an operation is at hand. */
export function litBy(operation: FlatOperation, { grid }: Pick<Piece, 'grid'>): Lit {
  const pick = <Part>(parts: readonly Part[], places: readonly number[]): Part[] =>
    places.flatMap((place) => parts[place] ?? []);
  switch (operation.kind) {
    case 'score':
    case 'mark':
      return { lines: scoreLines(operation, grid), areas: [] };
    case 'slanted score': {
      const place = placer(grid);
      const lines = pick(grid.diagonals, operation.diagonals.flat()).map(({ from, to }) => ({
        from: place(from),
        to: place(to),
      }));
      return { lines, areas: [] };
    }
    case 'slit':
      return {
        lines: operation.runs.map(([from, to]) => ({ from: drawnSpot(from), to: drawnSpot(to) })),
        areas: [],
      };
    case 'cut away':
      return {
        lines: [],
        areas: [
          ...operation.cells.map(({ column, row }) => cellRing(grid, column, row)),
          ...rings(grid, {
            cutouts: pick(grid.cutouts, operation.cutouts),
            patches: pick(grid.patches, operation.patches),
          }),
        ],
      };
    case 'taper':
      return { lines: [], areas: rings(grid, { tapers: pick(grid.tapers, operation.places) }) };
    case 'cut to shape':
    case 'round':
    case 'cut out':
      return litCutouts(operation.cutouts, { grid });
    case 'punch':
      return { lines: [], areas: [] };
  }
}
