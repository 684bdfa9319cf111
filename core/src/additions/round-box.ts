import {
  add,
  closedFaces,
  dot,
  isInRing,
  placeInto,
  scale,
  subtract,
  vector,
  type FoldingBox,
  type Vector,
} from '../fold/index.ts';
import type { CellRole, Cutout, CutoutUse, Point } from '../piece/index.ts';
import { boundsOfOpening, openingOf } from './openings.ts';

/** How a band goes round a closed box: round its walls, or over its top, from left to right or from front to back. */
export type WayRound = 'walls' | 'across' | 'deep';

export const waysRound: readonly WayRound[] = ['walls', 'across', 'deep'];

/** A band’s own axes as it lies round the box: to its right, to its back, and along it. */
export interface RoundAxes {
  readonly right: Vector;
  readonly back: Vector;
  readonly along: Vector;
}

/** The axes of each way round: what would be the back of a standing tube comes underneath, with its seam. */
export const axesRound: Readonly<Record<WayRound, RoundAxes>> = {
  walls: { right: vector(1, 0, 0), back: vector(0, 1, 0), along: vector(0, 0, 1) },
  across: { right: vector(1, 0, 0), back: vector(0, 0, -1), along: vector(0, 1, 0) },
  deep: { right: vector(0, -1, 0), back: vector(0, 0, -1), along: vector(1, 0, 0) },
};

/** From where to where something reaches, in millimetres. */
export interface Reach {
  readonly from: number;
  readonly to: number;
}

/** What a band has to go round, along its own axes. */
export interface RoundOf {
  readonly right: Reach;
  readonly back: Reach;
  readonly along: Reach;
  /** Where along the box the middle of the band comes. */
  readonly middle: number;
}

export function reachOf(places: readonly Vector[], way: Vector): Reach {
  let [from, to] = [Infinity, -Infinity];
  for (const place of places) {
    const at = dot(place, way);
    if (at < from) from = at;
    if (at > to) to = at;
  }
  return { from, to };
}

/** Where a ring passes so far along an axis. */
export function crossings(ring: readonly Vector[], axis: Vector, at: number): readonly Vector[] {
  const found: Vector[] = [];
  ring.forEach((here, i) => {
    const next = ring[i + 1] ?? ring[0] ?? here;
    const [a, b] = [dot(here, axis) - at, dot(next, axis) - at];
    if (a > 0 !== b > 0) found.push(add(here, scale(subtract(next, here), a / (a - b))));
  });
  return found;
}

/** All corners of some parts of the closed box, on both sides of their card. */
export function cardCorners(
  box: FoldingBox,
  isMeant: (part: string) => boolean,
): readonly (readonly Vector[])[] {
  return closedFaces(box)
    .filter(({ part }) => isMeant(part))
    .flatMap(({ ring, out, card }) =>
      [card / 2, -card / 2].map((off) => ring.map((place) => add(place, scale(out, off)))),
    );
}

/** All corners of the closed box, and of the gift where that stands out of it. */
export function placesOf(box: FoldingBox): readonly (readonly Vector[])[] {
  const { cavity } = box.assembly;
  return [
    ...cardCorners(box, () => true),
    cavity.floor.map(({ x, y }) => vector(x, y, 0)),
    cavity.top.map(({ x, y }) => vector(x, y, cavity.high)),
  ];
}

/** How far from its corner a box may begin: what its lid overhangs, and what it wears; and so much of its shorter side. */
const roundedBy = { most: 5, share: 0.35 };

/** What is thinner than this has no sides for a band to be folded round, in millimetres. */
const leastThick = 4;

/** What a band must leave open, in words: it is seen through, held or tied by. */
const leftOpen: ReadonlyMap<CutoutUse, string> = new Map([
  ['finger hole', 'the finger hole'],
  ['hanging hole', 'the hole that it hangs by'],
  ['window', 'the window'],
  ['ribbon', 'the ribbon holes'],
  ['ribbon pull', 'the holes for the pull'],
  ['wire', 'the holes for the wire'],
  ['brad', 'the hole for the brad'],
]);

/** What stands on a box to be held by. */
const handles: ReadonlySet<CellRole> = new Set(['arch']);

/** A hole or a window of the closed box: what it is for, its middle, and how far it reaches. */
export interface HoleAt {
  readonly use: CutoutUse;
  readonly middle: Vector;
  /** Places round it; of a window its corners. */
  readonly rim: readonly Vector[];
}

/** The middle of a hole or a window on its flat piece, and places round it; undefined for any other cutout. */
function onPiece(
  cutout: Cutout,
): { readonly place: Vector; readonly rim: readonly Vector[] } | undefined {
  const opening = openingOf(cutout);
  if (!opening || cutout.shape === 'notch') return undefined;
  const { left, right, bottom, top } = boundsOfOpening(opening);
  const place = vector((left + right) / 2, (bottom + top) / 2, 0);
  const rim =
    opening.kind === 'straight'
      ? opening.ring.map(({ x, y }) => vector(x, y, 0))
      : Array.from({ length: 12 }, (_, i) => {
          const angle = (i * Math.PI) / 6;
          const { radius } = opening;
          return add(place, vector(radius * Math.cos(angle), radius * Math.sin(angle), 0));
        });
  return { place, rim };
}

