import { add, carriedAlong, scale, type Frame, type Part, type Stack } from '../fold/index.ts';
import type { Worn } from '../forms/index.ts';
import {
  millimetres,
  nanometres,
  roundDown,
  smallest,
  toMillimetres,
  type Length,
} from '../length/index.ts';
import type { BoxSide } from '../make/index.ts';
import type { Piece, Point } from '../piece/index.ts';
import type { InsideFace, RoomSide, RoomSides } from './inside-faces.ts';
import { widened } from './openings.ts';
import { areaOf, boundsOf, cornersOf, cutTo, isConvex, type Bounds } from './outline.ts';
import { isCutAlike, panelGrid, panelShape, type PanelShape } from './panel-shape.ts';

/** So much smaller a plate is than its side of the room on every edge, to be laid in. */
const ease = millimetres(0.3);

/** What covers less of a side, in square millimetres, only touches it. */
const leastCover = 0.5;

/** So much wider than an opening of the wall that of its plate is, in millimetres. */
const clearOfOpening = 1.5;

/** A plate that lies in a box against one side of the room. */
export interface InsidePlate {
  readonly side: RoomSide;
  readonly behind: InsideFace;
  readonly shape: PanelShape;
  /** How far its middle is out along the axes of the side, in millimetres. */
  readonly out: number;
  /** What it is laid or stood against; a plate that is glued into a lid, or behind a window, moves with it. */
  readonly against: 'floor' | BoxSide | 'lid' | 'window';
}

function isGlued({ against }: InsidePlate): boolean {
  return against === 'lid' || against === 'window';
}

/** The middle of an outline about a point: what of it is there on both sides of that, too. */
export function evenAbout(outline: readonly Point[], { x, y }: Point): readonly Point[] {
  const turned = outline.map((corner) => ({ x: 2 * x - corner.x, y: 2 * y - corner.y }));
  return cutTo(outline, turned, 0);
}

/** The middle of the rectangle round an outline. */
export function middleOf(outline: readonly Point[]): Point {
  const { left, right, bottom, top } = boundsOf(outline);
  return { x: (left + right) / 2, y: (bottom + top) / 2 };
}

/** Sizes of a plate that are not to be passed. */
interface Most {
  readonly width: Length;
  readonly height: Length;
}

/** What is cut to stand on the floor: its upper edge is where the marks leave it. */
function standing(
  outline: readonly Point[],
  step: Length,
  most: Most | undefined,
): readonly Point[] {
  const { left, right, bottom, top } = boundsOf(outline);
  const withEase = (size: Length) => toMillimetres(size) + 2 * toMillimetres(ease) + 1e-4;
  const room = nanometres(Math.floor(Math.max(0, top - bottom - 2 * toMillimetres(ease)) * 1e6));
  const marked = roundDown(room, step);
  const high = withEase(most ? smallest(marked, most.height) : marked);
  const wide = Math.min(right - left, most ? withEase(most.width) : Infinity);
  const middle = (left + right) / 2;
  const [from, to] = [middle - wide / 2, middle + wide / 2];
  return cutTo(outline, cornersOf({ left: from, right: to, bottom, top: bottom + high }), 0);
}

/** How much two rectangles have in common. */
function sharedArea(one: Bounds, other: Bounds): number {
  const wide = Math.min(one.right, other.right) - Math.max(one.left, other.left);
  const high = Math.min(one.top, other.top) - Math.max(one.bottom, other.bottom);
  return Math.max(0, wide) * Math.max(0, high);
}

/** What is left of a side where no card lies nearer than so far out: at its ends, above or below, whichever costs least of it. */
export function clearOf(
  outline: readonly Point[],
  { before, across }: Pick<InsideFace, 'before' | 'across'>,
  out: number,
): readonly Point[] {
  return [...before, ...across()]
    .filter(({ surface }) => surface < out - 1e-3)
    .reduce<readonly Point[]>((rest, other) => {
      if (rest.length < 3) return rest;
      const whole = boundsOf(rest);
      const taken = boundsOf(other.outline);
      // Most of it, as the walls at its ends, only touches the rectangle round what is left.
      if (sharedArea(whole, taken) < leastCover) return rest;
      if (areaOf(cutTo(other.outline, rest, 0)) < leastCover) return rest;
      const ways = [
        { ...whole, left: taken.right },
        { ...whole, right: taken.left },
        { ...whole, top: taken.bottom },
        { ...whole, bottom: taken.top },
      ].map((bounds) =>
        bounds.left < bounds.right && bounds.bottom < bounds.top
          ? cutTo(rest, cornersOf(bounds), 0)
          : [],
      );
      return ways.sort((a, b) => areaOf(b) - areaOf(a))[0] ?? [];
    }, outline);
}

/** What of the card behind a plate may carry it: in a lid of many sides no more than its own face. */
function backOf(outline: readonly Point[], fits: 'standing' | 'in the middle'): readonly Point[] {
  return fits === 'in the middle' && isConvex(outline) ? outline : cornersOf(boundsOf(outline));
}

