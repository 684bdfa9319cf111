import { absolute, millimetres, minus, type Length } from '../length/index.ts';
import { isInside, type Side, type Spot } from '../piece/index.ts';
import { isLeft, isTop, type Corner } from './at-corners.ts';
import { distancesFrom, looksTheSame, seen, type AsMade, type SeenCard } from './card.ts';
import {
  allTurns,
  opposite,
  quarterTurns,
  type Lying,
  type QuarterTurns,
  type Size,
} from './lying.ts';

/**
 * Something by which a maker finds out how a piece has to lie, with nothing but the piece in the hand. Figures
 * are told as near as a ruler is read.
 */
export type Feature =
  /** Which edge lies at the top; its length too where the two are hard to tell apart. */
  | {
      readonly kind: 'edge at the top';
      readonly edge: 'longer' | 'shorter';
      readonly length?: Length;
    }
  /** Where the top of the print lies. */
  | { readonly kind: 'top of the print'; readonly at: Side }
  /** The strip between an edge and the score nearest to it. */
  | { readonly kind: 'strip'; readonly at: Side; readonly width: Length }
  /** Another score, by its distance from an edge. */
  | { readonly kind: 'score'; readonly from: Side; readonly distance: Length }
  /** All scores so far run one way. */
  | { readonly kind: 'scores run'; readonly way: 'up and down' | 'across' }
  /** The edge that scores stop short of which begin at the opposite one. */
  | { readonly kind: 'unscored end'; readonly at: Side }
  /** The edges that are slit. */
  | { readonly kind: 'slits'; readonly at: readonly Side[] }
  /** The edges with a notch in them. */
  | { readonly kind: 'notches'; readonly at: readonly Side[] }
  /** The edges that holes are nearest to. */
  | { readonly kind: 'holes'; readonly at: readonly Side[] }
  /** The corners that are cut away. */
  | { readonly kind: 'cut corners'; readonly at: readonly Corner[] }
  /** Turned from how it lay last, where nothing else tells. */
  | { readonly kind: 'turned'; readonly turns: QuarterTurns };

/** How a piece lies, as it is told: the features that settle it; none where it does not matter. */
export interface Laid {
  readonly lying: Lying;
  readonly features: readonly Feature[];
}

const sides: readonly Side[] = ['left', 'right', 'top', 'bottom'];

/** Edges whose lengths differ by less than this share are told by their length. */
const alike = 0.12;

/** Strips that differ by less can't be told apart at a glance. */
const discernible = 1_200_000;

function edgeFeature({ size: { width, height } }: SeenCard): readonly Feature[] {
  if (width === height) return [];
  const edge = width > height ? 'longer' : 'shorter';
  const isClear = absolute(minus(width, height)) > alike * Math.max(width, height);
  return [{ kind: 'edge at the top', edge, ...(!isClear && { length: width }) }];
}

function printFeature({ size, traces }: SeenCard): readonly Feature[] {
  const print = traces.find(({ kind }) => kind === 'print');
  const [, from, to] = print?.spots ?? [];
  if (!from || !to) return [];
  if (from.y === to.y) return [{ kind: 'top of the print', at: from.y === 0 ? 'top' : 'bottom' }];
  return [{ kind: 'top of the print', at: from.x === size.width ? 'right' : 'left' }];
}

/** Scores by their distance from each edge, those that no other edge has at about the same distance. */
function scoreFeatures(card: SeenCard): readonly Feature[] {
  const distances = new Map(sides.map((side) => [side, distancesFrom(side, card)]));
  const all = [...distances.entries()];
  return all.flatMap(([side, here]) =>
    here.flatMap((distance, nth): readonly Feature[] => {
      const opposites = all.filter(([other]) => other !== side).flatMap(([, lengths]) => lengths);
      const isTold = opposites.every(
        (other) => absolute(minus(other, distance)) > discernible || other === distance,
      );
      if (!isTold) return [];
      return nth === 0
        ? [{ kind: 'strip', at: side, width: distance }]
        : [{ kind: 'score', from: side, distance }];
    }),
  );
}

function runFeature(card: SeenCard): readonly Feature[] {
  const [upright, level] = [distancesFrom('left', card), distancesFrom('top', card)];
  if (upright.length > 0 && level.length === 0) return [{ kind: 'scores run', way: 'up and down' }];
  return level.length > 0 && upright.length === 0 ? [{ kind: 'scores run', way: 'across' }] : [];
}

/** Two ends of a score are apart from an edge by this much to be seen. */
const short = 1_000_000;

/** Edges that a score stops short of which begins at the opposite one. */
function unscoredFeature({ size, traces }: SeenCard): readonly Feature[] {
  const isUnscored = (side: Side) =>
    traces.some(({ kind, spots: [from, to] }) => {
      if (kind !== 'score' || !from || !to) return false;
      const upright = side === 'top' || side === 'bottom';
      if (upright ? from.x !== to.x : from.y !== to.y) return false;
      const near = (edge: Side) =>
        Math.min(distanceTo(edge, from, size), distanceTo(edge, to, size));
      return near(side) > short && near(opposite[side]) === 0;
    });
  return sides.filter(isUnscored).map((at) => ({ kind: 'unscored end', at }));
}