/** The holes and windows of the closed box that are for something, where each has come to. */
export function holesOf(box: FoldingBox, isMeant: (use: CutoutUse) => boolean): readonly HoleAt[] {
  return box.parts.flatMap((part) =>
    part.piece.grid.cutouts.flatMap((cutout): readonly HoleAt[] => {
      const hole = isMeant(cutout.use) ? onPiece(cutout) : undefined;
      if (!hole) return [];
      const { place, rim } = hole;
      const face = part.pattern.faces.findIndex(({ corners: ring }) =>
        isInRing(
          ring.flatMap((corner) => part.pattern.corners[corner] ?? []),
          place,
          vector(0, 0, 1),
          0,
        ),
      );
      const frame = part.faces[face];
      if (!frame) return [];
      const middle = placeInto(frame, place);
      return [{ use: cutout.use, middle, rim: rim.map((each) => placeInto(frame, each)) }];
    }),
  );
}

/** Whether a handle stands where something of that width would go over the middle of the top. */
export function hasHandleOver(
  box: FoldingBox,
  way: Exclude<WayRound, 'walls'>,
  width: number,
): boolean {
  const { along } = axesRound[way];
  const whole = reachOf(placesOf(box).flat(), along);
  const middle = (whole.from + whole.to) / 2;
  return closedFaces(box).some(({ role, ring }) => {
    const reach = reachOf(ring, along);
    return handles.has(role) && reach.to > middle - width / 2 && reach.from < middle + width / 2;
  });
}

/** Places of rings between two heights along a band, and where these pass its edge, as one looks along it: x to the right, y back. */
function seenAlong(
  rings: readonly (readonly Vector[])[],
  { right, back, along }: RoundAxes,
  { from, to, edge }: Reach & { readonly edge: number },
): readonly Point[] {
  const seen: Point[] = [];
  const see = (place: Vector) => seen.push({ x: dot(place, right), y: dot(place, back) });
  for (const ring of rings) {
    const reach = reachOf(ring, along);
    if (reach.to < from || reach.from > to) continue;
    for (const place of ring) {
      const at = dot(place, along);
      if (at >= from && at <= to) see(place);
    }
    if (reach.from <= edge && reach.to > edge) crossings(ring, along, edge).forEach(see);
  }
  return seen;
}

function reachSeen(all: readonly (readonly Point[])[], axis: 'x' | 'y'): Reach {
  let [from, to] = [Infinity, -Infinity];
  for (const places of all)
    for (const { [axis]: at } of places) {
      if (at < from) from = at;
      if (at > to) to = at;
    }
  return { from, to };
}

/** Why a band can't go round somewhere, or what it goes round. */
export type RoundAnswer =
  | { readonly ok: true; readonly of: RoundOf }
  | { readonly ok: false; readonly why: 'not square' | 'too short'; readonly along: Reach }
  | { readonly ok: false; readonly why: 'handle' }
  | { readonly ok: false; readonly why: 'opening'; readonly covers: string };

/** Where along a box a band is looked for: in its middle, or at the lower end of it. */
export type PlaceAlong = 'middle' | 'foot';

/**
 * What a band of this width would go round in that place of the box, this way. The box must be square enough there to
 * hold it, with no handle on it and no hole that must stay open. What it goes round may be given. Millimetres.
 */
export function roundOf(
  box: FoldingBox,
  way: WayRound,
  width: number,
  {
    rings = placesOf(box),
    at = 'middle',
  }: { readonly rings?: readonly (readonly Vector[])[]; readonly at?: PlaceAlong } = {},
): RoundAnswer {
  const { along } = axesRound[way];
  const whole = reachOf(rings.flat(), along);
  if (whole.to - whole.from < width - 1e-3) return { ok: false, why: 'too short', along: whole };
  const middle = at === 'middle' ? (whole.from + whole.to) / 2 : whole.from + width / 2;
  const [from, to] = [middle - width / 2, middle + width / 2];
  if (way !== 'walls' && hasHandleOver(box, way, width)) return { ok: false, why: 'handle' };
  const [covered] = holesOf(box, (use) => leftOpen.has(use)).flatMap(({ use, rim }) => {
    const said = leftOpen.get(use);
    const reach = reachOf(rim, along);
    return said !== undefined && reach.to >= from && reach.from <= to ? [said] : [];
  });
  if (covered !== undefined) return { ok: false, why: 'opening', covers: covered };
  // A box with sides that slant has corners at one edge of a band, and none at the other.
  const halves = [
    { from, to: middle, edge: from },
    { from: middle, to, edge: to },
  ].map((half) => seenAlong(rings, axesRound[way], half));
  const [across, deep] = [reachSeen(halves, 'x'), reachSeen(halves, 'y')];
  const shorter = Math.min(across.to - across.from, deep.to - deep.from);
  const near = Math.min(roundedBy.most, roundedBy.share * shorter);
  const hasCorner = (places: readonly Point[], x: number, y: number) =>
    places.some((place) => (place.x - x) ** 2 + (place.y - y) ** 2 < near * near);
  const isSquare =
    shorter >= leastThick &&
    halves.every((places) =>
      [across.from, across.to].every((x) =>
        [deep.from, deep.to].every((y) => hasCorner(places, x, y)),
      ),
    );
  return isSquare
    ? { ok: true, of: { right: across, back: deep, along: whole, middle } }
    : { ok: false, why: 'not square', along: whole };
}
