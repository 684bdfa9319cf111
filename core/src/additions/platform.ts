import { carriedAlong, closedFaces, vector, type FoldingBox, type Part } from '../fold/index.ts';
import type { Worn } from '../forms/index.ts';
import { footprintsOf, type Footprint, type Gift } from '../gift/index.ts';
import {
  half,
  inchFraction,
  millimetres,
  minus,
  nanometres,
  roundDown,
  roundUp,
  toMillimetres,
  type Length,
} from '../length/index.ts';
import type { Cutout, GridLine, Point, ScoreGrid } from '../piece/index.ts';
import { cutUnit, scoringMeans, type Kit } from '../tools/index.ts';
import type { Undressed } from './addition.ts';
import { roomSides, type RoomSide } from './inside-faces.ts';
import {
  areaOf,
  boundsOf,
  cornersOf,
  cutTo,
  isWithinOutline,
  outlineOf,
  type Bounds,
} from './outline.ts';
import { leastPanel } from './panel-shape.ts';
import { narrowed, roomAt } from './room-at.ts';
import type { RoomTaken } from './room-taken.ts';
import { openingsBehind, type UprightCard } from './wall-openings.ts';

/** How a card on legs is cut, and where it stands. */
export interface PlatformBrief {
  readonly id: string;
  readonly card: Length;
  readonly firstPaper: number;
  readonly step: Length;
  readonly kit: Kit;
  readonly gift: Gift;
  /** How high its upper side is over the floor, at the most. */
  readonly raised: Length;
  /** Whether the things stand through it, and not on it. */
  readonly isOpen: boolean;
  /** What of the box’s room lies within its walls and is not the gift’s: its own place among it. */
  readonly outside: RoomTaken;
}

/** So much smaller it is than the room on every side, so that it goes in, in millimetres. */
const ease = 0.4;

/** So much larger an opening is than its thing on every side at the least, and so much card it keeps beside it, in millimetres. */
const loose = 0.5;
const leastCard = 2;

/** An opening is drawn with compasses or along a ruler: as wide as the next mark. */
function openingFor(size: number, kit: Kit): number {
  const mark = cutUnit(kit) === 'inch' ? inchFraction(1, 32) : millimetres(0.5);
  return toMillimetres(roundUp(nanometres(Math.round((size + 2 * loose) * 1e6)), mark));
}

/** A floor that is farther off than this from where the legs end is no floor for them, in millimetres. */
const close = 1;

/** A rectangle in a room of any corners: all of it, or shrunk about its middle until its corners are in it. */
function squareIn(ring: readonly Point[]): Bounds | undefined {
  const { left, right, bottom, top } = boundsOf(ring);
  const [x, y] = [(left + right) / 2, (bottom + top) / 2];
  const shrunk = (share: number): Bounds => ({
    left: x + (left - x) * share,
    right: x + (right - x) * share,
    bottom: y + (bottom - y) * share,
    top: y + (top - y) * share,
  });
  const isIn = ({ left: l, right: r, bottom: b, top: t }: Bounds) =>
    [
      { x: l, y: b },
      { x: r, y: b },
      { x: r, y: t },
      { x: l, y: t },
    ].every((corner) => isWithinOutline(ring, corner, 1e-3));
  for (let share = 1; share > 0.4; share -= 0.01) if (isIn(shrunk(share))) return shrunk(share);
  return undefined;
}

