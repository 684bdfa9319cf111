import { isThere, type Card, type Line, type Place } from './card.ts';

/** A part of a card between its scores, slits and edges. */
export interface CardFace {
  readonly id: number;
  readonly left: number;
  readonly right: number;
  readonly top: number;
  readonly bottom: number;
}

/** Two faces that hang together by a score, and where the middle of that score is. */
export interface Hinge {
  readonly faces: readonly [CardFace, CardFace];
  readonly middle: Place;
}

/** A card taken apart along its scores and slits. */
export interface FacedCard {
  readonly faces: readonly CardFace[];
  /** Faces that hang together by a score. */
  readonly hinges: readonly Hinge[];
  /** The face at a place, or close beside it. */
  readonly faceAt: (place: Place) => CardFace | undefined;
  /** The faces in the order in which one passes them from left to right, on as many lines as there may be. */
  readonly rows: readonly (readonly CardFace[])[];
  /** The same from top to bottom. */
  readonly columns: readonly (readonly CardFace[])[];
  /** The same from the top left to the bottom right corner, and from the bottom left to the top right one. */
  readonly falling: readonly (readonly CardFace[])[];
  readonly rising: readonly (readonly CardFace[])[];
}

/** What a dot of the picture of a card is: bare card until it has the number of its face. */
const nothing = -1;
const scored = -2;
const slit = -3;
const bareCard = -4;
const crumb = -5;

/** A card as a picture of small dots, as one sees it who holds it. */
interface Picture {
  /** How wide a dot is. */
  readonly dot: number;
  readonly wide: number;
  readonly high: number;
  readonly dots: Int32Array;
}

function at({ dot, wide, high, dots }: Picture, { x, y }: Place): number {
  const [i, j] = [Math.floor(x / dot), Math.floor(y / dot)];
  return i < 0 || j < 0 || i >= wide || j >= high ? nothing : (dots[j * wide + i] ?? nothing);
}

/** Draws a line a little beyond its ends: nobody folds round where two scores just don't meet. */
function drawLine(
  { dot, wide, high, dots }: Picture,
  [a, b]: Line,
  ink: number,
  beyond = 0.7,
): void {
  const long = Math.hypot(b.x - a.x, b.y - a.y) || 1;
  const [dx, dy] = [(b.x - a.x) / long, (b.y - a.y) / long];
  for (let far = -beyond; far <= long + beyond; far += dot / 4) {
    const [i, j] = [Math.floor((a.x + dx * far) / dot), Math.floor((a.y + dy * far) / dot)];
    // Two dots wide, so that nothing gets through it from corner to corner.
    for (const side of [i, i + 1])
      if (side >= 0 && side < wide && j >= 0 && j < high && dots[j * wide + side] !== nothing)
        dots[j * wide + side] = ink;
  }
}

/**
 * The blunt end of a score: two that are made one after the other, a hair beside each other, are one fold.
 */
function endOf(end: Place, from: Place): Line {
  const long = Math.hypot(end.x - from.x, end.y - from.y) || 1;
  const [dx, dy] = [((end.x - from.x) / long) * 0.35, ((end.y - from.y) / long) * 0.35];
  return [
    { x: end.x - dy, y: end.y + dx },
    { x: end.x + dy, y: end.y - dx },
  ];
}

