import { absolute, minus, zero, type Length } from '../../length/index.ts';
import {
  cutSizeOf,
  gridPositions,
  type CellRole,
  type ScoreGrid,
  type Side,
  type Spot,
  type Taper,
} from '../../piece/index.ts';
import { groupAtCorners, type Corner } from '../at-corners.ts';
import { isUpright, opposite } from '../lying.ts';

/** A stretch along an edge, from the left or from the top. */
export interface Stretch {
  readonly from: Length;
  readonly to: Length;
}

/** Which parts of a piece are meant, by the edge at which their free ends are. */
export type Ends =
  /** The part in each of these corners. */
  | {
      readonly kind: 'in corners';
      readonly corners: readonly Corner[];
      /** Whether the free end lies along the side edge, or along the top or bottom edge. */
      readonly along: 'side edge' | 'top or bottom edge';
    }
  /** Parts at one edge or at two opposite ones alike, or so far in where what lay before them is cut away. */
  | {
      readonly kind: 'at edges';
      readonly sides: readonly Side[];
      readonly inFrom: Length;
      /** All parts there are between the slits, or only some. */
      readonly which: 'all' | readonly Stretch[];
      /** How many there are at each edge. */
      readonly count: number;
    };

/** Corners of free ends drawn in, so that what is tapered doesn't catch. */
export interface TaperOperation {
  readonly kind: 'taper';
  readonly piece: string;
  readonly role: CellRole;
  readonly ends: Ends;
  /** How far each corner of the end is drawn in. */
  readonly inset: Length;
  /** How far inside the fold's ends the cuts begin; none where they begin at them. */
  readonly shoulder: Length;
  /** Their places among the tapers of the piece. */
  readonly places: readonly number[];
}

interface Tapered {
  readonly place: number;
  readonly taper: Taper;
  readonly role: CellRole;
  /** Corners of the cell, the upper left one and the lower right one. */
  readonly from: Spot;
  readonly to: Spot;
}

function cellsOf(grid: ScoreGrid): readonly Tapered[] {
  const [xs, ys] = [gridPositions(grid.columns), gridPositions(grid.rows)];
  return grid.tapers.map((taper, place): Tapered => {
    const { column, row } = taper.cell;
    return {
      place,
      taper,
      role: grid.roles[row]?.[column] ?? 'tab',
      from: { x: xs[column] ?? zero, y: ys[row] ?? zero },
      to: { x: xs[column + 1] ?? zero, y: ys[row + 1] ?? zero },
    };
  });
}

function isInCorner({ from, to }: Tapered, { width, height }: { width: Length; height: Length }) {
  return (from.x === 0 || to.x === width) && (from.y === 0 || to.y === height);
}

/** How far the free end is from the edge that it points to. */
function inFromEdge({ from, to }: Tapered, side: Side, grid: ScoreGrid): Length {
  const { width, height } = cutSizeOf(grid);
  return { left: from.x, top: from.y, right: minus(width, to.x), bottom: minus(height, to.y) }[
    side
  ];
}

/** Whether these are all the parts that a row of cells has, each with its own slits beside it. */
function areAll(group: readonly Tapered[], side: Side, grid: ScoreGrid): boolean {
  const [first] = group;
  if (!first) return false;
  const upright = isUpright(side);
  const { column, row } = first.taper.cell;
  const roles = upright ? grid.roles.map((cells) => cells[column]) : (grid.roles[row] ?? []);
  const parts = roles.flatMap((role, i) => (role === 'waste' || role === undefined ? [] : [i]));
  const at = ({ taper: { cell } }: Tapered) => (upright ? cell.row : cell.column);
  const isSlit = (before: number) =>
    grid.lines.some(
      ({ axis, index, spans }) =>
        axis === (upright ? 'row' : 'column') &&
        index === before + 1 &&
        spans.some(
          ({ make, from, to }) =>
            make === 'slit' && from <= (upright ? column : row) && (upright ? column : row) < to,
        ),
    );
  return (
    parts.length === group.length &&
    parts.every((part) => group.some((each) => at(each) === part)) &&
    parts.every((part) => !parts.includes(part + 1) || isSlit(part))
  );
}

