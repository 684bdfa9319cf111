import type { GridSpot, Part, Stack } from '../fold/index.ts';
import {
  half,
  largest,
  millimetres,
  minus,
  plus,
  smallest,
  times,
  zero,
  type Length,
} from '../length/index.ts';
import type { Cutout, Side, Taper } from '../piece/index.ts';
import type { PieceTemplate, SizeOf } from './brief.ts';
import { columnScore, columnSlit, drawGrid, rowScore, rowSlit, valley } from './draw-grid.ts';
import { lies } from './placing.ts';
import type { Footprint, Layers } from './sections.ts';

/** Which pair of walls carries the tabs. */
export type TabsOn = 'sides' | 'front and back';

/** A tray: a floor with four walls, held at each corner by a tab on one pair of them. */
export interface Tray {
  readonly id: string;
  readonly name: string;
  readonly paper: number;
  readonly copies?: number;
  /** Sections: the walls' height and the floor both ways. */
  readonly wall: string;
  readonly floor: Readonly<Record<Footprint, string>>;
  readonly floorRole: 'floor' | 'lid';
  readonly tabsOn: TabsOn;
  /** Whether the tabs lie inside the other pair of walls or outside. */
  readonly tabsLie: 'inside' | 'outside';
  /** A half-round bite for the thumb in the edge of the front and the back, or of the front alone. */
  readonly thumb?: 'front and back' | 'front' | undefined;
  /** A hole in the middle of the front for a ribbon to pull it by. */
  readonly pull?: 'ribbon' | undefined;
  /** Section of the rim that is turned in over every wall and the tabs behind it. */
  readonly rim?: string;
}

/** Stages of folding a tray: tabs, the walls that carry them, the other walls, the rims. */
export const trayStages = { tabs: 0, tabbed: 1, plain: 2, rims: 3, end: 4 } as const;

/** The taper of a tab on a wall of this height. */
export function tabTaper(wall: Length): Length {
  return smallest(millimetres(1.5), times(wall, 1 / 8));
}

/** A thumb notch that an edge of this length and depth has room for. */
export function thumbRadius(edge: Length, depth: Length): Length {
  return smallest(millimetres(9), times(edge, 1 / 4), times(depth, 2 / 5));
}

/** The hole for a ribbon that there is room for in a front of this depth and width. */
function pullRadius(wall: Length, across: Length): Length {
  return smallest(millimetres(2), times(wall, 1 / 6), times(across, 1 / 8));
}

/** Card of the tabs that lies on the walls of each direction: one at either end of the pair without tabs. */
export function tabLayers(tabsOn: TabsOn, card: Length): Layers {
  const both = times(card, 2);
  return tabsOn === 'sides' ? { across: zero, deep: both } : { across: both, deep: zero };
}

/** Card that lies inside the walls of each direction: tabs there, and rims on all of them. */
export function insideLayers(tray: Pick<Tray, 'tabsOn' | 'tabsLie' | 'rim'>, card: Length): Layers {
  const tabs = tabLayers(tray.tabsOn, tray.tabsLie === 'inside' ? card : zero);
  const rims = tray.rim === undefined ? zero : times(card, 2);
  return { across: plus(tabs.across, rims), deep: plus(tabs.deep, rims) };
}

/** Card that lies outside the walls of each direction. */
export function outsideLayers(tray: Pick<Tray, 'tabsOn' | 'tabsLie'>, card: Length): Layers {
  return tabLayers(tray.tabsOn, tray.tabsLie === 'outside' ? card : zero);
}

/** Sections that lie before the walls: the rim, where there is one. */
function rimsOf({ rim }: Tray): number {
  return rim === undefined ? 0 : 1;
}

/** The middle of a tray's floor. */
export function trayFloor(tray: Tray): GridSpot {
  return { column: 1.5 + rimsOf(tray), row: 1.5 + rimsOf(tray) };
}

const corners = [
  [0, 0],
  [2, 0],
  [0, 2],
  [2, 2],
] as const;

/** Rims clear one another in the corners of the tray. */
const rimStand = millimetres(1.6);

