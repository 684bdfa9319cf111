import type { Point } from './point.ts';
import type { Run } from './split-lines.ts';

/** The rings that the runs of a piece make, and for each run the ring on its one side and on its other. */
export interface TracedRings {
  /** Corners of each ring: clockwise as drawn round a face, anticlockwise round an opening. */
  readonly rings: readonly (readonly number[])[];
  readonly sides: { readonly left: readonly number[]; readonly right: readonly number[] };
}

/** A run as it leaves a corner. */
interface Spoke {
  readonly to: number;
  /** The run that it is, and whether it leaves the corner that this begins at. */
  readonly run: number;
  readonly isForward: boolean;
  /** What it comes after and before at its corner. */
  readonly turn: number;
}

/** Walks every bounded face once, always taking the next run clockwise at a corner. */
export function traceRings(corners: readonly Point[], runs: readonly Run[]): TracedRings {
  const spokes = spokesOf(corners, runs);
  const left: number[] = [];
  const right: number[] = [];
  const rings: (readonly number[])[] = [];
  const walk = (start: Spoke, from: number) => {
    const ring: number[] = [];
    let [spoke, at] = [start, from];
    do {
      ring.push(at);
      (spoke.isForward ? left : right)[spoke.run] = rings.length;
      const around = spokes[spoke.to] ?? [];
      const { run, to } = spoke;
      const back = around.findIndex((each) => each.run === run);
      at = to;
      spoke = around[(back + around.length - 1) % around.length] ?? start;
    } while (spoke !== start);
    rings.push(ring);
  };
  runs.forEach(({ from, to }, run) => {
    for (const [corner, done] of [
      [from, left],
      [to, right],
    ] as const) {
      if (done[run] !== undefined) continue;
      const start = spokes[corner]?.find((spoke) => spoke.run === run);
      if (start) walk(start, corner);
    }
  });
  return { rings, sides: { left, right } };
}

/** What grows with the angle of a way as it is turned once round, from the left by the top, without one being reckoned. */
function turnOf(from: Point, to: Point): number {
  const wide = to.x - from.x;
  const high = to.y - from.y;
  const share = wide / (Math.abs(wide) + Math.abs(high));
  return high < 0 ? share - 1 : 1 - share;
}

/** The runs at each corner, in the order in which they leave it. */
function spokesOf(corners: readonly Point[], runs: readonly Run[]): readonly (readonly Spoke[])[] {
  const spokes = corners.map((): Spoke[] => []);
  const put = (from: number, to: number, run: number, isForward: boolean) => {
    const corner = corners[from];
    const end = corners[to];
    const around = spokes[from];
    if (!corner || !end || !around) return;
    const turn = turnOf(corner, end);
    let place = around.length;
    for (; place > 0; place--) {
      const before = around[place - 1];
      if (!before || before.turn <= turn) break;
      around[place] = before;
    }
    around[place] = { to, run, isForward, turn };
  };
  runs.forEach(({ from, to }, run) => {
    put(from, to, run, true);
    put(to, from, run, false);
  });
  return spokes;
}