function pictureOf(card: Card): Picture {
  const dot = Math.max(0.15, Math.max(card.width, card.height) / 900);
  const [wide, high] = [Math.floor(card.width / dot), Math.floor(card.height / dot)];
  const dots = new Int32Array(wide * high).fill(bareCard);
  const picture = { dot, wide, high, dots };
  // What is gone is looked for only round where something was cut.
  for (const gone of card.gone) {
    const ring =
      gone.kind === 'ring'
        ? gone.ring
        : gone.kind === 'corner'
          ? [gone.sharp, gone.centre]
          : [-1, 1].map((way) => ({
              x: gone.centre.x + way * gone.radius,
              y: gone.centre.y + way * gone.radius,
            }));
    const [xs, ys] = [ring.map(({ x }) => x), ring.map(({ y }) => y)];
    const clip = (value: number, most: number) =>
      Math.min(most, Math.max(0, Math.floor(value / dot)));
    const one: Card = { ...card, gone: [gone] };
    for (let j = clip(Math.min(...ys) - 1, high); j < clip(Math.max(...ys) + 2, high); j++)
      for (let i = clip(Math.min(...xs) - 1, wide); i < clip(Math.max(...xs) + 2, wide); i++)
        if (!isThere(one, { x: (i + 0.5) * dot, y: (j + 0.5) * dot })) dots[j * wide + i] = nothing;
  }
  for (const line of card.scores) {
    drawLine(picture, line, scored);
    for (const [from, to] of [line, [line[1], line[0]] as const])
      drawLine(picture, endOf(from, to), scored, 0);
  }
  for (const line of card.slits) drawLine(picture, line, slit);
  return picture;
}

/** Fills every part between the lines with a number of its own, and gives where each is. */
function fill({ dot, wide, high, dots }: Picture): readonly CardFace[] {
  const faces: CardFace[] = [];
  for (let start = 0; start < dots.length; start++) {
    if (dots[start] !== bareCard) continue;
    const id = faces.length;
    const filled = [start];
    dots[start] = id;
    let [left, right, top, bottom] = [wide, 0, high, 0];
    // Those that are found on the way are looked round from in their turn.
    for (const here of filled) {
      const [i, j] = [here % wide, Math.floor(here / wide)];
      [left, right] = [Math.min(left, i), Math.max(right, i)];
      [top, bottom] = [Math.min(top, j), Math.max(bottom, j)];
      const next = [
        i > 0 ? here - 1 : -1,
        i + 1 < wide ? here + 1 : -1,
        j > 0 ? here - wide : -1,
        j + 1 < high ? here + wide : -1,
      ];
      for (const there of next) {
        if (there < 0 || dots[there] !== bareCard) continue;
        dots[there] = id;
        filled.push(there);
      }
    }
    const long = Math.max(right - left, bottom - top) + 1;
    // Crumbs where lines cross are no parts, nor what is left between a score and a slit beside it.
    if (filled.length < 5 || (filled.length / long) * dot < 0.6)
      for (const each of filled) dots[each] = crumb;
    else
      faces.push({
        id,
        left: left * dot,
        right: (right + 1) * dot,
        top: top * dot,
        bottom: (bottom + 1) * dot,
      });
  }
  return faces;
}

/** Takes a card apart along everything that was done to it. */
export function cardFaces(card: Card): FacedCard {
  const picture = pictureOf(card);
  const faces = fill(picture);
  const { dot, wide, high } = picture;
  const seen = (place: Place) => faces[at(picture, place)];
  const centre = (i: number, j: number): Place => ({ x: (i + 0.5) * dot, y: (j + 0.5) * dot });
  const across = (j: number) => Array.from({ length: wide }, (_, i) => seen(centre(i, j)));
  const down = (i: number) => Array.from({ length: high }, (_, j) => seen(centre(i, j)));
  const every = (count: number) =>
    Array.from({ length: Math.ceil(count / 3) }, (_, k) => Math.min(count - 1, k * 3 + 1));
  return {
    faces,
    hinges: hingesOn(card, picture, seen),
    faceAt: (place) => nearest(place, dot, seen),
    rows: every(high).map((j) => inTurn(across(j))),
    columns: every(wide).map((i) => inTurn(down(i))),
    falling: besideCorners.map((off) => inTurn(onDiagonal(card, off, (y) => y).map(seen))),
    rising: besideCorners.map((off) =>
      inTurn(onDiagonal(card, off, (y) => card.height - y).map(seen)),
    ),
  };
}

