/** A place on a piece as it is drawn, in millimetres. */
export interface Place {
  readonly x: number;
  readonly y: number;
}

/** A straight line by its ends. */
export type Line = readonly [Place, Place];

/** Two places this near are one, in millimetres. */
export const near = 0.01;

/** A stretch of an endless line: which way it runs, how far it passes from the piece's corner, from and to. */
interface Stretch {
  readonly way: Place;
  readonly off: number;
  readonly from: number;
  readonly to: number;
}

function stretchOf([a, b]: Line): readonly Stretch[] {
  const long = Math.hypot(b.x - a.x, b.y - a.y);
  if (long < near) return [];
  const flip = b.x - a.x < -1e-6 || (Math.abs(b.x - a.x) <= 1e-6 && b.y < a.y) ? -1 : 1;
  const way = { x: (flip * (b.x - a.x)) / long, y: (flip * (b.y - a.y)) / long };
  const ends = [a, b].map(({ x, y }) => x * way.x + y * way.y);
  return [
    {
      way,
      off: a.x * way.y - a.y * way.x,
      from: Math.min(...ends),
      to: Math.max(...ends),
    },
  ];
}

/** So much two lines may differ that are one, in millimetres: grid points come of shares of sections. */
const apart = 0.02;

function isOneLine(a: Stretch, b: Stretch): boolean {
  const isParallel = Math.abs(a.way.x - b.way.x) < 1e-4 && Math.abs(a.way.y - b.way.y) < 1e-4;
  return isParallel && Math.abs(a.off - b.off) < apart;
}

/** Lines as one can compare them: stretches that meet on one line are one. */
function merged(lines: readonly Line[]): readonly Stretch[] {
  let all: readonly Stretch[] = [];
  for (const stretch of lines.flatMap(stretchOf)) {
    let whole = stretch;
    const others: Stretch[] = [];
    for (const other of all) {
      const meets =
        isOneLine(whole, other) && other.from <= whole.to + apart && whole.from <= other.to + apart;
      if (!meets) others.push(other);
      else
        whole = {
          ...whole,
          from: Math.min(whole.from, other.from),
          to: Math.max(whole.to, other.to),
        };
    }
    all = [...others, whole];
  }
  return all;
}

function isAmong(all: readonly Stretch[], { from, to, ...line }: Stretch): boolean {
  return all.some(
    (other) =>
      isOneLine(other, { ...line, from, to }) &&
      Math.abs(other.from - from) < apart * 2 &&
      Math.abs(other.to - to) < apart * 2,
  );
}

function said({ way, off, from, to }: Stretch): string {
  const figures = [way.x, way.y, off, from, to].map((each) => each.toFixed(2));
  return figures.join(' ');
}

/** Scores that are missing and scores that are too many. */
export function scoreFaults(made: readonly Line[], wanted: readonly Line[]): readonly string[] {
  const [there, asked] = [merged(made), merged(wanted)];
  return [
    ...asked.filter((each) => !isAmong(there, each)).map((each) => `no score ${said(each)}`),
    ...there.filter((each) => !isAmong(asked, each)).map((each) => `a score ${said(each)}`),
  ];
}
