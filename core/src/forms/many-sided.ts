import type { Section, SmallerPair } from '../marks/index.ts';
import {
  vector,
  type Cavity,
  type GridSpot,
  type Part,
  type Stack,
  type Vector,
} from '../fold/index.ts';
import {
  largest,
  millimetres,
  minus,
  nanometres,
  plus,
  smallest,
  times,
  toMillimetres,
  zero,
  type Length,
} from '../length/index.ts';
import type { Cutout, Spot, Taper } from '../piece/index.ts';
import type { PieceTemplate, SizeOf, StyleBrief } from './brief.ts';
import { columnScore, columnSlit, drawGrid, rowScore, valley } from './draw-grid.ts';
import { lies } from './placing.ts';
import { section } from './sections.ts';
import { flapTaper } from './tube.ts';

/** What is folded or put together when, counted over the whole box; tabs that overlap are folded one by one. */
const stages = { round: 0, tabs: 1 } as const;

/** What closes a ring of panels: a plate on its tabs, or the tabs themselves, each over the one before. */
export const ringFloors = ['plate', 'overlapping tabs'] as const;
export type RingFloor = (typeof ringFloors)[number];

/** Panels round a regular floor: a strip of panels and a seam, with a tab under each. */
export interface ManySided {
  readonly floor: RingFloor;
  readonly id: string;
  readonly name: string;
  readonly paper: number;
  readonly sides: number;
  /** Sections: width of a panel, its height, the tabs, the seam, and the plate's width and height. */
  readonly side: string;
  readonly wall: string;
  readonly tab: string;
  readonly seam: string;
  readonly plateAcross: string;
  readonly plateDeep: string;
  readonly plateRole: 'floor' | 'lid';
}

/** Half of the angle that one side takes up, in radians. */
export function halfAngle(sides: number): number {
  return Math.PI / sides;
}

/** The tangent that turns the distance of a side from the middle into half its width. */
export function sideTangent(sides: number): number {
  return Math.tan(halfAngle(sides));
}

/** Distance of the sides' fold lines from the middle, for panels of this width. */
export function apothemOf(side: Length, sides: number): Length {
  return nanometres(Math.floor(side / 2 / sideTangent(sides)));
}

/** Corners of a regular figure with its first side to the front, anticlockwise from above. */
export function cornersOf(sides: number, apothem: number): readonly { x: number; y: number }[] {
  const radius = apothem / Math.cos(halfAngle(sides));
  return Array.from({ length: sides }, (_, i) => {
    const angle = -Math.PI / 2 + (2 * i - 1) * halfAngle(sides);
    return { x: radius * Math.cos(angle), y: radius * Math.sin(angle) };
  });
}

/** The panel that stands at the front. */
function frontPanel(sides: number): number {
  return Math.floor(sides / 2);
}

/** The plate is a little smaller than the room that it lies in. */
const plateSpare = millimetres(0.5);

/** Distance of the plate's sides from its middle. */
function plateApothem({ sides }: ManySided, side: Length, card: Length): Length {
  return minus(apothemOf(side, sides), times(card, 1.5), plateSpare);
}

/** How wide and how deep the plate is. */
export function plateSize(shape: Pick<ManySided, 'sides'>, side: Length, card: Length) {
  const apothem = apothemOf(side, shape.sides);
  const reach = minus(apothem, times(card, 1.5), plateSpare);
  const corners = cornersOf(shape.sides, toMillimetres(reach));
  const xs = corners.map(({ x }) => x);
  const ys = corners.map(({ y }) => y);
  return {
    across: millimetres(Math.max(...xs) - Math.min(...xs)),
    deep: millimetres(Math.max(...ys) - Math.min(...ys)),
  };
}

/** How far each flank of a tab leans in at its end. */
function tabInset({ sides, floor }: ManySided, long: Length, width: Length, card: Length): Length {
  if (floor === 'plate')
    return smallest(plus(times(long, sideTangent(sides)), card), times(width, 0.45));
  // A tab over the others may be as wide as its panel, where the walls beside it don't lean over it.
  const leansIn = -Math.tan(Math.PI / 2 - 2 * halfAngle(sides));
  return plus(times(long, Math.max(0, leansIn)), card);
}

