import { minus, plus, zero, type Length } from '../../length/index.ts';

/** A piece on a sheet, as it lies. */
export interface LaidPiece {
  readonly piece: string;
  readonly x: Length;
  readonly y: Length;
  readonly width: Length;
  readonly height: Length;
}

/** A part of a sheet with the pieces in it. */
export interface Region {
  readonly x: Length;
  readonly y: Length;
  readonly width: Length;
  readonly height: Length;
  readonly pieces: readonly LaidPiece[];
}

/** A part, with the cut that goes through it from edge to edge: what it takes off, and what stays. */
export interface CutTree {
  readonly region: Region;
  readonly cut?: {
    readonly across: boolean;
    readonly at: Length;
    readonly first: CutTree;
    readonly rest: CutTree;
  };
}

interface Weighed {
  readonly tree: CutTree;
  readonly cuts: number;
  /** Cuts through strips that are too narrow to be held. */
  readonly awkward: number;
  /** Widths at which it cuts, to tell how often the trimmer is set. */
  readonly settings: ReadonlySet<number>;
}

/** The part of a region between two positions one way. */
function partOf(region: Region, across: boolean, from: Length, to: Length): Region {
  const pieces = region.pieces.filter((piece) => {
    const at = across ? piece.x : piece.y;
    return at >= from && at < to;
  });
  return across
    ? { ...region, x: from, width: minus(to, from), pieces }
    : { ...region, y: from, height: minus(to, from), pieces };
}

/** The nearest edge-to-edge cut from the left, or from the top, that goes through no piece. */
function firstCut({ x, y, width, height, pieces }: Region, across: boolean): Length | undefined {
  const [start, end] = across ? [x, plus(x, width)] : [y, plus(y, height)];
  const spans = pieces.map((piece) =>
    across
      ? { from: piece.x, to: plus(piece.x, piece.width) }
      : { from: piece.y, to: plus(piece.y, piece.height) },
  );
  const isClear = (at: Length) => spans.every(({ from, to }) => to <= at || from >= at);
  return spans
    .flatMap(({ from, to }) => [from, to])
    .filter((at) => at > start && at < end && isClear(at))
    .sort((a, b) => a - b)[0];
}

function isWhole({ width, height, pieces }: Region): boolean {
  const [piece] = pieces;
  return pieces.length === 1 && piece?.width === width && piece.height === height;
}

function together(
  region: Region,
  across: boolean,
  at: Length,
  [first, rest]: readonly [Weighed, Weighed],
  leastStrip: Length,
): Weighed {
  const start = across ? region.x : region.y;
  const held = across ? region.height : region.width;
  return {
    tree: { region, cut: { across, at, first: first.tree, rest: rest.tree } },
    cuts: 1 + first.cuts + rest.cuts,
    awkward: Number(held < leastStrip) + first.awkward + rest.awkward,
    settings: new Set([...first.settings, ...rest.settings, minus(at, start)]),
  };
}

function compare(a: Weighed, b: Weighed): number {
  return a.cuts - b.cuts || a.awkward - b.awkward || a.settings.size - b.settings.size;
}

function weigh(region: Region, known: Map<string, Weighed>, leastStrip: Length): Weighed {
  const none: Weighed = { tree: { region }, cuts: 0, awkward: 0, settings: new Set() };
  if (region.pieces.length === 0 || isWhole(region)) return none;
  const { x, y, width, height } = region;
  const key = `${x} ${y} ${width} ${height}`;
  const before = known.get(key);
  if (before) return before;
  let best: Weighed | undefined;
  for (const across of [true, false]) {
    const at = firstCut(region, across);
    if (at === undefined) continue;
    const [start, end] = across ? [x, plus(x, width)] : [y, plus(y, height)];
    const first = weigh(partOf(region, across, start, at), known, leastStrip);
    const rest = weigh(partOf(region, across, at, end), known, leastStrip);
    const both = together(region, across, at, [first, rest], leastStrip);
    if (!best || compare(both, best) < 0) best = both;
  }
  if (!best) throw new Error('These pieces can’t be cut apart from edge to edge');
  known.set(key, best);
  return best;
}

/**
 * The edge-to-edge cuts that take a sheet apart into its pieces: the fewest cuts, of those the ones
 * that hold the card best, and of those the fewest settings.
 * @throws Error when the pieces can't be cut apart so.
 */
export function cutTree(
  sheet: { readonly width: Length; readonly height: Length },
  pieces: readonly LaidPiece[],
  leastStrip: Length,
): CutTree {
  return weigh({ x: zero, y: zero, ...sheet, pieces }, new Map(), leastStrip).tree;
}
