import type { Point } from './point.ts';
import type { Subdivision, SubdivisionEdge } from './subdivision.ts';

function keptSides(map: Subdivision, edge: SubdivisionEdge): number {
  return edge.faces.filter((face) => map.faces[face]?.role !== 'waste').length;
}

/** Edges with card on one side only: what the blade goes round. */
export function isBorder(map: Subdivision, edge: SubdivisionEdge): boolean {
  return keptSides(map, edge) === 1;
}

/** Edges with card on both sides: scores, and slits between two parts that stay. */
export function isWithin(map: Subdivision, edge: SubdivisionEdge): boolean {
  return keptSides(map, edge) === 2;
}

/** The rings that remain when all waste is cut away; straight runs are one side each. */
export function outlinesOf(map: Subdivision): readonly (readonly Point[])[] {
  const onward = new Map<number, number[]>();
  for (const face of map.faces) {
    if (face.role === 'waste') continue;
    for (const ring of [face.corners, ...face.holes])
      ring.forEach((from, i) => {
        const to = ring[(i + 1) % ring.length] ?? from;
        onward.set(from, [...(onward.get(from) ?? []), to]);
      });
  }
  for (const edge of map.edges) {
    if (isBorder(map, edge)) continue;
    const drop = (from: number, to: number) => {
      const exits = onward.get(from) ?? [];
      const at = exits.indexOf(to);
      if (at >= 0) exits.splice(at, 1);
    };
    drop(edge.from, edge.to);
    drop(edge.to, edge.from);
  }
  const rings: (readonly Point[])[] = [];
  for (const [start, exits] of onward)
    while (exits.length > 0) {
      const ring: Point[] = [];
      let here = start;
      do {
        const next = onward.get(here)?.pop();
        const point = map.corners[here];
        if (next === undefined || !point) break;
        ring.push(point);
        here = next;
      } while (here !== start);
      rings.push(straightened(ring));
    }
  return rings;
}

function straightened(ring: readonly Point[]): readonly Point[] {
  return ring.filter((point, i) => {
    const before = ring[(i + ring.length - 1) % ring.length] ?? point;
    const after = ring[(i + 1) % ring.length] ?? point;
    const turn =
      (point.x - before.x) * (after.y - point.y) - (point.y - before.y) * (after.x - point.x);
    return Math.abs(turn) > 1e-7;
  });
}
