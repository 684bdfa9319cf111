import type { FoldingPart, Vector } from '../fold/index.ts';

/** Which way one passes over a piece as it is drawn. */
export type RowWay = 'across' | 'down' | 'falling' | 'rising';

/** The face that each face hangs on, on the way from the root; none for the root itself. */
export function parentsOf({ pattern, root }: FoldingPart): ReadonlyMap<number, number> {
  const parents = new Map<number, number>();
  const seen = new Set([root]);
  const waiting = [root];
  for (let from = waiting.shift(); from !== undefined; from = waiting.shift())
    for (const crease of pattern.around[from] ?? []) {
      const face = crease.left === from ? crease.right : crease.left;
      if (seen.has(face)) continue;
      seen.add(face);
      parents.set(face, from);
      waiting.push(face);
    }
  return parents;
}

/** Falling and rising are told from the left. y runs up. */
const headings: Readonly<Record<RowWay, readonly [number, number]>> = {
  across: [1, 0],
  down: [0, -1],
  falling: [Math.SQRT1_2, -Math.SQRT1_2],
  rising: [Math.SQRT1_2, Math.SQRT1_2],
};

function flatRing({ pattern }: FoldingPart, face: number): readonly Vector[] {
  return pattern.faces[face]?.corners.flatMap((corner) => pattern.corners[corner] ?? []) ?? [];
}

/** The middle of the rectangle round a flat face. */
function flatMiddle(part: FoldingPart, face: number): Vector {
  const ring = flatRing(part, face);
  const between = (values: readonly number[]) => (Math.min(...values) + Math.max(...values)) / 2;
  return { x: between(ring.map(({ x }) => x)), y: between(ring.map(({ y }) => y)), z: 0 };
}

/** The faces that one passes on a straight line through the middle of one of them. */
export function facesOnLine(part: FoldingPart, through: number, way: RowWay): readonly number[] {
  const [dx, dy] = headings[way];
  const middle = flatMiddle(part, through);
  // Beside every corner, so that no line runs along an edge.
  const at = { x: middle.x + 0.00137, y: middle.y + 0.00071 };
  const off = ({ x, y }: Vector) => (x - at.x) * dy - (y - at.y) * dx;
  const ahead = ({ x, y }: Vector) => (x - at.x) * dx + (y - at.y) * dy;
  return part.pattern.faces
    .flatMap((_, face) => {
      const ring = flatRing(part, face);
      const crossings = ring.flatMap((a, i) => {
        const b = ring[(i + 1) % ring.length] ?? a;
        const [from, to] = [off(a), off(b)];
        return from > 0 === to > 0 ? [] : [ahead(a) + (from / (from - to)) * (ahead(b) - ahead(a))];
      });
      return crossings.length === 0 ? [] : [{ face, from: Math.min(...crossings) }];
    })
    .sort((a, b) => a.from - b.from)
    .map(({ face }) => face);
}

/** Whether the middle face of a piece lies on its corner: no edge of it runs along the sheet. */
function isOnItsCorner(part: FoldingPart): boolean {
  const ring = flatRing(part, part.root);
  return ring.every((a, i) => {
    const b = ring[(i + 1) % ring.length] ?? a;
    return Math.abs(a.x - b.x) > 0.5 && Math.abs(a.y - b.y) > 0.5;
  });
}

/** The line along which a piece is told first, and what one passes on it. */
export function mainRow(part: FoldingPart): readonly [RowWay, readonly number[]] {
  const way = isOnItsCorner(part) ? 'falling' : 'across';
  return [way, facesOnLine(part, part.root, way)];
}

/** Lines down a piece on which each face hangs on the next: of a tube through any of its walls. */
export function columnsOf(part: FoldingPart): readonly (readonly number[])[] {
  const isTube = part.pattern.faces[part.root]?.role === 'wall';
  const parents = parentsOf(part);
  const [, walls] = mainRow(part);
  return [part.root, ...(isTube ? walls : [])]
    .map((face) => facesOnLine(part, face, 'down'))
    .filter((faces) =>
      faces.every((face, i) => {
        const next = faces[i + 1];
        return next === undefined || parents.get(face) === next || parents.get(next) === face;
      }),
    );
}