/** The openings for things that stand so, on the plate; undefined where they leave too little card. */
function openingsFor(
  footprints: readonly Footprint[],
  onPlate: (place: Point) => Point,
  size: { readonly wide: number; readonly deep: number },
  from: Point,
  kit: Kit,
): readonly Cutout[] | undefined {
  const nano = (value: number) => nanometres(Math.round(value * 1e6));
  const boxes = footprints.map((each) => {
    const { x, y } = onPlate(each);
    const [wide, deep] = (
      each.kind === 'round' ? [2 * each.radius, 2 * each.radius] : [each.wide, each.deep]
    ).map((size) => openingFor(size, kit));
    return {
      left: x - (wide ?? 0) / 2,
      right: x + (wide ?? 0) / 2,
      bottom: y - (deep ?? 0) / 2,
      top: y + (deep ?? 0) / 2,
    };
  });
  const isOff = (low: number, high: number, most: number) =>
    low < leastCard || high > most - leastCard;
  if (
    boxes.some(
      ({ left, right, bottom, top }) =>
        isOff(left, right, size.wide) || isOff(bottom, top, size.deep),
    )
  )
    return undefined;
  const isNear = (one: Bounds, other: Bounds) =>
    one.left < other.right + leastCard &&
    one.right > other.left - leastCard &&
    one.bottom < other.top + leastCard &&
    one.top > other.bottom - leastCard;
  if (boxes.some((one, i) => boxes.slice(i + 1).some((other) => isNear(one, other))))
    return undefined;
  return footprints.map((each, i): Cutout => {
    const { left, right, bottom, top } = boxes[i] ?? { left: 0, right: 0, bottom: 0, top: 0 };
    const spot = (x: number, y: number) => ({ x: nano(from.x + x), y: nano(from.y + y) });
    return each.kind === 'round'
      ? {
          shape: 'hole',
          use: 'holder',
          centre: spot((left + right) / 2, (bottom + top) / 2),
          radius: nano((right - left) / 2),
        }
      : {
          shape: 'trim',
          use: 'holder',
          corners: [spot(left, bottom), spot(right, bottom), spot(right, top), spot(left, top)],
        };
  });
}

/** On which edges of the plate there are legs: at the sides, at the front and the back, or on all. */
interface Legs {
  readonly atSides: boolean;
  readonly atEnds: boolean;
}

/** A plate with legs folded down along its edges. */
function gridOf(
  { wide, deep, leg }: { readonly wide: Length; readonly deep: Length; readonly leg: Length },
  { atSides, atEnds }: Legs,
  cutouts: readonly Cutout[],
): ScoreGrid {
  const columns = atSides ? [leg, wide, leg] : [wide];
  const rows = atEnds ? [leg, deep, leg] : [deep];
  const scoresOf = (axis: GridLine['axis'], across: number) =>
    [1, 2].map((index): GridLine => ({
      axis,
      index,
      spans: [
        {
          make: 'score',
          from: 0,
          to: across,
          fold: { sense: 'mountain', angle: 90, stage: 0 },
        },
      ],
    }));
  return {
    columns,
    rows,
    roles: rows.map((_, row) =>
      columns.map((__, column) => {
        const isLegOfSide = atSides && column !== 1;
        const isLegOfEnd = atEnds && row !== 1;
        return isLegOfSide && isLegOfEnd ? 'waste' : isLegOfSide || isLegOfEnd ? 'leg' : 'plate';
      }),
    ),
    lines: [
      ...(atSides ? scoresOf('column', rows.length) : []),
      ...(atEnds ? scoresOf('row', columns.length) : []),
    ],
    diagonals: [],
    tapers: [],
    cutouts: [...cutouts],
    patches: [],
  };
}

/** Whether card of the box lies level where the insert would stand, as a seat of its own does. */
function isObstructed(
  box: FoldingBox,
  { place, from, to }: { readonly place: Bounds; readonly from: number; readonly to: number },
): boolean {
  const own = new Set(box.parts.flatMap(({ part }) => (part.lies ? [] : [part.id])));
  return closedFaces(box).some(({ part, out, ring }) => {
    const z = ring[0]?.z ?? from;
    if (!own.has(part) || Math.abs(out.z) < 0.99 || z < from + close || z > to) return false;
    return areaOf(cutTo(cornersOf(place), cornersOf(boundsOf(ring)), 0)) > leastCard;
  });
}

/** So far legs keep from an opening of the wall behind them, in millimetres. */
const fromOpening = 1;

/** Where legs may stand: not before an opening of the wall behind them. */
function legsBefore(
  walls: readonly RoomSide[],
  { left, right, bottom, top }: Bounds,
  { low, high }: { readonly low: number; readonly high: number },
): Legs {
  const [across, back] = [vector(1, 0, 0), vector(0, 1, 0)];
  const isFree = (card: UprightCard, from: number, to: number) =>
    openingsBehind(walls, card).every(
      (opening) =>
        opening.right < from - fromOpening ||
        opening.left > to + fromOpening ||
        opening.top < low - fromOpening ||
        opening.bottom > high + fromOpening,
    );
  return {
    atSides: isFree({ out: across, aside: back }, bottom, top),
    atEnds: isFree({ out: back, aside: across }, left, right),
  };
}