function slitFeature({ size, traces }: SeenCard): readonly Feature[] {
  const at = sides.filter((side) =>
    traces.some(
      ({ kind, spots }) =>
        kind === 'slit' &&
        spots.some(({ x, y }) =>
          side === 'left'
            ? x === 0
            : side === 'right'
              ? x === size.width
              : side === 'top'
                ? y === 0
                : y === size.height,
        ) &&
        // A slit that ends on an edge runs square to it.
        (side === 'left' || side === 'right'
          ? spots[0]?.y === spots[1]?.y
          : spots[0]?.x === spots[1]?.x),
    ),
  );
  return at.length === 0 || at.length === 4 ? [] : [{ kind: 'slits', at }];
}

/** How far a spot is from each edge. */
function distanceTo(side: Side, { x, y }: Spot, { width, height }: Size): Length {
  return { left: x, top: y, right: minus(width, x), bottom: minus(height, y) }[side];
}

/** Notches lie on their edge; holes are told by the edge that they are nearest to. */
function openingFeatures({ size, traces }: SeenCard): readonly Feature[] {
  const middles = (wanted: 'notch' | 'hole') =>
    traces.flatMap(({ kind, spots: [middle] }) => (kind === wanted && middle ? [middle] : []));
  const notched = sides.filter((side) =>
    middles('notch').some((middle) => distanceTo(side, middle, size) === 0),
  );
  const near = (middle: Spot, side: Side) =>
    sides.every(
      (other) =>
        other === side ||
        distanceTo(side, middle, size) + discernible < distanceTo(other, middle, size),
    );
  const holed = sides.filter((side) => middles('hole').some((middle) => near(middle, side)));
  return [
    ...(notched.length > 0 ? [{ kind: 'notches', at: notched } as const] : []),
    ...(holed.length > 0 ? [{ kind: 'holes', at: holed } as const] : []),
  ];
}

const corners: readonly Corner[] = ['top left', 'top right', 'bottom left', 'bottom right'];

/** A corner counts as cut away where so much of it is gone both ways, and as whole where less is. */
const [shallow, deep] = [millimetres(1.6), millimetres(3.6)];

function cutCornerFeature({ size, traces }: SeenCard): readonly Feature[] {
  const cutTo = (deep: Length) =>
    corners.filter((corner) => {
      const inside: Spot = {
        x: isLeft(corner) ? deep : minus(size.width, deep),
        y: isTop(corner) ? deep : minus(size.height, deep),
      };
      return traces.some(({ kind, spots }) => kind === 'cut' && isInside(spots, inside));
    });
  const at = cutTo(shallow);
  // A corner of which only a little is gone might be counted or not.
  const isPlain = cutTo(deep).length === at.length;
  return !isPlain || at.length === 0 || at.length === 4 ? [] : [{ kind: 'cut corners', at }];
}

/** Everything that can be said of how a piece lies, the plainest first. */
function featuresOf(card: SeenCard): readonly Feature[] {
  const scores = scoreFeatures(card);
  return [
    ...printFeature(card),
    ...edgeFeature(card),
    ...runFeature(card),
    ...unscoredFeature(card),
    ...slitFeature(card),
    ...openingFeatures(card),
    ...cutCornerFeature(card),
    ...scores.filter(({ kind }) => kind === 'strip'),
    ...scores.filter(({ kind }) => kind === 'score'),
  ];
}

function keyOf(feature: Feature): string {
  return JSON.stringify(feature);
}

/**
 * Whether a maker who looks for a feature might see it on a card that lies otherwise: a score at about that
 * distance is enough, though there it would not be told.
 */
function mightShow(feature: Feature, card: SeenCard, keys: ReadonlySet<string>): boolean {
  const isNear = (distance: Length, other: Length | undefined) =>
    other !== undefined && absolute(minus(other, distance)) <= discernible;
  switch (feature.kind) {
    case 'strip':
      return isNear(feature.width, distancesFrom(feature.at, card)[0]);
    case 'score':
      return distancesFrom(feature.from, card).some((other) => isNear(feature.distance, other));
    default:
      return keys.has(keyOf(feature));
  }
}

/** Choices of so many out of a row, in order. */
function choices<Item>(items: readonly Item[], count: number): readonly (readonly Item[])[] {
  if (count === 0) return [[]];
  return items.flatMap((item, i) =>
    choices(items.slice(i + 1), count - 1).map((rest) => [item, ...rest]),
  );
}

/**
 * How to tell a maker that a piece lies so: the fewest features that leave only lyings in which it looks just
 * the same. Where none do, it is told by the turn from how it lay last.
 */
export function laidAs(made: AsMade, lying: Lying, last: Lying | undefined): Laid {
  const here = seen(made, lying);
  const others = allTurns
    .map((turns) => seen(made, { ...lying, turns }))
    .filter((card) => !looksTheSame(here, card))
    .map((card) => ({ card, keys: new Set(featuresOf(card).map(keyOf)) }));
  const features = featuresOf(here);
  for (const count of [0, 1, 2, 3])
    for (const chosen of choices(features, count))
      if (
        others.every(({ card, keys }) => chosen.some((feature) => !mightShow(feature, card, keys)))
      )
        return { lying, features: chosen };
  const turns = quarterTurns(lying.turns - (last?.turns ?? 0));
  return { lying, features: [{ kind: 'turned', turns }] };
}