/** The strip of panels as a piece to be cut. */
export function panelStrip(shape: ManySided, card: Length): PieceTemplate {
  const { sides, side, wall, tab, seam, floor } = shape;
  const panels = Array.from({ length: sides }, (_, i) => i);
  const across = [...panels.map(() => side), seam];
  return {
    id: shape.id,
    name: shape.name,
    paper: shape.paper,
    copies: 1,
    across,
    down: [wall, tab],
    draw: (size) => {
      const width = size(side);
      const inset = tabInset(shape, size(tab), width, card);
      return drawGrid({
        columns: across.map(size),
        rows: [size(wall), size(tab)],
        picture: [`${'w'.repeat(sides)}s`, `${'t'.repeat(sides)}.`],
        lines: [
          ...Array.from({ length: sides }, (_, i) =>
            columnScore(i + 1, 0, 1, valley(360 / sides, stages.round)),
          ),
          ...Array.from({ length: sides - 1 }, (_, i) => columnSlit(i + 1, 1, 2)),
          ...panels.map((panel) =>
            rowScore(
              1,
              panel,
              panel + 1,
              valley(90, stages.tabs + (floor === 'plate' ? 0 : panel)),
            ),
          ),
        ],
        tapers: [
          ...panels.map((panel): Taper => ({
            cell: { column: panel, row: 1 },
            hinge: 'top',
            inset,
            shoulder: smallest(plus(card, millimetres(0.3)), times(width, 1 / 12)),
          })),
          {
            cell: { column: sides, row: 0 },
            hinge: 'left',
            inset: flapTaper(size(wall)),
          },
        ],
      });
    },
  };
}

/** What is cut off a rectangle to leave a regular figure standing with one side at the bottom. */
function plateTrims(
  shape: ManySided,
  apothem: number,
  width: Length,
  height: Length,
): readonly Cutout[] {
  const corners = cornersOf(shape.sides, apothem);
  const lowest = Math.min(...corners.map(({ y }) => y));
  const left = Math.min(...corners.map(({ x }) => x));
  const spot = ({ x, y }: { x: number; y: number }): Spot => ({
    x: smallest(largest(millimetres(x - left), zero), width),
    y: smallest(largest(minus(height, millimetres(y - lowest)), zero), height),
  });
  const placed = corners.map(spot);
  const near = (a: number, b: number) => Math.abs(a - b) < 1000;
  const [first = zero, ...more] = placed.map(({ x }) => x);
  const right = largest(first, ...more);
  const [level = zero, ...levels] = placed.map(({ y }) => y);
  const top = smallest(level, ...levels);
  const trim = (from: Spot, to: Spot): readonly Cutout[] =>
    from.x === to.x || from.y === to.y
      ? []
      : [
          {
            shape: 'trim',
            use: 'plate',
            corners: [from, { x: to.x, y: from.y }, to, { x: from.x, y: to.y }],
          },
        ];
  const beyond = [
    ...trim({ x: right, y: zero }, { x: width, y: height }),
    ...trim({ x: zero, y: zero }, { x: right, y: top }),
  ];
  const between = [zero, right].flatMap((x) =>
    [top, height].flatMap((y): readonly Cutout[] => {
      // Between where the figure touches this edge and that one, seen from the sheet's corner.
      const touching = placed.filter((each) => near(each.x, x)).map((each) => Math.abs(each.y - y));
      const lying = placed.filter((each) => near(each.y, y)).map((each) => Math.abs(each.x - x));
      const down = Math.min(...touching);
      const along = Math.min(...lying);
      const run = placed
        .filter(
          (each) => Math.abs(each.x - x) <= along + 1000 && Math.abs(each.y - y) <= down + 1000,
        )
        .sort((p, q) => Math.abs(p.x - x) - Math.abs(q.x - x));
      if (along < 1000 || down < 1000) return [];
      return [{ shape: 'trim', use: 'plate', corners: [{ x, y }, ...run] }];
    }),
  );
  return [...beyond, ...between];
}

/** The plate as a piece to be cut. */
export function plate(shape: ManySided, card: Length, id: string, name: string): PieceTemplate {
  return {
    id,
    name,
    paper: shape.paper,
    copies: 1,
    across: [shape.plateAcross],
    down: [shape.plateDeep],
    draw: (size) => {
      const width = size(shape.plateAcross);
      const height = size(shape.plateDeep);
      const apothem = toMillimetres(plateApothem(shape, size(shape.side), card));
      return drawGrid({
        columns: [width],
        rows: [height],
        picture: [shape.plateRole === 'floor' ? 'f' : 'l'],
        lines: [],
        cutouts: plateTrims(shape, apothem, width, height),
      });
    },
  };
}

