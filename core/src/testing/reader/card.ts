import { isInRing, type Line, type Place } from './plane.ts';

export type { Line, Place } from './plane.ts';

/** Card that is no longer there. */
export type Gone =
  | { readonly kind: 'ring'; readonly ring: readonly Place[] }
  | { readonly kind: 'round'; readonly centre: Place; readonly radius: number }
  /** What is left of a corner outside a quarter of an ellipse. */
  | {
      readonly kind: 'corner';
      readonly sharp: Place;
      readonly centre: Place;
    };

/** A card in the reader's hands: as it lies now, with everything that was done to it. */
export interface Card {
  readonly width: number;
  readonly height: number;
  readonly scores: readonly Line[];
  readonly ticks: readonly Line[];
  readonly slits: readonly Line[];
  readonly gone: readonly Gone[];
  readonly notches: readonly Place[];
  readonly holes: readonly Place[];
  /** Where the top of the print is, where it has one. */
  readonly printTop?: Side;
}

export type Side = 'left' | 'right' | 'top' | 'bottom';
export const sides: readonly Side[] = ['left', 'top', 'right', 'bottom'];

export function bare(width: number, height: number, printTop?: Side): Card {
  return {
    width,
    height,
    scores: [],
    ticks: [],
    slits: [],
    gone: [],
    notches: [],
    holes: [],
    ...(printTop && { printTop }),
  };
}

function mapped(
  card: Card,
  move: (place: Place) => Place,
): Omit<Card, 'width' | 'height' | 'printTop'> {
  const line = ([a, b]: Line): Line => [move(a), move(b)];
  return {
    scores: card.scores.map(line),
    ticks: card.ticks.map(line),
    slits: card.slits.map(line),
    notches: card.notches.map(move),
    holes: card.holes.map(move),
    gone: card.gone.map((gone): Gone => {
      switch (gone.kind) {
        case 'ring':
          return { ...gone, ring: gone.ring.map(move) };
        case 'round':
          return { ...gone, centre: move(gone.centre) };
        case 'corner':
          return { ...gone, sharp: move(gone.sharp), centre: move(gone.centre) };
      }
    }),
  };
}

/** A quarter turn clockwise. */
export function turned(card: Card): Card {
  const { width, height, printTop } = card;
  const next = printTop && sides[(sides.indexOf(printTop) + 1) % 4];
  return {
    width: height,
    height: width,
    ...mapped(card, ({ x, y }) => ({ x: height - y, y: x })),
    ...(next && { printTop: next }),
  };
}

/** Where a place comes to lie when a card of that size is turned clockwise, quarter after quarter. */
export function turnedPlace(
  { x, y }: Place,
  { width, height }: Pick<Card, 'width' | 'height'>,
  quarters: number,
): Place {
  switch (((quarters % 4) + 4) % 4) {
    case 1:
      return { x: height - y, y: x };
    case 2:
      return { x: width - x, y: height - y };
    case 3:
      return { x: y, y: width - x };
    default:
      return { x, y };
  }
}

export function turnedBy(card: Card, quarters: number): Card {
  let now = card;
  for (let i = 0; i < ((quarters % 4) + 4) % 4; i++) now = turned(now);
  return now;
}

/** Over end to end: what lay at the left still does. */
export function flipped(card: Card): Card {
  const { width, height, printTop } = card;
  const over = printTop === 'top' ? 'bottom' : printTop === 'bottom' ? 'top' : printTop;
  return {
    width,
    height,
    ...mapped(card, ({ x, y }) => ({ x, y: height - y })),
    ...(over && { printTop: over }),
  };
}

/** Whether there is still card at a place. */
export function isThere(card: Card, place: Place): boolean {
  return !card.gone.some((gone) => {
    switch (gone.kind) {
      case 'ring':
        return isInRing(gone.ring, place);
      case 'round':
        return Math.hypot(place.x - gone.centre.x, place.y - gone.centre.y) < gone.radius;
      case 'corner': {
        const { sharp, centre } = gone;
        const [wide, high] = [Math.abs(centre.x - sharp.x), Math.abs(centre.y - sharp.y)];
        // Whoever cuts along a curve leaves no sliver beside it.
        const sliver = 0.6;
        const into = {
          x: (place.x - sharp.x) * Math.sign(centre.x - sharp.x),
          y: (place.y - sharp.y) * Math.sign(centre.y - sharp.y),
        };
        const isInBox = into.x > -sliver && into.y > -sliver && into.x < wide && into.y < high;
        return isInBox && Math.hypot((place.x - centre.x) / wide, (place.y - centre.y) / high) > 1;
      }
    }
  });
}

/** How far a place is from an edge. */
export function distanceTo({ width, height }: Card, side: Side, { x, y }: Place): number {
  return { left: x, top: y, right: width - x, bottom: height - y }[side];
}

/** Straight scores that meet end to end are one. */
export function joined(lines: readonly Line[]): readonly Line[] {
  const all: Line[] = [];
  for (const line of lines) {
    const [a, b] = line;
    const upright = Math.abs(a.x - b.x) < 0.01;
    const level = Math.abs(a.y - b.y) < 0.01;
    const at = all.findIndex(([c, d]) => {
      if (upright)
        return (
          Math.abs(c.x - d.x) < 0.01 &&
          Math.abs(c.x - a.x) < 0.1 &&
          Math.min(c.y, d.y) <= Math.max(a.y, b.y) + 0.1 &&
          Math.min(a.y, b.y) <= Math.max(c.y, d.y) + 0.1
        );
      return (
        level &&
        Math.abs(c.y - d.y) < 0.01 &&
        Math.abs(c.y - a.y) < 0.1 &&
        Math.min(c.x, d.x) <= Math.max(a.x, b.x) + 0.1 &&
        Math.min(a.x, b.x) <= Math.max(c.x, d.x) + 0.1
      );
    });
    const other = all[at];
    if (!other) {
      all.push(line);
      continue;
    }
    const ends = [a, b, ...other];
    const xs = ends.map(({ x }) => x);
    const ys = ends.map(({ y }) => y);
    all[at] = upright
      ? [
          { x: a.x, y: Math.min(...ys) },
          { x: a.x, y: Math.max(...ys) },
        ]
      : [
          { x: Math.min(...xs), y: a.y },
          { x: Math.max(...xs), y: a.y },
        ];
  }
  return all;
}

/** Straight lines along an edge, by their distance from it: scores and ticks, the nearest first. */
export function linesFrom(card: Card, side: Side): readonly number[] {
  const upright = side === 'left' || side === 'right';
  return [...card.scores, ...card.ticks]
    .filter(([a, b]) => Math.abs(upright ? a.x - b.x : a.y - b.y) < 0.01)
    .map(([a]) => distanceTo(card, side, a))
    .sort((a, b) => a - b);
}