function rimTaper(cell: Taper['cell'], hinge: Side, rim: Length, edge: Length): Taper {
  const shoulder = smallest(rimStand, times(edge, 1 / 8));
  return {
    cell,
    hinge,
    shoulder,
    inset: plus(shoulder, smallest(times(rim, 1 / 6), times(edge, 1 / 8))),
  };
}

/** The tray as a piece to be cut. */
export function trayTemplate(tray: Tray): PieceTemplate {
  const { wall, floor } = tray;
  const rim = tray.rim === undefined ? [] : [tray.rim];
  return {
    id: tray.id,
    name: tray.name,
    paper: tray.paper,
    copies: tray.copies ?? 1,
    across: [...rim, wall, floor.across, wall, ...rim],
    down: [...rim, wall, floor.deep, wall, ...rim],
    draw: (size) => drawTray(tray, size),
  };
}

function drawTray(tray: Tray, size: SizeOf) {
  const { wall, floor, tabsOn, floorRole } = tray;
  const o = rimsOf(tray);
  const height = size(wall);
  const across = size(floor.across);
  const deep = size(floor.deep);
  const rim = tray.rim === undefined ? [] : [size(tray.rim)];
  const bottom = floorRole === 'floor' ? 'f' : 'l';
  const body = ['twt', `w${bottom}w`, 'twt'];
  const picture =
    o === 0
      ? body
      : ['..r..', ...body.map((row, i) => (i === 1 ? `r${row}r` : `.${row}.`)), '..r..'];
  const onSides = tabsOn === 'sides';
  const through = onSides ? rowScore : columnScore;
  const beside = onSides ? columnScore : rowScore;
  const slit = onSides ? columnSlit : rowSlit;
  const { tabs, tabbed, plain, rims } = trayStages;
  const walls = [1 + o, 2 + o].flatMap((line) => [
    through(line, o, o + 1, valley(90, tabs)),
    through(line, o + 1, o + 2, valley(90, plain)),
    through(line, o + 2, o + 3, valley(90, tabs)),
    slit(line, o, o + 1),
    beside(line, o + 1, o + 2, valley(90, tabbed)),
    slit(line, o + 2, o + 3),
  ]);
  const rimFolds = [1, 4].flatMap((line) => [
    columnScore(line, 2, 3, valley(180, rims)),
    rowScore(line, 2, 3, valley(180, rims)),
  ]);
  const [rimSize] = rim;
  const rimTapers =
    rimSize === undefined
      ? []
      : [
          rimTaper({ column: 0, row: 2 }, 'right', rimSize, deep),
          rimTaper({ column: 4, row: 2 }, 'left', rimSize, deep),
          rimTaper({ column: 2, row: 0 }, 'bottom', rimSize, across),
          rimTaper({ column: 2, row: 4 }, 'top', rimSize, across),
        ];
  return drawGrid({
    columns: [...rim, height, across, height, ...rim],
    rows: [...rim, height, deep, height, ...rim],
    picture,
    lines: [...walls, ...(o === 0 ? [] : rimFolds)],
    tapers: [
      ...corners.map(([column, row]): Taper => ({
        cell: { column: column + o, row: row + o },
        hinge: onSides ? (row === 0 ? 'bottom' : 'top') : column === 0 ? 'right' : 'left',
        inset: tabTaper(height),
      })),
      ...rimTapers,
    ],
    cutouts: [
      ...trimmedTabs(tray, { rim: rimSize ?? zero, wall: height, across, deep }),
      ...thumbNotches(tray, height, across, deep),
      ...pullHoles(tray, { wall: height, across, deep }),
    ],
  });
}

/** Tabs that lie on one wall from both ends may not meet there, nor stand in its notch or behind its hole. */
function longestTab(partner: Length, opening: Length): Length {
  return minus(half(partner), opening, millimetres(0.8));
}

/** Waste at the free ends of tabs that would be too long, in corner cells of this size. */
export function trimmedCorners({
  onSides,
  origin,
  wall,
  across,
  deep,
  most,
}: {
  readonly onSides: boolean;
  readonly origin: Length;
  readonly wall: Length;
  readonly across: Length;
  readonly deep: Length;
  readonly most: Length;
}): readonly Cutout[] {
  if (wall <= most) return [];
  const spare = minus(wall, most);
  return corners.map(([column, row]): Cutout => {
    const left = column === 0 ? origin : plus(origin, wall, across);
    const top = row === 0 ? origin : plus(origin, wall, deep);
    // The free end is the outer one.
    const from = {
      x: !onSides && column === 2 ? plus(left, most) : left,
      y: onSides && row === 2 ? plus(top, most) : top,
    };
    const to = {
      x: plus(from.x, onSides ? wall : spare),
      y: plus(from.y, onSides ? spare : wall),
    };
    return {
      shape: 'trim',
      use: 'tab',
      corners: [from, { x: to.x, y: from.y }, to, { x: from.x, y: to.y }],
    };
  });
}

