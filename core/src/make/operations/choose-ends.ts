import { minus, zero, type Length } from '../../length/index.ts';
import { meansOf, type Grooves } from '../../marks/index.ts';
import { scoringMeans, type Kit } from '../../tools/index.ts';

export type End = 'start' | 'end';

export function groovesOf({ board }: Kit): Grooves {
  const { pitch, reach, shim } = board;
  return { pitch, reach, ...(shim !== undefined && { shim }) };
}

/** The grooves, or what else lines are set by: the marks of the tip's ruler, or of a hand ruler. */
export function marksAtHand(kit: Kit): Grooves {
  const means = scoringMeans(kit);
  if (!means || means.tool === 'board') return groovesOf(kit);
  return { pitch: means.step, reach: means.reach };
}

/** What a choice of edges costs: lines off the marks, lyings, shims, and how large the readings are. */
type Cost = readonly [number, number, number, number];

function compareCosts(one: Cost, other: Cost): number {
  for (const [i, each] of one.entries()) {
    const difference = each - (other[i] ?? 0);
    if (difference !== 0) return difference;
  }
  return 0;
}

/**
 * The edge that each of the lines one way is measured from: as many on a mark as can be, then all from one
 * edge where the marks allow it, since turning the piece is what costs; then without a shim, then with small
 * readings. Either edge may serve any line.
 */
export function chooseEnds(
  places: readonly Length[],
  whole: Length,
  grooves: Grooves,
): readonly End[] {
  const readingFrom = (at: Length, end: End) => (end === 'start' ? at : minus(whole, at));
  const meansFrom = (at: Length, end: End) => meansOf(readingFrom(at, end), grooves);
  const nearer = (at: Length): End => (at <= minus(whole, at) ? 'start' : 'end');
  const better = (at: Length): End => {
    const near = nearer(at);
    const far: End = near === 'start' ? 'end' : 'start';
    const rank = { groove: 0, shim: 1, none: 2 };
    return rank[meansFrom(at, far)] < rank[meansFrom(at, near)] ? far : near;
  };
  const candidates: readonly (readonly End[])[] = [
    places.map(() => 'start' as const),
    places.map(() => 'end' as const),
    places.map(better),
  ];
  const costOf = (ends: readonly End[]): Cost => {
    const means = places.map((at, i) => meansFrom(at, ends[i] ?? 'start'));
    const off = means.filter((each) => each === 'none').length;
    const lyings = new Set(ends.filter((_, i) => means[i] !== 'none')).size;
    const shims = means.filter((each) => each === 'shim').length;
    const sum = places.reduce((total, at, i) => total + readingFrom(at, ends[i] ?? 'start'), 0);
    return [off, lyings, shims, sum];
  };
  const [best = candidates[0]] = [...candidates].sort((a, b) => compareCosts(costOf(a), costOf(b)));
  // What no mark has is measured along a ruler, from the nearer edge.
  return (best ?? []).map((end, i) => {
    const at = places[i] ?? zero;
    return meansFrom(at, end) === 'none' ? nearer(at) : end;
  });
}

/** How a line is read: from which of the two edges, at what figure, and by which means. */
export interface LineReading {
  readonly from: End;
  readonly reading: Length;
  readonly means: ReturnType<typeof meansOf>;
}

/** How the lines of a piece one way are read on what this kit scores with, at their places. */
export function readLines(
  places: readonly Length[],
  whole: Length,
  kit: Kit,
): readonly LineReading[] {
  const grooves = marksAtHand(kit);
  return chooseEnds(places, whole, grooves).map((from, i) => {
    const at = places[i] ?? zero;
    const reading = from === 'start' ? at : minus(whole, at);
    return { from, reading, means: meansOf(reading, grooves) };
  });
}
