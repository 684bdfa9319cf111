import {
  absolute,
  largest,
  millimetres,
  minus,
  smallest,
  zero,
  type Length,
} from '../../length/index.ts';
import {
  cutSizeOf,
  gridPositions,
  type CutoutUse,
  type ScoreGrid,
  type Spot,
} from '../../piece/index.ts';
import { groupAtCorners, type AtCorners, type FromCorner } from '../at-corners.ts';
import { spotOnGrid } from '../grid-spot.ts';

/** The outline of what is cut away, measured from its corner. */
export type CutAwayShape =
  /** A rectangle: how far it reaches, from and to, off the side edge and off the top or bottom edge. */
  | { readonly kind: 'block'; readonly from: FromCorner; readonly to: FromCorner }
  /** The tip of a corner of the piece, straight off. */
  | { readonly kind: 'tip'; readonly across: Length; readonly down: Length }
  /** Any other straight-sided bit, by its corners. */
  | { readonly kind: 'bit'; readonly points: readonly FromCorner[] }
  /** So narrow that it is one cut with a knife. */
  | { readonly kind: 'slit'; readonly from: FromCorner; readonly to: FromCorner };

/** Straight-sided card that is cut away, the same at one corner or at several. */
export interface CutAwayOperation {
  readonly kind: 'cut away';
  readonly piece: string;
  readonly use: CutoutUse | 'waste';
  readonly at: AtCorners;
  readonly shape: CutAwayShape;
  /** Cells of waste that go with it, by row and column, and places among the cutouts of the piece. */
  readonly cells: readonly { readonly column: number; readonly row: number }[];
  readonly cutouts: readonly number[];
  readonly patches: readonly number[];
}

/** What is narrower is a slit. */
const narrow = millimetres(1);

/** Places this near are on one line. */
const same = 20_000;

function isNear(a: Length, b: Length): boolean {
  return absolute(minus(a, b)) <= same;
}

/** Openings that something is put through: as narrow as a cut, they are one. */
const openings: ReadonlySet<CutAwayOperation['use']> = new Set([
  'slot',
  'lock slit',
  'hook',
  'card slit',
  'ribbon slit',
]);

/** What a ring of places is, as it is told. */
function shapeOf(spots: readonly FromCorner[], use: CutAwayOperation['use']): CutAwayShape {
  const points = spots.filter((spot, i) => {
    const next = spots[(i + 1) % spots.length] ?? spot;
    return !isNear(spot.across, next.across) || !isNear(spot.down, next.down);
  });
  const isOpening = openings.has(use);
  const acrosses = points.map(({ across }) => across);
  const downs = points.map(({ down }) => down);
  const [firstAcross = zero, ...moreAcross] = acrosses;
  const [firstDown = zero, ...moreDown] = downs;
  const from = {
    across: smallest(firstAcross, ...moreAcross),
    down: smallest(firstDown, ...moreDown),
  };
  const to = { across: largest(firstAcross, ...moreAcross), down: largest(firstDown, ...moreDown) };
  const isRectangle =
    points.length === 4 &&
    points.every(
      ({ across, down }) =>
        (isNear(across, from.across) || isNear(across, to.across)) &&
        (isNear(down, from.down) || isNear(down, to.down)),
    );
  if (isRectangle) {
    const [wide, high] = [minus(to.across, from.across), minus(to.down, from.down)];
    // Along the side that lies nearer to the middle of the piece: there the fold is.
    if (isOpening && high <= narrow && high < wide)
      return { kind: 'slit', from: { across: from.across, down: to.down }, to };
    if (isOpening && wide <= narrow && wide < high)
      return { kind: 'slit', from: { across: to.across, down: from.down }, to };
    return { kind: 'block', from, to };
  }
  const isTip =
    points.length === 3 &&
    points.some(({ across, down }) => across === 0 && down === 0) &&
    points.every(({ across, down }) => across === 0 || down === 0);
  if (isTip) return { kind: 'tip', across: to.across, down: to.down };
  return { kind: 'bit', points };
}

interface Waste {
  readonly use: CutAwayOperation['use'];
  readonly ring: readonly Spot[];
  readonly cells: CutAwayOperation['cells'];
  readonly cutouts: readonly number[];
  readonly patches: readonly number[];
}

