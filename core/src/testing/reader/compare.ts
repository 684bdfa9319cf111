import { cutSizeOf, subdivide, toMillimetres, type Piece, type ScoreGrid } from '../../index.ts';
import { isThere, turnedBy, type Card } from './card.ts';
import { fromLine, isInRing, type Line, type Place } from './plane.ts';

/*
 * Whether a card that was made from words is the planned piece. What is planned is taken from the piece's
 * grid alone; a line made along a ruler may be off by what a ruler is read to.
 */

/** As far as a place may be off that was told to the nearest mark of a ruler, and a little. */
const off = 0.8;

/** Where a piece is planned to have card, and how far a place is from where that changes. */
function plannedCard(grid: ScoreGrid) {
  const map = subdivide(grid);
  const rings = map.faces
    .filter(({ role }) => role !== 'waste')
    .map(({ corners, holes }) => ({
      ring: corners.map((corner) => map.corners[corner] ?? { x: 0, y: 0 }),
      holes: holes.map((hole) => hole.map((corner) => map.corners[corner] ?? { x: 0, y: 0 })),
    }));
  const borders = map.edges
    .filter(({ faces }) => {
      const kept = faces.filter((face) => map.faces[face]?.role !== 'waste');
      return kept.length === 1;
    })
    .map(({ from, to }): Line => [
      map.corners[from] ?? { x: 0, y: 0 },
      map.corners[to] ?? { x: 0, y: 0 },
    ]);
  return {
    isThere: (place: Place) =>
      rings.some(
        ({ ring, holes }) => isInRing(ring, place) && !holes.some((hole) => isInRing(hole, place)),
      ),
    fromBorder: (place: Place) => Math.min(...borders.map((border) => fromLine(border, place))),
    borders,
  };
}

/** The scores that a piece must have: where card is on both sides of them. */
function plannedScores(grid: ScoreGrid): readonly Line[] {
  const map = subdivide(grid);
  return map.edges.flatMap(({ from, to, make, faces }): readonly Line[] => {
    const isKept = faces.length === 2 && faces.every((face) => map.faces[face]?.role !== 'waste');
    const [a, b] = [map.corners[from], map.corners[to]];
    return make === 'score' && isKept && a && b ? [[a, b]] : [];
  });
}

function plannedSlits(grid: ScoreGrid): readonly Line[] {
  const map = subdivide(grid);
  return map.edges.flatMap(({ from, to, make, faces }): readonly Line[] => {
    const isKept = faces.length === 2 && faces.every((face) => map.faces[face]?.role !== 'waste');
    const [a, b] = [map.corners[from], map.corners[to]];
    return make === 'slit' && isKept && a && b ? [[a, b]] : [];
  });
}

/** Places along a line, well inside its ends. */
function along([a, b]: Line): readonly Place[] {
  const long = Math.hypot(b.x - a.x, b.y - a.y);
  if (long < 3 * off) return [];
  return [0.08, 0.3, 0.5, 0.7, 0.92]
    .filter((share) => share * long > off && (1 - share) * long > off)
    .map((share) => ({ x: a.x + (b.x - a.x) * share, y: a.y + (b.y - a.y) * share }));
}

function isOnLines(place: Place, lines: readonly Line[]): boolean {
  return lines.some((line) => fromLine(line, place) < off);
}

function said({ x, y }: Place): string {
  return `${x.toFixed(1)}, ${y.toFixed(1)}`;
}

/** How a card differs from the planned piece, lying as it is drawn; none where it is that piece. */
function differences(card: Card, grid: ScoreGrid): readonly string[] {
  const { width, height } = cutSizeOf(grid);
  const size = { width: toMillimetres(width), height: toMillimetres(height) };
  if (Math.abs(card.width - size.width) > 0.02 || Math.abs(card.height - size.height) > 0.02)
    return [`it is ${card.width} × ${card.height}, and not ${size.width} × ${size.height}`];
  const planned = plannedCard(grid);
  const scores = plannedScores(grid);
  const slits = plannedSlits(grid);
  const faults: string[] = [];
  for (const line of scores)
    for (const place of along(line))
      if (!isOnLines(place, card.scores)) faults.push(`no score at ${said(place)}`);
  for (const line of slits)
    for (const place of along(line))
      if (!isOnLines(place, card.slits)) faults.push(`no slit at ${said(place)}`);
  // What is made too much: where there is card on both sides, and nothing is planned.
  const inside = (place: Place) => planned.isThere(place) && planned.fromBorder(place) > off;
  for (const line of card.scores)
    for (const place of along(line))
      if (inside(place) && !isOnLines(place, [...scores, ...slits]))
        faults.push(`a score too many at ${said(place)}`);
  for (const line of card.slits)
    for (const place of along(line))
      if (inside(place) && !isOnLines(place, slits))
        faults.push(`a slit too many at ${said(place)}`);
  faults.push(...cardDifferences(card, grid, planned, size));
  return faults;
}

