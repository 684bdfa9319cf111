import {
  distanceTo,
  flipped,
  isThere,
  joined,
  linesFrom,
  sides,
  turnedBy,
  type Card,
  type Place,
  type Side,
} from './card.ts';
import { lengthOf, wordsOf } from './english.ts';

/** As near as a figure is told that stands for one between the marks: half of 1/32 in, and a little. */
const told = 0.45;

/** A place that is told from both edges, each time to the next half millimetre, is told so far apart. */
export const near = 0.51;

function sideOf(text: string): Side {
  const side = sides.find((each) => each === text);
  if (!side) throw new Error(`“${text}” is no edge`);
  return side;
}

function sameSides(found: readonly Side[], said: string): boolean {
  const wanted = wordsOf(said).map(sideOf);
  return found.length === wanted.length && wanted.every((side) => found.includes(side));
}

function slitSides(card: Card): readonly Side[] {
  return sides.filter((side) =>
    card.slits.some(
      ([a, b]) =>
        Math.min(distanceTo(card, side, a), distanceTo(card, side, b)) < 0.01 &&
        Math.abs(distanceTo(card, side, a) - distanceTo(card, side, b)) > 0.01,
    ),
  );
}

function nearestSides(card: Card, places: readonly Place[]): readonly Side[] {
  const found = places.map(
    (place) =>
      [...sides].sort((a, b) => distanceTo(card, a, place) - distanceTo(card, b, place))[0],
  );
  return sides.filter((side) => found.includes(side));
}

function cornerOf({ width, height }: Card, name: string): Place {
  return { x: name.endsWith('left') ? 0 : width, y: name.startsWith('top') ? 0 : height };
}

const corners = ['top left', 'top right', 'bottom left', 'bottom right'];

/** Corners of which so much is gone both ways that one sees it. */
function cutCorners(card: Card): readonly string[] {
  const seen = 2.4;
  return corners.filter((name) => {
    const { x, y } = cornerOf(card, name);
    return !isThere(card, { x: x === 0 ? seen : x - seen, y: y === 0 ? seen : y - seen });
  });
}

type Check = (card: Card, ...said: string[]) => boolean;

/** What can be said of how a card lies, and how one sees whether it does. */
const checks: readonly (readonly [RegExp, Check])[] = [
  [/^the longer edge at the top$/, ({ width, height }) => width > height],
  [/^the shorter edge at the top$/, ({ width, height }) => width < height],
  [
    /^the (?:longer|shorter) edge, (.+), at the top$/,
    (card, length = '') => Math.abs(card.width - lengthOf(length)) < told,
  ],
  [/^the top of the print at the (\w+)$/, (card, side) => card.printTop === side],
  [
    /^the (.+) strip at the (\w+)$/,
    (card, width = '', side = '') => {
      const [first] = linesFrom(card, sideOf(side));
      return first !== undefined && Math.abs(first - lengthOf(width)) < told;
    },
  ],
  [
    /^a score (.+) from the (\w+) edge$/,
    (card, distance = '', side = '') =>
      linesFrom(card, sideOf(side)).some((each) => Math.abs(each - lengthOf(distance)) < told),
  ],
  [
    /^the scores running (up and down|across)$/,
    (card, way) =>
      linesFrom(card, way === 'across' ? 'left' : 'top').length === 0 &&
      linesFrom(card, way === 'across' ? 'top' : 'left').length > 0,
  ],
  [
    /^the end without scores at the (\w+)$/,
    (card, said = '') => {
      const side = sideOf(said);
      const across: Readonly<Record<Side, Side>> = {
        left: 'right',
        right: 'left',
        top: 'bottom',
        bottom: 'top',
      };
      return joined(card.scores).some(([a, b]) => {
        const upright = side === 'top' || side === 'bottom';
        if (Math.abs(upright ? a.x - b.x : a.y - b.y) > 0.01) return false;
        const nearest = (edge: Side) =>
          Math.min(distanceTo(card, edge, a), distanceTo(card, edge, b));
        return nearest(side) > 1 && nearest(across[side]) < 0.01;
      });
    },
  ],
  [/^the slit edges? at the (.+)$/, (card, said = '') => sameSides(slitSides(card), said)],
  [
    /^the notched edges? at the (.+)$/,
    (card, said = '') =>
      sameSides(
        sides.filter((side) => card.notches.some((place) => distanceTo(card, side, place) < 0.01)),
        said,
      ),
  ],
  [
    /^the holes nearest to the (.+)$/,
    (card, said = '') => sameSides(nearestSides(card, card.holes), said),
  ],
  [
    /^the cut-away corners? at the (.+)$/,
    (card, said = '') => {
      const [found, wanted] = [cutCorners(card), wordsOf(said)];
      return found.length === wanted.length && wanted.every((each) => found.includes(each));
    },
  ],
];

const turnsFromLast: Readonly<Record<string, number>> = {
  'just as it lay': 0,
  'turned a quarter clockwise': 1,
  'turned half round': 2,
  'turned a quarter anticlockwise': 3,
};

/** The parts of how a card lies: commas stand inside some of them. */
function featuresOf(text: string): readonly string[] {
  const features: string[] = [];
  for (const part of text.split(', ').filter((each) => each !== '')) {
    const last = features[features.length - 1];
    const isOpen =
      last !== undefined &&
      (/^the (?:longer|shorter) edge$/.test(last) ||
        /^the (?:longer|shorter) edge, [^,]+$/.test(last));
    // Rows of edges or corners go on with a comma too.
    const goesOn = last !== undefined && /^(?:left|right|top|bottom)(?: |$)/.test(part);
    if ((isOpen && !part.startsWith('the ')) || (isOpen && part === 'at the top') || goesOn)
      features[features.length - 1] = `${last}, ${part}`;
    else features.push(part);
  }
  return features;
}

/** A card laid as a sentence says; any way that fits will do, and the reader picks one of them. */
export function laid(card: Card, said: string, pick: (ways: number) => number): Card {
  const [face = '', ...rest] = said.split(', ');
  const isOver = face === 'turned over end to end';
  // After it stands which face is up.
  const features = featuresOf((isOver ? rest.slice(1) : rest).join(', '));
  const start = isOver ? [0, 1, 2, 3].map((turns) => flipped(turnedBy(card, turns))) : [];
  const lyings = isOver ? start : [0, 1, 2, 3].map((turns) => turnedBy(card, turns));
  const fitting = lyings.filter((lying, turns) =>
    features.every((feature) => {
      const quarters = turnsFromLast[feature];
      if (quarters !== undefined) return quarters === turns;
      const found = checks.find(([pattern]) => pattern.test(feature));
      if (!found) throw new Error(`How does it lie: “${feature}”?`);
      const [pattern, check] = found;
      return check(lying, ...(pattern.exec(feature) ?? []).slice(1));
    }),
  );
  const chosen = fitting[pick(fitting.length)];
  if (!chosen) throw new Error(`It lies in no way like “${said}”`);
  return chosen;
}
