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
  return one[0] - other[0] || one[1] - other[1] || one[2] - other[2] || one[3] - other[3];
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
  if (places.length === 0) return [];
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
    let [off, shims, sum] = [0, 0, 0];
    const onMarks = new Set<End>();
    places.forEach((at, i) => {
      const end = ends[i] ?? 'start';
      const means = meansFrom(at, end);
      if (means === 'none') off++;
      else onMarks.add(end);
      if (means === 'shim') shims++;
      sum += readingFrom(at, end);
    });
    return [off, onMarks.size, shims, sum];
  };
  const [{ ends: best } = { ends: undefined }] = candidates
    .map((ends) => ({ ends, cost: costOf(ends) }))
    .sort((a, b) => compareCosts(a.cost, b.cost));
  // What no mark has is measured along a ruler, from the nearer edge.
  return (best ?? []).map((end, i) => {
    const at = places[i] ?? zero;
    return meansFrom(at, end) === 'none' ? nearer(at) : end;
  });
}

/** How many of some lines one way no mark has, from whichever edge they are measured: so many are off the marks. */
export function countOffMarks(places: readonly Length[], whole: Length, kit: Kit): number {
  const grooves = marksAtHand(kit);
  const isOff = (reading: Length) => meansOf(reading, grooves) === 'none';
  return places.filter((at) => isOff(at) && isOff(minus(whole, at))).length;
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
