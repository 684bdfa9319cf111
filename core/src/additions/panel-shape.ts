import {
  half,
  millimetres,
  minus,
  nanometres,
  roundDown,
  toMillimetres,
  zero,
  type Length,
} from '../length/index.ts';
import { subdivide, type Cutout, type Point, type ScoreGrid, type Spot } from '../piece/index.ts';
import { boundsOfOpening, isInOpening, widened, type Opening } from './openings.ts';
import { boundsOf, cornersOf, cutOff, cutTo, isWithinOutline, type Bounds } from './outline.ts';

/** What is narrower is no panel: it can’t be held to be cut. */
export const leastPanel: Length = millimetres(5);

/** So much card is left beside an opening, in millimetres. */
const leastStrip = 3;

/** A panel as it is cut, and where it lies on its face. */
export interface PanelShape {
  readonly width: Length;
  readonly height: Length;
  readonly cutouts: readonly Cutout[];
  /** Its outline on the face, without what is cut out of it. */
  readonly outline: readonly Point[];
  /** The rectangle that it is cut from, on the face. */
  readonly bounds: Bounds;
  /** A place where there is card, on the face. */
  readonly on: Point;
}

export type ShapeAnswer =
  | { readonly ok: true; readonly shape: PanelShape }
  | { readonly ok: false; readonly why: 'margin' | 'opening' };

/** A size out of arithmetic in space as it is cut: on the marks, and never over. */
function cutFrom(size: number, step: Length): Length {
  return roundDown(nanometres(Math.max(0, Math.floor(size * 1e6 + 50))), step);
}

/** Places of cuts that differ by less, in nanometres, are the same to any knife. */
const sameCut = 20_000;

/** Whether two shapes are cut alike: what is worked out in space differs by a hair from face to face. */
export function isCutAlike(one: CutShape, other: CutShape): boolean {
  return (
    one.width === other.width &&
    one.height === other.height &&
    one.cutouts.length === other.cutouts.length &&
    one.cutouts.every((cutout, i) => {
      const another = other.cutouts[i];
      return another !== undefined && isSameCutout(cutout, another);
    })
  );
}

/** What tells how a panel is cut, wherever it lies. */
type CutShape = Pick<PanelShape, 'width' | 'height' | 'cutouts'>;

function isSameCutout(one: Cutout, other: Cutout): boolean {
  if (one.use !== other.use) return false;
  switch (one.shape) {
    case 'trim':
      return other.shape === 'trim' && isSameRing(one.corners, other.corners);
    case 'corner':
      return (
        other.shape === 'corner' &&
        isSamePlace(one.at, other.at) &&
        isNear(one.along, other.along) &&
        isNear(one.down, other.down)
      );
    case 'hole':
    case 'notch':
      return (
        other.shape === one.shape &&
        isSamePlace(one.centre, other.centre) &&
        isNear(one.radius, other.radius)
      );
  }
}

function isNear(one: Length, other: Length): boolean {
  return Math.abs(one - other) < sameCut;
}

function isSamePlace(one: Spot, other: Spot): boolean {
  return isNear(one.x, other.x) && isNear(one.y, other.y);
}

/** Whether corners are the same the same way round, whichever of them is told first. */
function isSameRing(one: readonly Spot[], other: readonly Spot[]): boolean {
  const count = one.length;
  return (
    count === other.length &&
    other.some((_, from) =>
      one.every((corner, i) => {
        const there = other[(from + i) % count];
        return there !== undefined && isSamePlace(corner, there);
      }),
    )
  );
}

/** The middle of a rectangle, with other sides. */
function centred({ left, right, bottom, top }: Bounds, width: number, height: number): Bounds {
  const [x, y] = [(left + right) / 2, (bottom + top) / 2];
  return { left: x - width / 2, right: x + width / 2, bottom: y - height / 2, top: y + height / 2 };
}

/** A place on a face as one of the piece that is cut: from its upper left corner, on its edges where it is near them. */
function spotOn(
  { left, top }: Bounds,
  { width, height }: Pick<PanelShape, 'width' | 'height'>,
  { x, y }: Point,
): Spot {
  const snapped = (at: number, whole: Length): Length => {
    const exact = nanometres(Math.round(at * 1e6));
    if (exact < 2000) return zero;
    return minus(whole, exact) < 2000 ? whole : exact;
  };
  return { x: snapped(x - left, width), y: snapped(top - y, height) };
}

/** What is cut out of a panel over an opening of its face: a hole, or a bite as far as its edge. */
function clearing(
  opening: Opening,
  {
    margin,
    outline,
    bounds,
    size,
  }: {
    readonly margin: number;
    readonly outline: readonly Point[];
    readonly bounds: Bounds;
    readonly size: Pick<PanelShape, 'width' | 'height'>;
  },
): Cutout | 'clear' | 'too large' {
  const wide = widened(opening, margin);
  const { left, right, bottom, top } = bounds;
  const whole = boundsOfOpening(wide);
  const isClear =
    whole.right <= left || whole.left >= right || whole.top <= bottom || whole.bottom >= top;
  if (isClear) return 'clear';
  const stays = cutTo(outline, outline, leastStrip + (wide.kind === 'round' ? wide.radius : 0));
  const places = wide.kind === 'round' ? [wide.centre] : wide.ring;
  if (stays.length >= 3 && places.every((place) => isWithinOutline(stays, place)))
    return wide.kind === 'round'
      ? {
          shape: 'hole',
          use: 'clearing',
          centre: spotOn(bounds, size, wide.centre),
          radius: nanometres(Math.round(wide.radius * 1e6)),
        }
      : trimmed(wide.ring, bounds, size);
  // A bite from the nearest edge on, which a slanting one is no good for; a window has card all round it.
  if (wide.kind === 'straight' || cutOff(bounds, outline).length > 0) return 'too large';
  const box = {
    left: Math.max(left, whole.left),
    right: Math.min(right, whole.right),
    bottom: Math.max(bottom, whole.bottom),
    top: Math.min(top, whole.top),
  };
  const ways = [
    { from: box.bottom - bottom, bite: { ...box, bottom } },
    { from: top - box.top, bite: { ...box, top } },
    { from: box.left - left, bite: { ...box, left } },
    { from: right - box.right, bite: { ...box, right } },
  ].sort((a, b) => a.from - b.from);
  const [nearest] = ways;
  if (!nearest) return 'clear';
  const { bite } = nearest;
  const isAllOf = (low: number, high: number, from: number, to: number) =>
    low < from + leastStrip && high > to - leastStrip;
  const cutsThrough =
    isAllOf(bite.left, bite.right, left, right) || isAllOf(bite.bottom, bite.top, bottom, top);
  if (cutsThrough) return 'too large';
  return trimmed(cornersOf(bite), bounds, size);
}

