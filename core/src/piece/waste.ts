import { toMillimetres, zero } from '../length/index.ts';
import type { Point } from './point.ts';
import type { Cutout, GridPoint, ScoreGrid, Side, Spot, Taper } from './score-grid.ts';

/** How many straight runs a full turn is drawn with: within 0.05 mm of the curve at a radius of 20 mm. */
const runsPerTurn = 48;

/** A piece of card that is cut away: its ring, and which of its sides the blade goes along. */
export interface Waste {
  readonly ring: readonly Point[];
  readonly cuts: readonly (readonly [Point, Point])[];
}

function placeOf(spot: Spot): Point {
  return { x: toMillimetres(spot.x), y: toMillimetres(spot.y) };
}

/** Points on an elliptical arc from one angle to another, in radians, both ends among them. */
function arc(centre: Point, radii: Point, from: number, to: number): readonly Point[] {
  const runs = Math.max(2, Math.ceil((Math.abs(to - from) / (2 * Math.PI)) * runsPerTurn));
  const points: Point[] = [];
  for (let i = 0; i <= runs; i++) {
    const angle = from + ((to - from) * i) / runs;
    points.push({
      x: centre.x + radii.x * Math.cos(angle),
      y: centre.y + radii.y * Math.sin(angle),
    });
  }
  return points;
}

function runsAlong(path: readonly Point[]): readonly (readonly [Point, Point])[] {
  return path.slice(1).map((to, i) => [path[i] ?? to, to] as const);
}

/** The angle at which the arc of a notch starts, so that half a turn leads through the card. */
const notchStart: Record<Side, number> = {
  top: 0,
  right: Math.PI / 2,
  bottom: Math.PI,
  left: -Math.PI / 2,
};

function cutoutWaste(cutout: Cutout): Waste {
  switch (cutout.shape) {
    case 'hole': {
      const radius = toMillimetres(cutout.radius);
      const ring = arc(placeOf(cutout.centre), { x: radius, y: radius }, 0, 2 * Math.PI);
      return { ring: ring.slice(0, -1), cuts: runsAlong(ring) };
    }
    case 'notch': {
      const radius = toMillimetres(cutout.radius);
      const start = notchStart[cutout.edge];
      const path = arc(placeOf(cutout.centre), { x: radius, y: radius }, start, start + Math.PI);
      return { ring: path, cuts: runsAlong(path) };
    }
    case 'corner': {
      const at = placeOf(cutout.at);
      const radii = { x: toMillimetres(cutout.along), y: toMillimetres(cutout.down) };
      const centre = { x: at.x + radii.x, y: at.y + radii.y };
      const path = arc(centre, radii, Math.PI, 1.5 * Math.PI);
      return { ring: [at, ...path], cuts: runsAlong(path) };
    }
    case 'trim': {
      const ring = cutout.corners.map(placeOf);
      return { ring, cuts: runsAlong([...ring, ...ring.slice(0, 1)]) };
    }
  }
}

function cornersOf(cell: GridPoint, place: (point: GridPoint) => Point) {
  const { column, row } = cell;
  return {
    topLeft: place({ column, row }),
    topRight: place({ column: column + 1, row }),
    bottomLeft: place({ column, row: row + 1 }),
    bottomRight: place({ column: column + 1, row: row + 1 }),
  };
}

/** A point on the way from one point to another, so far from the first. */
function towards(from: Point, to: Point, distance: number): Point {
  const span = Math.hypot(to.x - from.x, to.y - from.y);
  return {
    x: from.x + ((to.x - from.x) * distance) / span,
    y: from.y + ((to.y - from.y) * distance) / span,
  };
}

/** The corners along both flanks of a cell that hangs on one of its sides: at its hinge, its free end, and back. */
function flanksAt(
  hinge: Side,
  { topLeft, topRight, bottomLeft, bottomRight }: ReturnType<typeof cornersOf>,
): readonly (readonly [Point, Point, Point, Point])[] {
  switch (hinge) {
    case 'left':
      return [
        [topLeft, topRight, bottomRight, bottomLeft],
        [bottomLeft, bottomRight, topRight, topLeft],
      ];
    case 'right':
      return [
        [topRight, topLeft, bottomLeft, bottomRight],
        [bottomRight, bottomLeft, topLeft, topRight],
      ];
    case 'top':
      return [
        [topLeft, bottomLeft, bottomRight, topRight],
        [topRight, bottomRight, bottomLeft, topLeft],
      ];
    case 'bottom':
      return [
        [bottomLeft, topLeft, topRight, bottomRight],
        [bottomRight, topRight, topLeft, bottomLeft],
      ];
  }
}

/** The two wedges that a taper cuts away: hinge corner, free corner, drawn-in corner, shoulder. */
function taperWaste(taper: Taper, place: (point: GridPoint) => Point): readonly Waste[] {
  const inset = toMillimetres(taper.inset);
  const shoulder = toMillimetres(taper.shoulder ?? zero);
  const corners = cornersOf(taper.cell, place);
  return flanksAt(taper.hinge, corners).map(([hinge, free, otherFree, otherHinge]): Waste => {
    const drawnIn = towards(free, otherFree, inset);
    if (shoulder === 0) return { ring: [hinge, free, drawnIn], cuts: [[hinge, drawnIn]] };
    const stand = towards(hinge, otherHinge, shoulder);
    return {
      ring: [hinge, free, drawnIn, stand],
      cuts: [
        [hinge, stand],
        [stand, drawnIn],
      ],
    };
  });
}

/** Everything that is cut away from a piece beside its waste cells. */
export function wasteOf(grid: ScoreGrid, place: (point: GridPoint) => Point): readonly Waste[] {
  return [
    ...grid.tapers.flatMap((taper) => taperWaste(taper, place)),
    ...grid.cutouts.map(cutoutWaste),
    ...grid.patches
      .filter(({ role }) => role === 'waste')
      .map(({ corners }) => {
        const ring = corners.map(place);
        return { ring, cuts: runsAlong([...ring, ...ring.slice(0, 1)]) };
      }),
  ];
}