/** The face at a place; on a line or beside an edge the nearest. */
function nearest(
  { x, y }: Place,
  dot: number,
  seen: (place: Place) => CardFace | undefined,
): CardFace | undefined {
  for (let far = 0; far < 40; far += far < 3 ? dot : 2)
    for (let k = 0; k < 16; k++) {
      const turn = (k / 8) * Math.PI;
      const face = seen({ x: x + far * Math.cos(turn), y: y + far * Math.sin(turn) });
      if (face) return face;
    }
  return undefined;
}

/** Whether two lines cross, each between its ends. */
function cross([a, b]: Line, [c, d]: Line): boolean {
  const side = (from: Place, to: Place, { x, y }: Place) =>
    (to.x - from.x) * (y - from.y) - (to.y - from.y) * (x - from.x);
  return side(a, b, c) > 0 !== side(a, b, d) > 0 && side(c, d, a) > 0 !== side(c, d, b) > 0;
}

/** The faces on either side of every score, where it holds them together. */
function hingesOn(
  card: Card,
  picture: Picture,
  seen: (place: Place) => CardFace | undefined,
): readonly Hinge[] {
  const { dot } = picture;
  const hinges = new Map<string, { readonly faces: Hinge['faces']; readonly places: Place[] }>();
  for (const [a, b] of card.scores) {
    const long = Math.hypot(b.x - a.x, b.y - a.y);
    const [dx, dy] = [(b.x - a.x) / (long || 1), (b.y - a.y) / (long || 1)];
    // Two parts that meet in a tip have another score between them, and don't hang together.
    const others = card.scores.filter(([c, d]) => {
      const turned = dx * (d.y - c.y) - dy * (d.x - c.x);
      return Math.abs(turned) > 0.02 * Math.hypot(d.x - c.x, d.y - c.y);
    });
    for (let far = dot / 2; far < long; far += dot) {
      const place = { x: a.x + dx * far, y: a.y + dy * far };
      if (at(picture, place) !== scored) continue;
      // The first face that one comes to on either side, unless there is a slit before it.
      const beside = (way: number): CardFace | undefined => {
        for (let off = 0; off < Math.max(0.45, 2.6 * dot); off += dot / 2) {
          const spot = { x: place.x - dy * way * off, y: place.y + dx * way * off };
          if ([slit, nothing, crumb].includes(at(picture, spot))) return undefined;
          const face = seen(spot);
          if (face) return others.some((line) => cross([place, spot], line)) ? undefined : face;
        }
        return undefined;
      };
      const [one, other] = [beside(1), beside(-1)];
      if (!one || !other || one === other) continue;
      const key = [one.id, other.id].sort((x, y) => x - y).join();
      const known = hinges.get(key) ?? { faces: [one, other], places: [] };
      known.places.push(place);
      hinges.set(key, known);
    }
  }
  return [...hinges.values()]
    .filter(({ places }) => places.length * dot > 0.8)
    .map(({ faces, places }) => ({
      faces,
      middle: {
        x: places.reduce((sum, { x }) => sum + x, 0) / places.length,
        y: places.reduce((sum, { y }) => sum + y, 0) / places.length,
      },
    }));
}

/** Faces as one passes them, each once. */
function inTurn(faces: readonly (CardFace | undefined)[]): readonly CardFace[] {
  return faces.flatMap((face) => face ?? []).filter((face, i, all) => face !== all[i - 1]);
}

/** How far beside the corners one may pass, as a share of the card. */
const besideCorners = [0, 0.08, -0.08, 0.16, -0.16, 0.24, -0.24];

function onDiagonal(
  { width, height }: Card,
  off: number,
  turn: (y: number) => number,
): readonly Place[] {
  return Array.from({ length: 320 }, (_, k) => {
    const share = (k + 0.5) / 320;
    return { x: share * width, y: turn((share + off) * height) };
  }).filter(({ y }) => y > 0 && y < height);
}