/** A straight-sided opening of a panel, its corners anticlockwise on the face. */
function trimmed(
  ring: readonly Point[],
  bounds: Bounds,
  size: Pick<PanelShape, 'width' | 'height'>,
): Cutout {
  const corners = ring.map((corner) => spotOn(bounds, size, corner)).reverse();
  return { shape: 'trim', use: 'clearing', corners };
}

/** A place of an outline that is well inside it and clear of openings. */
function placeOnCard(
  outline: readonly Point[],
  bounds: Bounds,
  openings: readonly Opening[],
  margin: number,
): Point | undefined {
  const shares = [0.5, 0.2, 0.8, 0.08, 0.92, 0.35, 0.65, 0.03, 0.97];
  const { left, right, bottom, top } = bounds;
  const isOnCard = (place: Point) =>
    isWithinOutline(outline, place) &&
    openings.every((opening) => {
      const wide = widened(opening, margin);
      // Bites are as wide as their opening.
      const more = wide.kind === 'round' ? wide.radius * (Math.SQRT2 - 1) + 0.2 : 0.2;
      return !isInOpening(widened(wide, more), place);
    });
  // Mostly the first will do.
  for (const down of shares)
    for (const across of shares) {
      const place = { x: left + (right - left) * across, y: bottom + (top - bottom) * down };
      if (isOnCard(place)) return place;
    }
  return undefined;
}

/** The panel that keeps so far in from the outline of what it lies on, cut on the marks. */
export function panelShape({
  outline,
  openings,
  margin,
  step,
}: {
  readonly outline: readonly Point[];
  readonly openings: readonly Opening[];
  readonly margin: Length;
  readonly step: Length;
}): ShapeAnswer {
  const inset = toMillimetres(margin);
  const inner = cutTo(outline, outline, inset);
  if (inner.length < 3) return { ok: false, why: 'margin' };
  const room = boundsOf(inner);
  const width = cutFrom(room.right - room.left, step);
  const height = cutFrom(room.top - room.bottom, step);
  if (width < leastPanel || height < leastPanel) return { ok: false, why: 'margin' };
  const bounds = centred(room, toMillimetres(width), toMillimetres(height));
  const size = { width, height };
  const own = cutTo(inner, cornersOf(bounds), 0);
  const clearings = openings.map((opening) =>
    clearing(opening, { margin: inset, outline: own, bounds, size }),
  );
  const on = placeOnCard(own, bounds, openings, inset);
  if (!on || clearings.includes('too large')) return { ok: false, why: 'opening' };
  const cutouts = [
    ...cutOff(bounds, inner).map((bit): Cutout => ({
      shape: 'trim',
      use: 'panel side',
      corners: [...bit].reverse().map((corner) => spotOn(bounds, size, corner)),
    })),
    ...clearings.filter((each) => typeof each !== 'string'),
  ];
  if (!isWhole(size, cutouts)) return { ok: false, why: 'opening' };
  return { ok: true, shape: { ...size, bounds, on, outline: own, cutouts } };
}

/** A panel as a piece of one cell, or film that is cut like one. */
export function panelGrid({
  width,
  height,
  cutouts,
  role = 'panel',
}: Pick<PanelShape, 'width' | 'height' | 'cutouts'> & {
  readonly role?: 'panel' | 'film';
}): ScoreGrid {
  return {
    columns: [width],
    rows: [height],
    roles: [[role]],
    lines: [],
    diagonals: [],
    tapers: [],
    cutouts: [...cutouts],
    patches: [],
  };
}

/** Whether a panel stays one bit of card, where it is cut out for several openings. */
function isWhole(size: Pick<PanelShape, 'width' | 'height'>, cutouts: readonly Cutout[]): boolean {
  if (cutouts.filter(({ use }) => use === 'clearing').length < 2) return true;
  const { faces } = subdivide(panelGrid({ ...size, cutouts }));
  return faces.filter(({ role }) => role !== 'waste').length === 1;
}

/** The widest margin, in steps, that leaves a panel on what it lies on; undefined where none does. */
export function widestMargin(outline: readonly Point[], step: Length): Length | undefined {
  const { left, right, bottom, top } = boundsOf(outline);
  const narrow = nanometres(Math.max(0, Math.floor(Math.min(right - left, top - bottom) * 1e6)));
  const most = roundDown(minus(half(narrow), half(leastPanel)), step);
  for (let margin = most; margin > 0; margin = minus(margin, step))
    if (panelShape({ outline, openings: [], margin, step }).ok) return margin;
  return panelShape({ outline, openings: [], margin: zero, step }).ok ? zero : undefined;
}