type AtEdges = Extract<Ends, { kind: 'at edges' }>;

function endsAtEdge(group: readonly Tapered[], side: Side, grid: ScoreGrid): AtEdges {
  const upright = isUpright(side);
  const [first] = group;
  return {
    kind: 'at edges',
    sides: [side],
    inFrom: first ? inFromEdge(first, side, grid) : zero,
    count: group.length,
    which: areAll(group, side, grid)
      ? 'all'
      : group.map(({ from, to }) =>
          upright ? { from: from.y, to: to.y } : { from: from.x, to: to.x },
        ),
  };
}

/** Tapers as much drawn in, whatever they are on. */
function byAmount(tapers: readonly Tapered[]): readonly (readonly Tapered[])[] {
  const groups = new Map<string, Tapered[]>();
  for (const each of tapers) {
    const { inset, shoulder = zero } = each.taper;
    const key = [each.role, inset, shoulder].join(' ');
    groups.set(key, [...(groups.get(key) ?? []), each]);
  }
  return [...groups.values()];
}

function cornersOf({ from, to }: Tapered): readonly Spot[] {
  return [from, { x: to.x, y: from.y }, to, { x: from.x, y: to.y }];
}

/** Tabs that lie one in each corner. */
function inCorners(
  group: readonly Tapered[],
  grid: ScoreGrid,
): readonly (readonly [Ends, readonly number[]])[] {
  return groupAtCorners(group.map(cornersOf), cutSizeOf(grid)).map(({ corners, places }) => {
    const here = places.flatMap((place) => group[place] ?? []);
    const upright = here.every(({ taper }) => isUpright(taper.hinge));
    const ends: Ends = {
      kind: 'in corners',
      corners,
      along: upright ? 'side edge' : 'top or bottom edge',
    };
    return [ends, here.map(({ place }) => place)] as const;
  });
}

/** Parts at the edges that their ends point to; two opposite edges with the same are told together. */
function atEdges(
  group: readonly Tapered[],
  grid: ScoreGrid,
): readonly (readonly [Ends, readonly number[]])[] {
  const byEdge = new Map<string, Tapered[]>();
  for (const each of group) {
    const side = opposite[each.taper.hinge];
    const key = `${side} ${inFromEdge(each, side, grid)}`;
    byEdge.set(key, [...(byEdge.get(key) ?? []), each]);
  }
  const told: { ends: AtEdges; places: readonly number[] }[] = [];
  for (const here of byEdge.values()) {
    const [first] = here;
    if (!first) continue;
    const side = opposite[first.taper.hinge];
    const ends = endsAtEdge(here, side, grid);
    const places = here.map(({ place }) => place);
    const mirrored = told.findIndex(
      ({ ends: other }) =>
        other.sides.length === 1 &&
        other.sides[0] === opposite[side] &&
        JSON.stringify({ ...other, sides: [] }) === JSON.stringify({ ...ends, sides: [] }),
    );
    const before = told[mirrored];
    if (before)
      told[mirrored] = {
        ends: { ...before.ends, sides: [...before.ends.sides, side] },
        places: [...before.places, ...places],
      };
    else told.push({ ends, places });
  }
  return told.map(({ ends, places }) => [ends, places] as const);
}

/** Tapers that are told in one go: as much drawn in, in corners, or with their ends at an edge. */
export function taperOperations(piece: {
  readonly id: string;
  readonly grid: ScoreGrid;
}): readonly TaperOperation[] {
  const { grid } = piece;
  const size = cutSizeOf(grid);
  return byAmount(cellsOf(grid)).flatMap((group) => {
    const [first] = group;
    if (!first) return [];
    const isOfCorners = first.role === 'tab' && group.every((each) => isInCorner(each, size));
    const told = isOfCorners && group.length > 1 ? inCorners(group, grid) : atEdges(group, grid);
    return told.map(([ends, places]): TaperOperation => ({
      kind: 'taper',
      piece: piece.id,
      role: first.role,
      inset: absolute(first.taper.inset),
      shoulder: first.taper.shoulder ?? zero,
      ends,
      places,
    }));
  });
}
