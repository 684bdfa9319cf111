import { minus, plus, zero, type Length } from '../../length/index.ts';

/** A kind of piece that is cut from a sheet, and how many of it are wanted. */
export interface PieceKind {
  readonly width: Length;
  readonly height: Length;
  readonly wanted: number;
}

/** A rectangle of card. */
export interface Size {
  readonly width: Length;
  readonly height: Length;
}

/** How a part of a sheet is taken apart, down to the pieces. */
export type PatternNode =
  | { readonly kind: 'piece'; readonly of: number; readonly turned: boolean }
  | {
      readonly kind: 'cut';
      /** The second part begins so far on, beside the first or below it. */
      readonly lie: 'beside' | 'below';
      readonly at: Length;
      readonly first: PatternNode;
      readonly second: PatternNode;
    };

/** What a sheet gives, kind by kind, and how it is taken apart for it. */
export interface Pattern {
  readonly counts: readonly number[];
  readonly node: PatternNode;
}

/**
 * The most places for a cut, one way of a sheet, with which a search is short: by the number of kinds, from
 * none. More kinds are not searched for.
 */
const mostPlaces = [0, 110, 26, 15];

/** All sums of these lengths from the least to a limit, smallest first; undefined where there are too many. */
function sumsUpTo(
  limit: Length,
  lengths: readonly Length[],
  most: number,
): readonly Length[] | undefined {
  const found = new Set<Length>();
  let latest: readonly Length[] = [zero];
  while (latest.length > 0) {
    const next = new Set<Length>();
    for (const place of latest)
      for (const length of lengths) {
        const on = plus(place, length);
        if (on <= limit && !found.has(on)) next.add(on);
      }
    for (const on of next) found.add(on);
    if (found.size > most) return undefined;
    latest = [...next];
  }
  return [...found].sort((a, b) => a - b);
}

/** Leaves out what gives no more of any kind than another one. */
function best(patterns: readonly Pattern[]): readonly Pattern[] {
  const kept: Pattern[] = [];
  for (const each of patterns) {
    const isNoBetter = (one: Pattern, other: Pattern) =>
      one.counts.every((count, i) => count <= (other.counts[i] ?? 0));
    if (kept.some((other) => isNoBetter(each, other))) continue;
    kept.splice(0, kept.length, ...kept.filter((other) => !isNoBetter(other, each)), each);
  }
  return kept;
}

/** Two parts of a sheet together; no more of a kind than are wanted. */
function together(
  kinds: readonly PieceKind[],
  [first, second]: readonly [Pattern, Pattern],
  lie: 'beside' | 'below',
  at: Length,
): Pattern {
  return {
    counts: kinds.map(({ wanted }, i) =>
      Math.min(wanted, (first.counts[i] ?? 0) + (second.counts[i] ?? 0)),
    ),
    node: { kind: 'cut', lie, at, first: first.node, second: second.node },
  };
}

/**
 * Everything that one sheet can give by cuts from edge to edge, each way that no other betters. Cuts are
 * tried where pieces laid side by side end: moving a cut down to the nearest such place costs no piece
 * (Herz's normal patterns). Undefined where there are too many kinds, or too many places, to search them all.
 */
export function patternsOn(
  sheet: Size,
  kinds: readonly PieceKind[],
  { mayTurn }: { readonly mayTurn: boolean },
): readonly Pattern[] | undefined {
  const most = mostPlaces[kinds.length];
  if (most === undefined) return undefined;
  const lengths = kinds.flatMap(({ width, height }) => [width, height]);
  const xs = sumsUpTo(sheet.width, mayTurn ? lengths : kinds.map(({ width }) => width), most);
  const ys = sumsUpTo(sheet.height, mayTurn ? lengths : kinds.map(({ height }) => height), most);
  if (!xs || !ys) return undefined;

  const known = new Map<string, readonly Pattern[]>();
  const upTo = (places: readonly Length[], room: Length) =>
    places.findLast((place) => place <= room);

  const patternsIn = (room: Size): readonly Pattern[] => {
    const width = upTo(xs, room.width);
    const height = upTo(ys, room.height);
    if (width === undefined || height === undefined) return [];
    const key = `${width} ${height}`;
    const before = known.get(key);
    if (before) return before;
    const alone = kinds.flatMap((kind, of) =>
      (mayTurn ? [false, true] : [false]).flatMap((turned): readonly Pattern[] => {
        const [wide, high] = turned ? [kind.height, kind.width] : [kind.width, kind.height];
        if (wide > width || high > height) return [];
        return [
          { counts: kinds.map((_, i) => Number(i === of)), node: { kind: 'piece', of, turned } },
        ];
      }),
    );
    const split = (lie: 'beside' | 'below') => {
      const [places, whole] = lie === 'beside' ? ([xs, width] as const) : ([ys, height] as const);
      return places
        .filter((at) => at * 2 <= whole)
        .flatMap((at) => {
          const [small, large] =
            lie === 'beside'
              ? [
                  { width: at, height },
                  { width: minus(width, at), height },
                ]
              : [
                  { width, height: at },
                  { width, height: minus(height, at) },
                ];
          const rest = patternsIn(large);
          return patternsIn(small).flatMap((one) =>
            rest.map((other) => together(kinds, [one, other], lie, at)),
          );
        });
    };
    const found = best([...split('beside'), ...split('below'), ...alone]);
    known.set(key, found);
    return found;
  };
  return patternsIn(sheet);
}