/** Waste cells as few rectangles: along a row first, then rows of the same stretch together. */
function wasteBlocks({ columns, rows, roles }: ScoreGrid): readonly Waste[] {
  const [xs, ys] = [gridPositions(columns), gridPositions(rows)];
  interface Block {
    readonly left: number;
    readonly right: number;
    readonly top: number;
    bottom: number;
  }
  const blocks: Block[] = [];
  roles.forEach((cells, row) => {
    let left = 0;
    while (left < cells.length) {
      if (cells[left] !== 'waste') {
        left++;
        continue;
      }
      let right = left + 1;
      while (cells[right] === 'waste') right++;
      const above = blocks.find(
        (block) => block.left === left && block.right === right && block.bottom === row,
      );
      if (above) above.bottom = row + 1;
      else blocks.push({ left, right, top: row, bottom: row + 1 });
      left = right;
    }
  });
  return blocks.map(({ left, right, top, bottom }): Waste => {
    const [x1 = zero, x2 = zero] = [xs[left], xs[right]];
    const [y1 = zero, y2 = zero] = [ys[top], ys[bottom]];
    return {
      use: 'waste',
      ring: [
        { x: x1, y: y1 },
        { x: x2, y: y1 },
        { x: x2, y: y2 },
        { x: x1, y: y2 },
      ],
      cells: Array.from({ length: bottom - top }, (_, i) =>
        Array.from({ length: right - left }, (__, j) => ({ column: left + j, row: top + i })),
      ).flat(),
      cutouts: [],
      patches: [],
    };
  });
}

function operationsFor(
  piece: string,
  wastes: readonly Waste[],
  grid: ScoreGrid,
): readonly CutAwayOperation[] {
  const uses = [...new Set(wastes.map(({ use }) => use))];
  return uses.flatMap((use) => {
    const alike = wastes.filter((waste) => waste.use === use);
    return groupAtCorners(
      alike.map(({ ring }) => ring),
      cutSizeOf(grid),
    ).map((at): CutAwayOperation => {
      const here = at.places.flatMap((place) => alike[place] ?? []);
      return {
        kind: 'cut away',
        piece,
        use,
        at,
        shape: shapeOf(at.spots, use),
        cells: here.flatMap(({ cells }) => cells),
        cutouts: here.flatMap(({ cutouts }) => cutouts),
        patches: here.flatMap(({ patches }) => patches),
      };
    });
  });
}

/** The waste between the parts of a piece: what its slits and scores leave over. */
export function wasteOperations(piece: {
  readonly id: string;
  readonly grid: ScoreGrid;
}): readonly CutAwayOperation[] {
  const { grid } = piece;
  const patches = grid.patches.flatMap(({ role, corners }, place): readonly Waste[] =>
    role === 'waste'
      ? [
          {
            use: 'waste',
            ring: corners.map((corner) => spotOnGrid(grid, corner)),
            cells: [],
            cutouts: [],
            patches: [place],
          },
        ]
      : [],
  );
  return operationsFor(piece.id, [...wasteBlocks(grid), ...patches], grid);
}

/** As much of a ring as lies on the card. */
function onCard(ring: readonly Spot[], grid: ScoreGrid): readonly Spot[] {
  const { width, height } = cutSizeOf(grid);
  return ring.map(({ x, y }) => ({
    x: largest(zero, smallest(x, width)),
    y: largest(zero, smallest(y, height)),
  }));
}

/** Less than this is nothing to cut. */
const nothing = 50_000;

function isThin(ring: readonly Spot[]): boolean {
  const spread = (values: readonly Length[]) => Math.max(...values) - Math.min(...values);
  return spread(ring.map(({ x }) => x)) < nothing || spread(ring.map(({ y }) => y)) < nothing;
}

/** What is trimmed off its parts, or cut into them. */
export function trimOperations(piece: {
  readonly id: string;
  readonly grid: ScoreGrid;
}): readonly CutAwayOperation[] {
  const { grid } = piece;
  const trims = grid.cutouts.flatMap((cutout, place): readonly Waste[] => {
    if (cutout.shape !== 'trim' || cutout.use === 'plate') return [];
    const ring = onCard(cutout.corners, grid);
    if (isThin(ring)) return [];
    return [{ use: cutout.use, ring, cells: [], cutouts: [place], patches: [] }];
  });
  return operationsFor(piece.id, trims, grid);
}