/** Whether card is so narrow there that nobody leaves it: two cuts that are told to half a millimetre. */
function isSliver(card: Card, { x, y }: Place): boolean {
  const isGone = (dx: number, dy: number) => !isThere(card, { x: x + dx, y: y + dy });
  const reach = 0.6;
  return (isGone(reach, 0) && isGone(-reach, 0)) || (isGone(0, reach) && isGone(0, -reach));
}

/** Places where there is card and should be none, or the other way round. */
function cardDifferences(
  card: Card,
  grid: ScoreGrid,
  planned: ReturnType<typeof plannedCard>,
  { width, height }: { readonly width: number; readonly height: number },
): readonly string[] {
  const places: Place[] = [];
  const count = 22;
  for (let i = 0; i < count; i++)
    for (let j = 0; j < count; j++)
      places.push({ x: ((i + 0.5) / count) * width, y: ((j + 0.5) / count) * height });
  // On both sides of every border that is planned, and of every one that was made.
  const beside = ([a, b]: Line): readonly Place[] => {
    const long = Math.hypot(b.x - a.x, b.y - a.y);
    if (long < 0.2) return [];
    const [nx, ny] = [(b.y - a.y) / long, (a.x - b.x) / long];
    const middle = { x: (a.x + b.x) / 2, y: (a.y + b.y) / 2 };
    return [1, -1].map((way) => ({
      x: middle.x + way * nx * off * 1.3,
      y: middle.y + way * ny * off * 1.3,
    }));
  };
  places.push(...planned.borders.flatMap(beside));
  for (const gone of card.gone) {
    if (gone.kind === 'ring')
      gone.ring.forEach((a, i) =>
        places.push(...beside([a, gone.ring[(i + 1) % gone.ring.length] ?? a])),
      );
    else places.push(gone.centre);
  }
  // What a punch makes may be of about its size: something thin goes through, or a finger.
  const isPunched = ({ x, y }: Place) =>
    grid.cutouts.some((cutout) => {
      if (cutout.shape !== 'hole' && cutout.shape !== 'notch') return false;
      const [cx, cy] = [toMillimetres(cutout.centre.x), toMillimetres(cutout.centre.y)];
      const far = Math.hypot(x - cx, y - cy) / toMillimetres(cutout.radius);
      return far > 0.65 && far < 1.4;
    });
  return (
    places
      // No place lies just on a line.
      .map(({ x, y }) => ({ x: x + 0.0137, y: y + 0.0071 }))
      .filter((place) => !isPunched(place))
      .filter(({ x, y }) => x > 0 && y > 0 && x < width && y < height)
      .filter((place) => planned.fromBorder(place) > off)
      .filter((place) =>
        planned.isThere(place)
          ? !isThere(card, place)
          : isThere(card, place) && !isSliver(card, place),
      )
      .map((place) => `${planned.isThere(place) ? 'no card' : 'card'} at ${said(place)}`)
  );
}

/** A way in which a card might lie: turned so often it differs so from the piece as it is drawn. */
export interface LyingCompared {
  readonly quarters: number;
  readonly faults: readonly string[];
}

/** Where the top of a print is, and was not planned to be. */
function printFaults({ printTop }: Card, { printTop: planned = 'top' }: Piece): readonly string[] {
  return printTop === undefined || printTop === planned
    ? []
    : [`the top of its print at the ${printTop}, not at the ${planned}`];
}

/** How a card that was made differs from the piece that was planned, each way that it may lie; the best first. */
export function comparePiece(card: Card, piece: Piece): readonly LyingCompared[] {
  const { width, height } = cutSizeOf(piece.grid);
  const lyings = [0, 1, 2, 3].map((quarters) => ({ quarters, lying: turnedBy(card, quarters) }));
  const asLarge = lyings.filter(
    ({ lying }) =>
      Math.abs(lying.width - toMillimetres(width)) < 0.02 &&
      Math.abs(lying.height - toMillimetres(height)) < 0.02,
  );
  return (asLarge.length > 0 ? asLarge : lyings)
    .map(({ quarters, lying }) => ({
      quarters,
      faults: [...differences(lying, piece.grid), ...printFaults(lying, piece)],
    }))
    .sort((a, b) => a.faults.length - b.faults.length);
}