/** The strip standing round the middle, its lower edge so high; or hanging from its upper one, overturned. */
export function stripPart(
  shape: ManySided,
  size: SizeOf,
  {
    lower,
    joins,
    overturned,
    opens,
  }: {
    readonly lower: number;
    readonly joins: number;
    readonly overturned: boolean;
    readonly opens?: Part['at'];
  },
): Part {
  const front = frontPanel(shape.sides);
  const y = -toMillimetres(apothemOf(size(shape.side), shape.sides));
  // The spot that is placed is in the panel, a little beside its edge.
  const beside = 1e-3;
  const inward = (overturned ? -1 : 1) * beside * toMillimetres(size(shape.wall));
  return {
    id: shape.id,
    piece: shape.id,
    root: { column: front + 0.5, row: 1 - beside },
    right: overturned ? vector(1, 0, 0) : vector(-1, 0, 0),
    up: overturned ? vector(0, 0, -1) : vector(0, 0, 1),
    at: vector(0, y, lower + inward),
    joins,
    ...(opens && { opens }),
  };
}

/** So far from the middle towards the panel behind which the seam of an overturned strip lies. */
export function towardsSeam({ sides }: Pick<ManySided, 'sides'>, far: number): Vector {
  const angle = -Math.PI / 2 - (2 * Math.PI * frontPanel(sides)) / sides;
  return vector(far * Math.cos(angle), far * Math.sin(angle), 0);
}

/** The room between panels of this width, so high. */
export function manySidedRoom(sides: number, apothem: number, high: number): Cavity {
  const floor = cornersOf(sides, apothem).map(({ x, y }) => ({ x, y }));
  return { floor, top: floor, bottom: 0, high };
}

/** The seam behind the first panel, and the plate on the tabs. */
export function manySidedStacks(
  shape: ManySided,
  plateId: string,
  plateSpot: GridSpot,
): readonly Stack[] {
  const panels = Array.from({ length: shape.sides }, (_, i) => i);
  return [
    lies(shape.id, { face: [shape.sides + 0.3, 0.5], on: [0.5, 0.5], side: 'inside' }),
    ...panels.map((panel): Stack => ({
      face: { part: shape.id, spot: { column: panel + 0.5, row: 1.05 } },
      on: { part: plateId, spot: plateSpot },
      side: 'outside',
      holds: 'glue',
    })),
  ];
}

/** The seam behind the first panel, and each tab over the one before. */
export function overlappingStacks({ id, sides }: ManySided): readonly Stack[] {
  const others = Array.from({ length: sides - 1 }, (_, i) => i + 1);
  return [
    lies(id, { face: [sides + 0.3, 0.5], on: [0.5, 0.5], side: 'inside' }),
    ...others.map((panel) =>
      lies(id, { face: [panel + 0.5, 1.5], on: [panel - 0.5, 1.5], side: 'outside' }),
    ),
  ];
}

/** How far tabs that overlap reach, as shares of the way to the middle: past it, and not beyond the walls there. */
const reaches = { least: 1.04, target: 1.15, most: 1.3 } as const;

/** Tabs that reach past the middle, so that all of them lie over one another there. */
export function overlappingTabs(
  brief: Pick<StyleBrief<unknown>, 'kit'>,
  id: string,
  side: Section,
  sides: number,
): { readonly tab: Section; readonly smaller: readonly SmallerPair[] } {
  const reach = (width: Length, share: number) => times(apothemOf(width, sides), share);
  // A side is so many times as long as the way from it to the middle.
  const across = 2 * sideTangent(sides);
  return {
    tab: {
      ...section(brief, id, {
        least: reach(side.least, reaches.least),
        target: reach(side.target, reaches.target),
        weight: 0.1,
      }),
      most: reach(side.most, reaches.most),
    },
    smaller: [
      { less: side.id, more: id, moreTimes: across / reaches.least, by: zero },
      { less: id, more: side.id, moreTimes: reaches.most / across, by: zero },
    ],
  };
}

/** The sections of such panels beside their width. */
export function tabSection(
  make: (id: string, least: Length, target: Length) => Section,
  id: string,
  side: Length,
  sides: number,
): Section {
  // Tabs may not meet in the middle, nor taper to a point.
  const most = times(side, 0.4 / sideTangent(sides));
  const wanted = smallest(millimetres(12), most);
  return { ...make(id, times(wanted, 0.6), wanted), most: largest(wanted, most) };
}
