import { isBetween, meet, type Place } from './planar.ts';

/** A ring of corners that joins run through, and the joins between two of its corners. */
export interface JoinedRing {
  readonly ring: readonly number[];
  readonly joins: readonly (readonly [number, number])[];
}

/** Where a ring is broken open and which corner of an opening it is joined to there. */
interface Join {
  readonly at: number;
  readonly corner: number;
  readonly far: number;
}

/**
 * A face with openings as one ring: from a corner of it a join runs to each opening, round that and back. The
 * ring and the openings run either way, and each opening the other way round than the ring.
 * @throws Error when an opening is not inside the ring.
 */
export function joinOpenings(
  outer: readonly number[],
  openings: readonly (readonly number[])[],
  place: (corner: number) => Place,
): JoinedRing {
  let ring = outer;
  let left = openings;
  const joins: (readonly [number, number])[] = [];
  while (left.length > 0) {
    const walls = [ring, ...left];
    const found = left
      .flatMap((opening) => {
        const join = shortestJoin(ring, opening, walls, place);
        return join ? [{ opening, ...join }] : [];
      })
      .sort((a, b) => a.far - b.far)[0];
    if (!found) throw new Error('An opening is out of sight of its face');
    const { opening, at, corner } = found;
    const from = opening.indexOf(corner);
    const round = [...opening.slice(from), ...opening.slice(0, from), corner];
    const start = ring[at] ?? 0;
    ring = [...ring.slice(0, at + 1), ...round, start, ...ring.slice(at + 1)];
    joins.push([start, corner]);
    left = left.filter((each) => each !== opening);
  }
  return { ring, joins };
}

/** The shortest straight way from a ring to an opening that crosses no edge and starts inside the ring. */
function shortestJoin(
  ring: readonly number[],
  opening: readonly number[],
  walls: readonly (readonly number[])[],
  place: (corner: number) => Place,
): Join | undefined {
  const candidates = ring.flatMap((start, at) =>
    opening.map((corner): Join => {
      const [a, b] = [place(start), place(corner)];
      return { at, corner, far: Math.hypot(b.x - a.x, b.y - a.y) };
    }),
  );
  const isFree = ({ at, corner }: Join) => {
    const start = ring[at] ?? 0;
    const [before, after] = [ring.at(at - 1) ?? start, ring[(at + 1) % ring.length] ?? start];
    const way = [place(start), place(corner)] as const;
    if (!isBetween(place(before), place(start), place(after), place(corner))) return false;
    return walls.every((wall) =>
      wall.every((from, i) => {
        const to = wall[(i + 1) % wall.length] ?? from;
        if ([from, to].some((each) => each === start || each === corner)) return true;
        return !meet(way, [place(from), place(to)]);
      }),
    );
  };
  return candidates.sort((a, b) => a.far - b.far).find(isFree);
}
