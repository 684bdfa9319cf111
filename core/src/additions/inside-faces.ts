import {
  add,
  closedFaces,
  cross,
  direction,
  dot,
  lengthOf,
  scale,
  subtract,
  vector,
  type Cavity,
  type FoldingBox,
  type FoldingPart,
  wearerOf,
  type FaceRef,
  type GridSpot,
  type PlacedFace,
  type Vector,
} from '../fold/index.ts';
import { toMillimetres } from '../length/index.ts';
import type { CellRole, Cutout, Point } from '../piece/index.ts';
import type { Undressed } from './addition.ts';
import { cardSpot } from './card-spot.ts';
import { onFace, type FaceAxes } from './face-axes.ts';
import { isOpening, openingsOn, type Opening } from './openings.ts';
import {
  areaOf,
  boundsOf,
  cornersOf,
  cutTo,
  isConvex,
  isWithinOutline,
  outlineOf,
  type Bounds,
} from './outline.ts';
import { narrowed, roomAt } from './room-at.ts';
import type { RoomTaken } from './room-taken.ts';
import { insideBox } from './worn-box.ts';

/** The card behind one side of a box’s room. */
export interface InsideFace {
  readonly part: FoldingPart;
  /** What is glued to it is glued here: on the part itself, or on what it wears there already. */
  readonly glued: FaceRef;
  readonly role: CellRole;
  /** A place on it where there is card. */
  readonly spot: GridSpot;
  readonly openings: readonly Opening[];
  /** Those of all card that lies here in layers, as a wall behind its seam or behind a flap that is tucked in. */
  readonly openBehind: readonly Opening[];
  /** Its outline as the side of the room is measured. */
  readonly outline: readonly Point[];
  /** How far its inner surface is out along the side’s axes, in millimetres. */
  readonly surface: number;
  /** Other card that lies before it, as the tabs at the ends of a wall or the flaps under a lid do. */
  readonly before: readonly CardBefore[];
  /** Card that stands across the side, looked for when it is asked for. */
  readonly across: () => readonly CardBefore[];
}

/** Card that lies before a side of the room: its outline, and how far its inner surface is out. Millimetres. */
export interface CardBefore {
  readonly outline: readonly Point[];
  readonly surface: number;
}

/** One side of the room for the gift, measured as it stands, with `out` away from the room. Millimetres. */
export interface RoomSide {
  readonly axes: FaceAxes;
  readonly outline: readonly Point[];
  /** How far its plane is out along its axes. */
  readonly plane: number;
  /** The card behind it; none where it is open or nothing flat is near. */
  readonly behind: InsideFace | undefined;
}

/** The room for the gift with what lies round it: its floor, its top and its walls. */
export interface RoomSides {
  readonly box: FoldingBox;
  readonly floor: RoomSide;
  readonly top: RoomSide;
  readonly walls: readonly RoomSide[];
}

/** Card that is farther off than this from a side of the room, in millimetres, is not its wall. */
const close = 6;

/** What is nearer than by this, in millimetres, is on the same level. */
const touching = 0.05;

/** What covers less of a side, in square millimetres, only touches it. */
const leastCover = 2;

/** A place of a side is looked behind so far up it: walls may be lower than the room. */
const lowOnWall = 0.15;

/** How far out from a side of the room card may cross it that is in the way of a plate there, in millimetres. */
const crossed = { from: 0.05, to: 1 } as const;

/** What lies between two depths before a side of the room, of a ring that crosses it: the rectangle round that, as the side is measured. */
function boundsBetween(
  ring: readonly Vector[],
  axes: FaceAxes,
  { plane, from, to }: { readonly plane: number; readonly from: number; readonly to: number },
): Bounds | undefined {
  // Most faces lie before it or behind it with all their corners.
  let [nearest, farthest] = [Infinity, -Infinity];
  for (const place of ring) {
    const depth = dot(place, axes.out) - plane;
    if (depth < nearest) nearest = depth;
    if (depth > farthest) farthest = depth;
  }
  if (farthest < from || nearest > to) return undefined;
  let [left, right, bottom, top] = [Infinity, -Infinity, Infinity, -Infinity];
  const take = (x: number, y: number) => {
    if (x < left) left = x;
    if (x > right) right = x;
    if (y < bottom) bottom = y;
    if (y > top) top = y;
  };
  let before = ring.at(-1);
  for (const here of ring) {
    const depth = dot(here, axes.out) - plane;
    const [x, y] = [dot(here, axes.right), dot(here, axes.up)];
    if (depth > from && depth < to) take(x, y);
    if (before) {
      const depthBefore = dot(before, axes.out) - plane;
      const [xBefore, yBefore] = [dot(before, axes.right), dot(before, axes.up)];
      for (const limit of [from, to]) {
        if (depthBefore > limit === depth > limit) continue;
        const share = (limit - depthBefore) / (depth - depthBefore);
        take(xBefore + share * (x - xBefore), yBefore + share * (y - yBefore));
      }
    }
    before = here;
  }
  return left > right ? undefined : { left, right, bottom, top };
}

