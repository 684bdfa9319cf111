import {
  closedFaces,
  type FoldingBox,
  type FoldingPart,
  type PlacedFace,
  type Vector,
} from '../fold/index.ts';
import type { CellRole } from '../piece/index.ts';

/** A side of the closed box, as it stands in front of the maker. */
export type BoxSide = 'front' | 'back' | 'left' | 'right' | 'top' | 'bottom';

/** What a face of a piece is, so that it can be told from the others: where it is in the closed box. */
export interface FaceName {
  readonly piece: string;
  /** Its place among the faces of the folded piece, to be drawn. */
  readonly at: number;
  readonly role: CellRole;
  /** Where it faces in the closed box. */
  readonly faces: BoxSide;
  /** Whether it leans there, as a roof does. */
  readonly leans: boolean;
  /** The face that it hangs on, on the way to the middle of the piece. */
  readonly of?: FaceName;
  /** At which end of that face. */
  readonly end?: BoxSide;
  /** Whether it is a wall of the lid, where the box has walls too. */
  readonly isOnLid: boolean;
  /** Which of the walls it is from left to right, where there are too many to be told by where they face. */
  readonly nth?: number;
}

const directions: readonly (readonly [BoxSide, Vector])[] = [
  ['front', { x: 0, y: -1, z: 0 }],
  ['back', { x: 0, y: 1, z: 0 }],
  ['left', { x: -1, y: 0, z: 0 }],
  ['right', { x: 1, y: 0, z: 0 }],
  ['top', { x: 0, y: 0, z: 1 }],
  ['bottom', { x: 0, y: 0, z: -1 }],
];

function along(one: Vector, other: Vector): number {
  return one.x * other.x + one.y * other.y + one.z * other.z;
}

function nearest(way: Vector): { readonly direction: BoxSide; readonly share: number } {
  const long = Math.hypot(way.x, way.y, way.z) || 1;
  const [best = ['front', 0] as const] = directions
    .map(([direction, axis]) => [direction, along(way, axis) / long] as const)
    .sort((a, b) => b[1] - a[1]);
  return { direction: best[0], share: best[1] };
}

function middleOf({ ring }: Pick<PlacedFace, 'ring'>): Vector {
  const sum = ring.reduce(
    (total, { x, y, z }) => ({ x: total.x + x, y: total.y + y, z: total.z + z }),
    { x: 0, y: 0, z: 0 },
  );
  return { x: sum.x / ring.length, y: sum.y / ring.length, z: sum.z / ring.length };
}

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

/** A face is upright or level within this share; else it leans. */
const square = 0.97;

/** The names of all faces of a part, by their places. */
export function faceNames(box: FoldingBox, part: FoldingPart): readonly FaceName[] {
  const placed = closedFaces(box).filter((face) => face.part === part.part.id);
  const parents = parentsOf(part);
  const known = new Map<number, FaceName>();
  const nameOf = (face: number): FaceName => {
    const before = known.get(face);
    if (before) return before;
    const here = placed[face];
    const parent = parents.get(face);
    const over = parent === undefined ? undefined : placed[parent];
    // The drawn face lies inside: a face looks out the other way.
    const out = here ? { x: -here.out.x, y: -here.out.y, z: -here.out.z } : { x: 0, y: 0, z: 1 };
    const { direction, share } = nearest(out);
    const role = here?.role ?? 'wall';
    const named: FaceName = {
      piece: part.piece.id,
      at: face,
      role,
      faces: role === 'wall' && share < square ? sideways(out) : direction,
      leans: role === 'wall' && share < square && Math.abs(out.z) > 0.2,
      ...(parent !== undefined && { of: nameOf(parent) }),
      ...(here && over && { end: endOf(here, over) }),
      isOnLid: role === 'wall' && parent !== undefined && placed[parent]?.role === 'lid',
    };
    known.set(face, named);
    return named;
  };
  const names = placed.map((_, face) => nameOf(face));
  const hasBoth = names.some(({ isOnLid }) => isOnLid) && names.some(isOnFloor);
  return numbered(hasBoth ? names : names.map(withoutLid), part);
}

/** A name that need not say that it is of the lid: there is nothing else. */
function withoutLid(name: FaceName): FaceName {
  return { ...name, isOnLid: false, ...(name.of && { of: withoutLid(name.of) }) };
}

function isOnFloor({ role, of }: FaceName): boolean {
  return role === 'wall' && of?.role === 'floor';
}

/** The side that something leaning looks to. */
function sideways({ x, y, z }: Vector): BoxSide {
  return Math.hypot(x, y) < 0.2
    ? nearest({ x, y, z }).direction
    : nearest({ x, y, z: 0 }).direction;
}

function endOf(face: PlacedFace, over: PlacedFace): BoxSide {
  const [a, b] = [middleOf(face), middleOf(over)];
  const way = { x: a.x - b.x, y: a.y - b.y, z: a.z - b.z };
  // Along the face that it hangs on, not out of it.
  const off = along(way, over.out);
  return nearest({
    x: way.x - off * over.out.x,
    y: way.y - off * over.out.y,
    z: way.z - off * over.out.z,
  }).direction;
}

/** Walls round more than four corners face where they may: they are counted in their row. */
function numbered(names: readonly FaceName[], part: FoldingPart): readonly FaceName[] {
  const walls = facesAcross(part, 'across').filter((face) => names[face]?.role === 'wall');
  const ways = walls.map((face) => names[face]?.faces);
  if (new Set(ways).size === ways.length) return names;
  const place = (face: number | undefined) =>
    face === undefined || !walls.includes(face) ? undefined : walls.indexOf(face) + 1;
  const parents = parentsOf(part);
  return names.map((name, face) => {
    const nth = place(face);
    const above = place(parents.get(face));
    return {
      ...name,
      ...(nth !== undefined && { nth }),
      ...(above !== undefined && name.of && { of: { ...name.of, nth: above } }),
    };
  });
}

/** The faces that one passes on a straight line through the middle of the piece's own middle face. */
function facesAcross({ pattern, root }: FoldingPart, way: 'across' | 'down'): readonly number[] {
  const spans = pattern.faces.map(({ corners }) => {
    const places = corners.flatMap((i) => pattern.corners[i] ?? []);
    const xs = places.map(({ x }) => x);
    const ys = places.map(({ y }) => -y);
    return {
      left: Math.min(...xs),
      right: Math.max(...xs),
      top: Math.min(...ys),
      bottom: Math.max(...ys),
    };
  });
  const middle = spans[root];
  if (!middle) return [];
  const [x, y] = [(middle.left + middle.right) / 2, (middle.top + middle.bottom) / 2];
  return spans
    .flatMap((span, face) => {
      const passes =
        way === 'across' ? span.top < y && y < span.bottom : span.left < x && x < span.right;
      return passes ? [{ face, at: way === 'across' ? span.left : span.top }] : [];
    })
    .sort((a, b) => a.at - b.at)
    .map(({ face }) => face);
}

/** The names of the faces that one passes so, from the left or from the top. */
export function namesAcross(
  names: readonly FaceName[],
  part: FoldingPart,
  way: 'across' | 'down',
): readonly FaceName[] {
  return facesAcross(part, way).flatMap((face) => names[face] ?? []);
}
