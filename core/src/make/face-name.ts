import {
  add,
  closedFaces,
  origin,
  scale,
  subtract,
  type FoldingBox,
  type FoldingPart,
  type PlacedFace,
  type Vector,
} from '../fold/index.ts';
import { toMillimetres } from '../length/index.ts';
import type { CellRole } from '../piece/index.ts';
import { columnsOf, facesOnLine, mainRow, parentsOf, type RowWay } from './rows-of-part.ts';

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
  /**
   * Which part of a wall that runs up into a pleated top: what is pushed in, what then lies flat, or the neck
   * that stands on it and its brim.
   */
  readonly above?: 'slope' | 'top' | 'neck' | 'brim';
  /** Whether it is a flap with a free edge round or pointed, one of several that close over one another. */
  readonly isPetal?: true;
  /** Whether it is an end of a strip that hooks into the other end: the left or the right one of the flat piece. */
  readonly hooks?: 'left' | 'right';
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
  const long = Math.sqrt(along(way, way)) || 1;
  let [best, most]: [BoxSide, number] = ['front', -Infinity];
  for (const [direction, axis] of directions) {
    const share = along(way, axis) / long;
    if (share > most) [best, most] = [direction, share];
  }
  return { direction: best, share: most };
}

/** The side of the box that a direction comes nearest to. */
export function boxSideOf(way: Vector): BoxSide {
  return nearest(way).direction;
}

function middleOf(places: readonly Vector[]): Vector {
  return scale(places.reduce(add, origin), 1 / places.length);
}

/** The middle of the block round some places, whatever their number on either side. */
function boxMiddle(places: readonly Vector[]): Vector {
  const [first = origin] = places;
  let [least, most] = [first, first];
  for (const { x, y, z } of places) {
    least = { x: Math.min(least.x, x), y: Math.min(least.y, y), z: Math.min(least.z, z) };
    most = { x: Math.max(most.x, x), y: Math.max(most.y, y), z: Math.max(most.z, z) };
  }
  return scale(add(least, most), 1 / 2);
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
    const of = parent === undefined ? undefined : nameOf(parent);
    const end = over && endOf(part, over, face);
    const above = role === 'wall' && of && end ? aboveWall(box, of, end) : undefined;
    const leaningTo = role === 'wall' && share < square ? sideways(out) : direction;
    const named: FaceName = {
      piece: part.piece.id,
      at: face,
      role,
      faces: above !== undefined && of ? of.faces : leaningTo,
      leans: role === 'wall' && share < square && Math.abs(out.z) > 0.2,
      ...(of && { of }),
      ...(end && { end }),
      ...(above && { above }),
      ...(role === 'flap' &&
        (of?.role === 'tab' || isShapedAsPetal(part, face)) && { isPetal: true }),
      isOnLid: role === 'wall' && parent !== undefined && placed[parent]?.role === 'lid',
    };
    known.set(face, named);
    return named;
  };
  const names = placed.map((_, face) => nameOf(face));
  const hasBoth = names.some(({ isOnLid }) => isOnLid) && names.some(isOnFloor);
  return withHooks(numbered(hasBoth ? names : names.map(withoutLid), part), part);
}

/** Names in which the ends of a strip that are slit to hook into each other are told as such. */
function withHooks(names: readonly FaceName[], part: FoldingPart): readonly FaceName[] {
  const isHooked = part.piece.grid.cutouts.some(({ use }) => use === 'hook');
  if (!isHooked || names.every(({ role }) => role !== 'seam')) return names;
  const [, row] = mainRow(part);
  const [left, right] = [row[0], row.at(-1)];
  return names.map((name): FaceName => {
    if (name.at === left) return { ...name, hooks: 'left' };
    return name.at === right ? { ...name, hooks: 'right' } : name;
  });
}

/** Whether the free corners of a face are taken off to make a petal of it. */
function isShapedAsPetal({ piece, pattern }: FoldingPart, face: number): boolean {
  const corners = (pattern.faces[face]?.corners ?? []).flatMap(
    (corner) => pattern.corners[corner] ?? [],
  );
  const [xs, ys] = [corners.map(({ x }) => x), corners.map(({ y }) => -y)];
  const isWithin = (at: number, along: readonly number[]) =>
    at > Math.min(...along) - 0.01 && at < Math.max(...along) + 0.01;
  return piece.grid.cutouts.some((cutout) => {
    if (cutout.use !== 'petal') return false;
    const at = cutout.shape === 'corner' ? cutout.at : cutout.shape === 'trim' && cutout.corners[0];
    return at && isWithin(toMillimetres(at.x), xs) && isWithin(toMillimetres(at.y), ys);
  });
}

/** Which part of a pleated top a face is that hangs on another. */
function aboveWall(
  { assembly: { closes } }: FoldingBox,
  of: FaceName,
  end: BoxSide,
): FaceName['above'] {
  if (closes === undefined) return undefined;
  if (of.above === 'neck') return 'brim';
  if (of.above !== undefined) return closes === 'gathered to a neck' ? 'neck' : 'top';
  if (of.role !== 'wall' || end !== 'top') return undefined;
  return closes === 'gathered' ? 'top' : 'slope';
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

/** At which end of the face that it hangs on a face is: where they are folded. */
function endOf(part: FoldingPart, over: PlacedFace, face: number): BoxSide {
  const ring = part.pattern.faces[over.face]?.corners ?? [];
  const ends: Vector[] = [];
  for (const { left, right, from, to } of part.pattern.around[face] ?? []) {
    if (left !== over.face && right !== over.face) continue;
    for (const corner of [from, to]) {
      const end = over.ring[ring.indexOf(corner)];
      if (end) ends.push(end);
    }
  }
  return nearest(subtract(middleOf(ends), boxMiddle(over.ring))).direction;
}

/** Walls round more than four corners face where they may: they are counted in their row. */
function numbered(names: readonly FaceName[], part: FoldingPart): readonly FaceName[] {
  const areTold = (walls: readonly FaceName[]) =>
    new Set(walls.map(({ faces }) => faces)).size === walls.length;
  if (areTold(names.filter(({ role }) => role === 'wall'))) return names;
  const walls = mainRow(part)[1].filter((face) => names[face]?.role === 'wall');
  if (areTold(walls.flatMap((face) => names[face] ?? []))) return names;
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

/** The faces that one passes on a straight line over a piece, in their order. */
export interface FaceRow {
  readonly way: RowWay;
  readonly faces: readonly FaceName[];
}

/** What a piece becomes, told along two lines that cross its middle. */
export function faceRows(names: readonly FaceName[], part: FoldingPart): readonly FaceRow[] {
  const [way, main] = mainRow(part);
  const named = (faces: readonly number[]) => faces.flatMap((face) => names[face] ?? []);
  // The wall is shown that has most at its ends; a wall that is pushed in has parts with one name.
  const told = (faces: readonly number[]) =>
    new Set(named(faces).map((name) => [name.role, name.faces, name.above, name.of?.faces].join()))
      .size;
  const columns = columnsOf(part);
  const whole = columns.filter((faces) => told(faces) === faces.length);
  const most = Math.max(0, ...(whole.length > 0 ? whole : columns).map(told));
  const down =
    way === 'falling'
      ? facesOnLine(part, part.root, 'rising')
      : ((whole.length > 0 ? whole : columns).find((faces) => told(faces) === most) ?? []);
  const rows: readonly FaceRow[] = [
    { way, faces: named(main) },
    { way: way === 'falling' ? 'rising' : 'down', faces: named(down) },
  ];
  return rows.filter(({ faces }) => faces.length > 1);
}
