import type { Point } from './point.ts';
import type { Make, Segment } from './segments.ts';

/** Corners closer than this are one: a thousandth of the smallest thing that a blade can do. Millimetres. */
export const same = 1e-5;

/** A part of a line between two corners that nothing meets in between. */
export interface Run {
  readonly from: number;
  readonly to: number;
  readonly segment: Segment;
}

/** Lines split where they meet: the corners, and the runs between them. */
export interface SplitLines {
  readonly corners: readonly Point[];
  readonly runs: readonly Run[];
}

const strength: Record<Make, number> = { edge: 3, cut: 2, slit: 1, score: 0 };

/** Splits all lines of a piece where they meet; where two lie on one another the stronger make stays. */
export function splitLines(segments: readonly Segment[]): SplitLines {
  const index = new CornerIndex();
  const runs = new RunIndex();
  for (const { segment, wide, high, stops } of meetings(segments)) {
    const { x, y } = segment.from;
    let from = -1;
    for (const t of stops) {
      const to = index.at(x + t * wide, y + t * high);
      if (from >= 0 && from !== to) runs.put({ from, to, segment });
      from = to;
    }
  }
  return { corners: index.corners, runs: runs.runs };
}

/** The runs of a piece, each once: of those that lie on one another the strongest. */
class RunIndex {
  readonly runs: Run[] = [];
  /** The place of the last run whose lower corner a corner is, and of the one before each run; below zero where none is. */
  readonly #lastFrom: number[] = [];
  readonly #before: number[] = [];

  put(run: Run): void {
    const low = Math.min(run.from, run.to);
    const far = Math.max(run.from, run.to);
    const last = this.#lastFrom[low] ?? -1;
    for (let place = last; place >= 0; place = this.#before[place] ?? -1) {
      const known = this.runs[place];
      if (known?.from !== far && known?.to !== far) continue;
      if (strength[known.segment.make] < strength[run.segment.make]) this.runs[place] = run;
      return;
    }
    this.#before.push(last);
    this.#lastFrom[low] = this.runs.push(run) - 1;
  }
}

/** The corners of a piece, each once. */
class CornerIndex {
  readonly corners: Point[] = [];
  /** How far down each of them is, counted in what makes two of them one. */
  readonly #rows: number[] = [];
  /** Those that are as far to the right, counted so. */
  readonly #columns = new Map<number, number[]>();

  /** The corner at a place, which is a new one where there is none yet. */
  at(x: number, y: number): number {
    const [column, row] = [x / same, y / same];
    // A place close to the border of two cells is looked for in both.
    const [left, right] = [Math.round(column - 0.2), Math.round(column + 0.2)];
    const known =
      this.#inColumn(left, row) ?? (left === right ? undefined : this.#inColumn(right, row));
    return known ?? this.#add({ x, y }, Math.round(column), Math.round(row));
  }

  #inColumn(column: number, row: number): number | undefined {
    const [top, bottom] = [Math.round(row - 0.2), Math.round(row + 0.2)];
    for (const corner of this.#columns.get(column) ?? []) {
      const at = this.#rows[corner];
      if (at === top || at === bottom) return corner;
    }
    return undefined;
  }

  #add(point: Point, column: number, row: number): number {
    const corner = this.corners.push(point) - 1;
    this.#rows.push(row);
    const above = this.#columns.get(column);
    if (above) above.push(corner);
    else this.#columns.set(column, [corner]);
    return corner;
  }
}

/** A line with the rectangle round it, a hair wider, and how far along it (0–1) others meet it or it ends, in order. */
interface Bounded {
  readonly segment: Segment;
  readonly wide: number;
  readonly high: number;
  readonly length: number;
  readonly lengthSquared: number;
  readonly left: number;
  readonly right: number;
  readonly top: number;
  readonly bottom: number;
  readonly stops: number[];
}

function withBounds(segment: Segment): Bounded {
  const { from, to } = segment;
  const wide = to.x - from.x;
  const high = to.y - from.y;
  const lengthSquared = wide * wide + high * high;
  return {
    segment,
    wide,
    high,
    length: Math.sqrt(lengthSquared),
    lengthSquared,
    left: Math.min(from.x, to.x) - same / 2,
    right: Math.max(from.x, to.x) + same / 2,
    top: Math.min(from.y, to.y) - same / 2,
    bottom: Math.max(from.y, to.y) + same / 2,
    stops: [0, 1],
  };
}

/** All lines with where they meet. */
function meetings(segments: readonly Segment[]): readonly Bounded[] {
  const bounded = segments.map(withBounds);
  // From left to right, only what begins before a line ends can meet it.
  const inOrder = bounded.toSorted((a, b) => a.left - b.left);
  for (let place = 0; place < inOrder.length; place++) {
    const here = inOrder[place];
    if (!here) continue;
    for (let next = place + 1; next < inOrder.length; next++) {
      const other = inOrder[next];
      if (!other || other.left > here.right) break;
      if (here.bottom < other.top || other.bottom < here.top) continue;
      addMeetings(here, other);
      addMeetings(other, here);
    }
  }
  return bounded;
}

/** How far a point lies to the side of a line, times the line’s length. */
function sideOf({ segment: { from }, wide, high }: Bounded, { x, y }: Point): number {
  return wide * (y - from.y) - high * (x - from.x);
}

/** Adds to the stops of a line where the other one meets it. */
function addMeetings(line: Bounded, other: Bounded): void {
  const { length } = line;
  const { from: c, to: d } = other.segment;
  const sideC = sideOf(line, c);
  const sideD = sideOf(line, d);
  const touchesC = Math.abs(sideC) / length < same;
  const touchesD = Math.abs(sideD) / length < same;
  if (touchesC) addStop(line, along(line, c));
  if (touchesD) addStop(line, along(line, d));
  if (touchesC || touchesD || sideC > 0 === sideD > 0) return;
  const sideA = sideOf(other, line.segment.from) / other.length;
  const sideB = sideOf(other, line.segment.to) / other.length;
  if (sideA > 0 !== sideB > 0 || Math.abs(sideA) < same || Math.abs(sideB) < same)
    addStop(line, sideA / (sideA - sideB));
}

/** How far along a line (0–1) a point is; 0 and 1 exactly at its ends. */
function along({ segment: { from }, wide, high, lengthSquared }: Bounded, { x, y }: Point): number {
  return ((x - from.x) * wide + (y - from.y) * high) / lengthSquared;
}

/** Adds a stop so far along a line, if that is on it. */
function addStop({ length, stops }: Bounded, t: number): void {
  const slack = same / length;
  // Most lines meet at their ends, which are stops already.
  if (t <= -slack || t >= 1 + slack || t === 0 || t === 1) return;
  let place = stops.length;
  for (; place > 0; place--) {
    const before = stops[place - 1] ?? 0;
    if (before <= t) break;
    stops[place] = before;
  }
  stops[place] = t;
}