function trimmedTabs(
  { tabsOn, thumb, pull }: Tray,
  {
    rim,
    wall,
    across,
    deep,
  }: {
    readonly rim: Length;
    readonly wall: Length;
    readonly across: Length;
    readonly deep: Length;
  },
): readonly Cutout[] {
  const onSides = tabsOn === 'sides';
  const opening = largest(
    thumb ? thumbRadius(across, wall) : zero,
    pull ? pullRadius(wall, across) : zero,
  );
  const most = longestTab(onSides ? across : deep, onSides ? opening : zero);
  return trimmedCorners({ onSides, origin: rim, wall, across, deep, most });
}

function thumbNotches(
  { thumb, rim }: Tray,
  wall: Length,
  across: Length,
  deep: Length,
): readonly Cutout[] {
  // A rimmed wall ends in a fold, which holds no notch.
  if (!thumb || rim !== undefined) return [];
  const notch = (edge: 'top' | 'bottom', y: Length): Cutout => ({
    shape: 'notch',
    use: 'thumb notch',
    centre: { x: plus(wall, half(across)), y },
    radius: thumbRadius(across, wall),
    edge,
  });
  const front = notch('bottom', plus(wall, deep, wall));
  return thumb === 'front' ? [front] : [notch('top', zero), front];
}

function pullHoles(
  { pull }: Tray,
  { wall, across, deep }: Readonly<Record<'wall' | 'across' | 'deep', Length>>,
): readonly Cutout[] {
  if (!pull) return [];
  const centre = { x: plus(wall, half(across)), y: plus(wall, deep, half(wall)) };
  return [{ shape: 'hole', use: 'ribbon pull', centre, radius: pullRadius(wall, across) }];
}

/** The tabs of a tray on their walls, and its rims over them. */
export function trayStacks(tray: Tray, part: Pick<Part, 'id'>): readonly Stack[] {
  const o = rimsOf(tray);
  const onSides = tray.tabsOn === 'sides';
  // Spots near the hinges, where no tab is trimmed and no wall is notched.
  const near = (index: number) => (index === 0 ? 0.998 : 2.002) + o;
  const tabSpot = (column: number, row: number) =>
    onSides ? ([column + 0.5 + o, near(row)] as const) : ([near(column), row + 0.5 + o] as const);
  const wallSpot = (column: number, row: number) =>
    onSides ? ([1.5 + o, near(row)] as const) : ([near(column), 1.5 + o] as const);
  const tabs = corners.map(([column, row]) =>
    lies(part.id, { face: tabSpot(column, row), on: wallSpot(column, row), side: tray.tabsLie }),
  );
  if (o === 0) return tabs;
  const rims = [
    [2.5, 0.5],
    [2.5, 4.5],
    [0.5, 2.5],
    [4.5, 2.5],
  ] as const;
  const walls = [
    [2.5, 1.5],
    [2.5, 3.5],
    [1.5, 2.5],
    [3.5, 2.5],
  ] as const;
  return [
    ...tabs,
    ...rims.flatMap((rim, i) => {
      const wall = walls[i] ?? rim;
      const carriesTabs = onSides ? i < 2 : i >= 2;
      const behind = corners.filter(([column, row]) =>
        onSides ? row === (i === 0 ? 0 : 2) : column === (i === 2 ? 0 : 2),
      );
      return [
        lies(part.id, { face: rim, on: wall, side: 'inside' }),
        ...(carriesTabs && tray.tabsLie === 'inside'
          ? behind.map(([column, row]) =>
              lies(part.id, {
                face: rim,
                on: tabSpot(column, row),
                side: 'inside',
                holds: 'rest',
              }),
            )
          : []),
      ];
    }),
  ];
}