/** A ball round a face. */
interface Ball {
  readonly middle: Vector;
  readonly radius: number;
}

function ballRound({ ring }: PlacedFace): Ball {
  const middle = scale(
    ring.reduce((sum, place) => add(sum, place)),
    1 / ring.length,
  );
  return { middle, radius: Math.max(...ring.map((place) => lengthOf(subtract(place, middle)))) };
}

/** Card that stands across a side of the room, as a seat does that hangs between the walls. */
function standsAcross(
  { ring, card }: PlacedFace,
  axes: FaceAxes,
  plane: number,
): readonly CardBefore[] {
  const bounds = boundsBetween(ring, axes, { plane, ...crossed });
  if (!bounds) return [];
  const { left, right, bottom, top } = bounds;
  // What runs across the side aslant, as a gable’s edge, comes to its ends.
  if (Math.min(right - left, top - bottom) > card) return [];
  const half = card / 2;
  const outline = cornersOf({
    left: left - half,
    right: right + half,
    bottom: bottom - half,
    top: top + half,
  });
  return [{ outline, surface: plane }];
}

interface FaceInBall {
  readonly face: PlacedFace;
  readonly ball: Ball;
}

/** Found once for each box, which never changes. */
const knownRound = new WeakMap<FoldingBox, readonly FaceInBall[]>();

/** The faces of a box that may be a wall of its room; film is none: what is seen through it is open. */
function facesRound(box: FoldingBox): readonly FaceInBall[] {
  const before = knownRound.get(box);
  if (before) return before;
  const faces = closedFaces(box)
    .filter(({ role }) => role !== 'film')
    .map((face) => ({ face, ball: ballRound(face) }));
  knownRound.set(box, faces);
  return faces;
}

/** What finds the card behind a place of the room’s side. */
function finder(bare: Undressed) {
  const box = insideBox(bare);
  const pieces = [...bare.drawn.pieces, ...bare.worn.pieces];
  const cutouts = new Map<string, readonly Cutout[]>(
    pieces.map(({ id, grid }) => [id, grid.cutouts.filter(isOpening)]),
  );
  const faces = facesRound(box);
  const openingsIn = (
    { part, at }: { readonly part: FoldingPart; readonly at: number },
    seen: { readonly axes: FaceAxes; readonly outline: readonly Point[] },
  ) =>
    openingsOn(cutouts.get(part.piece.id) ?? [], {
      ...seen,
      frame: part.faces[at] ?? part.closed,
    });
  const behind = (axes: FaceAxes, plane: number, place: Point): InsideFace | undefined => {
    const near: { face: PlacedFace; surface: number; hull: readonly Point[] }[] = [];
    for (const { face } of faces) {
      const [first] = face.ring;
      if (Math.abs(dot(face.out, axes.out)) <= 0.99 || !first) continue;
      const surface = dot(first, axes.out) - face.card / 2;
      if (surface < plane - close || surface > plane + close) continue;
      const ring = outlineOf(face.ring.map((corner) => onFace(axes, corner)));
      near.push({ face, surface, hull: isConvex(ring) ? ring : cornersOf(boundsOf(ring)) });
    }
    near.sort((a, b) => a.surface - b.surface);
    // In the room itself there may be tabs at corners that a round gift leaves free.
    const found = near.find(
      (each) => each.surface > plane - 0.1 && isWithinOutline(each.hull, place),
    );
    const nearest = box.parts.find((each) => each.part.id === found?.face.part);
    const part = nearest && (wearerOf(box, nearest) ?? nearest);
    if (!found || !part) return undefined;
    const { face, hull: outline, surface } = found;
    // What is cut through it in any other way leaves no even card.
    if (face.holes.length > 0) return undefined;
    let across: readonly CardBefore[] | undefined;
    const worn = nearest.part.worn;
    const rounds = cutouts.get(part.piece.id) ?? [];
    const at = worn ? part.pattern.faceAt(worn.spot) : face.face;
    const spot = worn ? worn.spot : cardSpot(part, at, rounds);
    const openings = openingsIn({ part, at }, { axes, outline });
    return {
      part,
      glued: worn
        ? { part: face.part, spot: { column: 0.5, row: 0.5 } }
        : { part: face.part, spot },
      role: part.pattern.faces[at]?.role ?? face.role,
      spot,
      openings,
      openBehind: [
        ...openings,
        ...near
          .filter((each) => each !== found)
          .flatMap((each) => {
            const beyond = box.parts.find(({ part }) => part.id === each.face.part);
            return beyond
              ? openingsIn({ part: beyond, at: each.face.face }, { axes, outline: each.hull })
              : [];
          }),
      ],
      outline,
      surface,
      before: near.flatMap(({ surface: own, hull }): readonly CardBefore[] => {
        const isOver = own < surface - touching && areaOf(cutTo(hull, outline, 0)) > leastCover;
        return isOver ? [{ outline: hull, surface: own }] : [];
      }),
      across: () =>
        (across ??= faces.flatMap(({ face, ball }) => {
          // Most are nowhere near.
          if (Math.abs(dot(ball.middle, axes.out) - plane) > ball.radius + crossed.to) return [];
          const isTurned = Math.abs(dot(face.out, axes.out)) < 0.5;
          return isTurned ? standsAcross(face, axes, plane) : [];
        })),
    };
  };
  return { box, behind };
}