/** A raised card on legs, which the gift lies on or stands through; undefined where there is no floor for it. */
export function platform(bare: Undressed, brief: PlatformBrief): Worn | undefined {
  const { id, card, firstPaper, step, kit, gift, raised, isOpen, outside } = brief;
  const { box, floor, walls } = roomSides(bare, outside);
  const under = floor.behind?.part;
  const { cavity } = bare.drawn.assembly;
  // A floor under the gift lies below its room; what the things stand through is in it.
  const low = -toMillimetres(outside.under);
  const ringAt = (up: number) =>
    outlineOf(narrowed(roomAt(cavity, up), -toMillimetres(outside.around)));
  const ring = cutTo(ringAt(low), ringAt(low + toMillimetres(raised)), 0);
  const place = ring.length < 3 ? undefined : squareIn(ring);
  const isOnFloor = Math.abs((floor.behind?.surface ?? Infinity) - floor.plane) < close;
  if (!under || !place || !isOnFloor) return undefined;
  if (isObstructed(box, { place, from: low, to: low + toMillimetres(raised) })) return undefined;
  const t = toMillimetres(card);
  const cut = (room: number) =>
    roundDown(nanometres(Math.max(0, Math.floor((room - 2 * ease - t) * 1e6))), step);
  const [wide, deep] = [cut(place.right - place.left), cut(place.top - place.bottom)];
  // Its legs are scored on the grooves where they leave enough of it.
  const most = minus(raised, half(card));
  const pitch = scoringMeans(kit)?.step ?? step;
  const onGroove = roundDown(most, pitch);
  const leg = onGroove >= leastPanel ? onGroove : roundDown(most, step);
  if (leg < leastPanel || wide < leastPanel || deep < leastPanel) return undefined;
  const [x, y] = [(place.left + place.right) / 2, (place.bottom + place.top) / 2];
  const size = { wide: toMillimetres(wide), deep: toMillimetres(deep) };
  const middle = boundsOf(cavity.floor);
  const [giftX, giftY] = [(middle.left + middle.right) / 2, (middle.bottom + middle.top) / 2];
  // The drawn side is up: its rows run from the back to the front.
  const onPlate = (at: Point): Point => ({
    x: giftX + at.x - x + size.wide / 2,
    y: size.deep / 2 - (giftY + at.y - y),
  });
  const legs = legsBefore(walls, place, { low, high: low + toMillimetres(raised) });
  if (!legs.atSides && !legs.atEnds) return undefined;
  const before = (isThere: boolean) => (isThere ? toMillimetres(leg) : 0);
  const from = { x: before(legs.atSides), y: before(legs.atEnds) };
  const cutouts = isOpen ? openingsFor(footprintsOf(gift), onPlate, size, from, kit) : [];
  if (!cutouts) return undefined;
  // A corner of the plate is card, whatever is cut out of it.
  const fromCorner = 0.8;
  const here = {
    right: vector(1, 0, 0),
    up: vector(0, 1, 0),
    out: vector(0, 0, 1),
    at: vector(
      x - size.wide / 2 + fromCorner,
      y + size.deep / 2 - fromCorner,
      low + toMillimetres(leg),
    ),
  };
  const copies = box.parts.filter(({ piece }) => piece === under.piece);
  const parts = copies.map((copy): Part => {
    const { right, up, at } = carriedAlong(here, { from: under.closed, to: copy.closed });
    return {
      id: `${id} insert in ${copy.part.id}`,
      piece: `${id} insert`,
      root: {
        column: (legs.atSides ? 1 : 0) + fromCorner / size.wide,
        row: (legs.atEnds ? 1 : 0) + fromCorner / size.deep,
      },
      right,
      up,
      at,
      joins: Math.max(0, box.assembly.giftEnters - 1),
      lies: { in: under.piece.id, against: isOpen ? 'legs round things' : 'legs' },
      ...(copy.part.opens && { opens: copy.part.opens }),
    };
  });
  return {
    pieces: [
      {
        id: `${id} insert`,
        name: isOpen ? 'Insert' : 'Platform',
        paper: firstPaper,
        copies: parts.length,
        grid: gridOf({ wide, deep, leg }, legs, cutouts),
      },
    ],
    parts,
    stacks: [],
  };
}