/** How a plate for one side of a room is cut; undefined where nothing flat is behind it or nothing is left of it. */
export function plateShape(
  { outline, plane, behind }: RoomSide,
  {
    step,
    card,
    fits,
    most,
  }: {
    readonly step: Length;
    /** How thick it is, in millimetres. */
    readonly card: number;
    readonly fits: 'laid' | 'standing' | 'in the middle';
    readonly most?: Most;
  },
): PanelShape | undefined {
  if (!behind) return undefined;
  // A floor may be made of several flaps, and a wall may be folded on the slant: card is as wide and high as they are.
  const backed = fits === 'laid' ? outline : cutTo(outline, backOf(behind.outline, fits), 0);
  const room = fits === 'standing' ? clearOf(backed, behind, plane + card) : backed;
  if (!isConvex(room)) return undefined;
  const placed =
    fits === 'standing'
      ? standing(room, step, most)
      : fits === 'in the middle'
        ? evenAbout(room, middleOf(behind.outline))
        : room;
  if (placed.length < 3) return undefined;
  const openings = behind.openings.map((opening) => widened(opening, clearOfOpening));
  const answer = panelShape({ outline: placed, openings, margin: ease, step });
  return answer.ok ? answer.shape : undefined;
}

/** The place of a plate in the closed box: its back towards the card. */
function placeOf({ side: { axes }, shape, out }: InsidePlate): Frame {
  const { right, up, out: away } = axes;
  const at = add(add(scale(right, shape.on.x), scale(up, shape.on.y)), scale(away, out));
  return { right, up, out: away, at };
}

function rootOf({ shape: { bounds, on } }: InsidePlate): Part['root'] {
  return {
    column: (on.x - bounds.left) / (bounds.right - bounds.left),
    row: (bounds.top - on.y) / (bounds.top - bounds.bottom),
  };
}

/** Walls are alike, whichever way they look. */
function placeIn({ against }: InsidePlate): 'floor' | 'lid' | 'window' | 'wall' {
  return against === 'floor' || against === 'lid' || against === 'window' ? against : 'wall';
}

/** Plates by how they are cut, in the order of the first of each. */
function cutAlike(plates: readonly InsidePlate[]): readonly (readonly InsidePlate[])[] {
  const found: [InsidePlate, ...InsidePlate[]][] = [];
  for (const plate of plates) {
    const alike = found.find(
      ([first]) => placeIn(first) === placeIn(plate) && isCutAlike(first.shape, plate.shape),
    );
    if (alike) alike.push(plate);
    else found.push([plate]);
  }
  return found;
}

/** What it is glued to in a copy of the piece behind it: on what that wears there already, too. */
function gluedIn({ behind: { glued, part, spot } }: InsidePlate, copy: string): Stack['on'] {
  if (copy === part.part.id) return glued;
  const isOnPart = glued.part === part.part.id;
  return isOnPart
    ? { part: copy, spot }
    : { ...glued, part: glued.part.replace(` in ${part.part.id}`, ` in ${copy}`) };
}

/** Film that is stuck to the same face of a copy of the piece behind a plate: the plate lies over its edges. */
function filmUnder(
  { behind: { part, spot } }: InsidePlate,
  copy: string,
  box: RoomSides['box'],
): readonly Stack['on'][] {
  const face = part.pattern.faceAt(spot);
  return box.parts.flatMap(({ part: { id, root, worn }, piece }) =>
    piece.grid.roles[0]?.[0] === 'film' &&
    worn?.part === copy &&
    part.pattern.faceAt(worn.spot) === face
      ? [{ part: id, spot: root }]
      : [],
  );
}

/** Plates as pieces of the box, those that are cut alike as copies of one, named after all that are. */
export function wearPlates(
  plates: readonly InsidePlate[],
  {
    id,
    paper,
    sides: { box },
    nameOf,
    role = 'panel',
  }: {
    readonly id: string;
    readonly paper: number;
    readonly sides: RoomSides;
    readonly nameOf: (alike: readonly InsidePlate[]) => string;
    readonly role?: 'panel' | 'film';
  },
): Worn {
  const before = Math.max(0, box.assembly.giftEnters - 1);
  const pieces: Piece[] = [];
  const parts: Part[] = [];
  const stacks: Stack[] = [];
  for (const alike of cutAlike(plates)) {
    const [first] = alike;
    if (!first) continue;
    const piece = `${id} plate ${pieces.length + 1}`;
    for (const plate of alike) {
      const { behind, against } = plate;
      const here = placeOf(plate);
      // It lies in every copy of the piece that is behind it.
      for (const copy of box.parts.filter((each) => each.piece === behind.part.piece)) {
        const place = carriedAlong(here, { from: behind.part.closed, to: copy.closed });
        const { right, up, at } = place;
        const on = { part: copy.part.id, spot: behind.spot };
        const part: Part = {
          id: `${piece} at ${against} ${parts.length + 1} in ${copy.part.id}`,
          piece,
          root: rootOf(plate),
          right,
          up,
          at,
          ...(against === 'lid' || against === 'window'
            ? { joins: copy.part.joins, worn: { ...on, isInside: true } }
            : { joins: before, lies: { in: behind.part.piece.id, against } }),
          ...(copy.part.opens && { opens: copy.part.opens }),
        };
        parts.push(part);
        if (isGlued(plate))
          stacks.push(
            {
              face: { part: part.id, spot: part.root },
              on: gluedIn(plate, copy.part.id),
              // What hangs in the lid already shows its back to the room.
              side: behind.glued.part === behind.part.part.id ? 'inside' : 'outside',
              holds: 'glue',
            },
            ...filmUnder(plate, copy.part.id, box).map((film): Stack => ({
              face: { part: part.id, spot: part.root },
              on: film,
              side: 'outside',
              holds: 'rest',
            })),
          );
      }
    }
    pieces.push({
      id: piece,
      name: nameOf(alike),
      paper,
      copies: parts.filter((part) => part.piece === piece).length,
      grid: panelGrid({ ...first.shape, role }),
    });
  }
  return { pieces, parts, stacks };
}