const high = vector(0, 0, 1);

function levelSide(
  ring: Cavity['floor'],
  z: number,
  up: 1 | -1,
  behind: ReturnType<typeof finder>['behind'],
): RoomSide {
  const out = scale(high, up);
  // Seen from below a floor is drawn as from above, turned over: only its own axes matter.
  const axes: FaceAxes = {
    right: vector(1, 0, 0),
    up: vector(0, up, 0),
    out,
    at: scale(high, z),
  };
  const outline = outlineOf(ring.map(({ x, y }) => onFace(axes, vector(x, y, z))));
  const { left, right, bottom, top } = boundsOf(outline);
  const plane = z * up;
  const middle = { x: (left + right) / 2, y: (bottom + top) / 2 };
  return { axes, outline, plane, behind: behind(axes, plane, middle) };
}

function wallSide(
  corners: readonly [Vector, Vector, Vector, Vector],
  behind: ReturnType<typeof finder>['behind'],
): RoomSide {
  const [a, b, , d] = corners;
  const along = direction(subtract(b, a));
  // Anticlockwise seen from above, what is to the right of an edge lies outside.
  const out = direction(cross(along, subtract(d, a)));
  const up = cross(out, along);
  const plane = dot(a, out);
  const axes: FaceAxes = { right: along, up, out, at: scale(out, plane) };
  const outline = outlineOf(corners.map((place) => onFace(axes, place)));
  const { left, right, bottom, top } = boundsOf(outline);
  const place = { x: (left + right) / 2, y: bottom + (top - bottom) * lowOnWall };
  return { axes, outline, plane, behind: behind(axes, plane, place) };
}

/**
 * The sides of a box’s room, out by what lies nearer to the gift already. A wall stands on that floor and goes up as
 * far as the room does.
 */
export function roomSides(bare: Undressed, inner: RoomTaken): RoomSides {
  const { cavity } = bare.drawn.assembly;
  const { box, behind } = finder(bare);
  const [around, under, over] = [inner.around, inner.under, inner.over].map(toMillimetres);
  const grown = (up: number) => narrowed(roomAt(cavity, up), -(around ?? 0));
  const [low, top] = [-(under ?? 0), cavity.high + (over ?? 0)];
  const [floorRing, topRing] = [grown(low), grown(cavity.high)];
  const wallsOf = () =>
    floorRing.map((from, i) => {
      const next = (i + 1) % floorRing.length;
      const to = floorRing[next] ?? from;
      const [fromAbove, toAbove] = [topRing[i] ?? from, topRing[next] ?? to];
      return wallSide(
        [
          vector(from.x, from.y, low),
          vector(to.x, to.y, low),
          vector(toAbove.x, toAbove.y, cavity.high),
          vector(fromAbove.x, fromAbove.y, cavity.high),
        ],
        behind,
      );
    });
  // Each is looked for where it is asked for.
  const sides: { floor?: RoomSide; top?: RoomSide; walls?: readonly RoomSide[] } = {};
  return {
    box,
    get floor() {
      return (sides.floor ??= levelSide(floorRing, low, -1, behind));
    },
    get top() {
      return (sides.top ??= levelSide(topRing, top, 1, behind));
    },
    get walls() {
      return (sides.walls ??= wallsOf());
    },
  };
}
