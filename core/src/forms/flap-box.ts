import { clearInside } from '../gaps/index.ts';
import { vector, type Stack } from '../fold/index.ts';
import {
  half,
  largest,
  millimetres,
  minus,
  plus,
  smallest,
  times,
  toMillimetres,
  zero,
  type Length,
} from '../length/index.ts';
import { paperFor, type Papers } from '../paper/index.ts';
import { gridPositions, type Cutout, type Taper } from '../piece/index.ts';
import type { SizeOf, StyleBrief, StyleFrame } from './brief.ts';
import { leastTuck, tuckedPanel, tuckFit, tuckFlap, tuckRoom } from './closing.ts';
import { depthOf } from './depth.ts';
import { columnScore, drawGrid, rowScore, rowSlit, valley } from './draw-grid.ts';
import { roomOf } from './gift-tray.ts';
import { lies, sitting } from './placing.ts';
import { floorSections, leastWall, section, wideEnoughForTabs } from './sections.ts';
import { tabTaper, thumbRadius, trimmedCorners } from './tray.ts';
import { webCreases, webStacks, webStand, webTrims, type Web } from './web.ts';

type Brief = Pick<StyleBrief<unknown>, 'inside' | 'kit' | 'mayBeOblong'> & {
  readonly papers: Papers;
};

interface FlapBox {
  readonly id: string;
  readonly name: string;
  /** Corners held by glued tabs, or left whole and folded. */
  readonly corners: 'tabs' | 'webs';
  readonly roundedFlap: boolean;
  /** Whether the ends of the flap's fold are slit, so that it snaps in behind the ears. */
  readonly lockingEars: boolean;
  readonly thumbNotch: boolean;
}

/** Stages: tabs, walls, side walls or webs, the gift, ears and flap, the lid. */
const stages = { tabs: 0, walls: 1, sides: 2, gift: 3, ears: 4, lid: 5 } as const;

/** Height of the side walls' room that the ears of the lid reach down. */
function earLength(wall: Length): Length {
  return smallest(times(wall, 0.7), millimetres(24));
}

function websOf(): readonly Web[] {
  return [0, 2].flatMap((column) =>
    [2, 4].map((row): Web => ({
      cell: { column, row },
      floor: { column: column === 0 ? 1 : 2, row: row === 2 ? 3 : 4 },
      on: 'sides',
      lie: 'inside',
      lays: stages.sides,
    })),
  );
}

/** The wall that such a box has round the gift. */
function flapBoxWall(brief: Brief, id: string) {
  const card = paperFor(brief.papers, 0).thickness;
  const { high } = brief.inside;
  // Half the floor's card below its line, half the lid's above the room.
  const needed = (clear: Length) => largest(plus(clear, card), leastWall);
  return section(brief, `${id} wall`, { least: needed(high.least), target: needed(high.target) });
}

/**
 * One piece: front, floor, back, lid and a flap that tucks in behind the front, with ears on the lid and
 * walls at the sides.
 */
export function flapBox(asked: Brief, box: FlapBox): StyleFrame {
  const { id, corners } = box;
  const brief = corners === 'tabs' ? wideEnoughForTabs(asked, 'deep') : asked;
  const card = paperFor(brief.papers, 0).thickness;
  const wall = flapBoxWall(brief, id);
  // Inside the side walls lie tabs or doubled webs, and the ears.
  const layers = {
    across: times(card, corners === 'tabs' ? 4 : 6),
    deep: tuckRoom(card),
  };
  const floor = floorSections(brief, id, card, layers);
  const lid = tuckedPanel(brief, `${id} lid`, card);
  const tuck = tuckFlap(brief, `${id} tuck`, times(wall.least, 0.8));
  const webs = corners === 'webs' ? websOf() : [];
  const across = [wall.id, floor.across, wall.id];
  const down = [tuck.id, lid.id, wall.id, floor.deep, wall.id];
  return {
    sections: [wall, ...floor.sections, lid, tuck],
    pieces: [
      {
        id,
        name: box.name,
        paper: 0,
        copies: 1,
        across,
        down,
        draw: (size) => drawFlapBox(box, across, down, webs, card, size),
      },
    ],
    fits: [tuckFit(id, floor.deep, lid.id, card)],
    smaller: [],
    depths: [depthOf('tuck', tuck.id, { least: leastTuck, most: times(wall.least, 0.8) })],
    settle: (size) => {
      const inside = {
        across: clearInside(size(floor.across), card, layers.across),
        deep: minus(size(lid.id), card),
        high: minus(size(wall.id), card),
      };
      const aside = toMillimetres(minus(size(lid.id), size(floor.deep))) / 2;
      return {
        clearInside: inside,
        assembly: {
          parts: [
            sitting({
              id,
              root: { column: 1.5, row: 3.5 },
              at: vector(0, aside, -toMillimetres(card) / 2),
            }),
          ],
          stacks: [
            ...(corners === 'tabs' ? tabStacks(id) : webs.flatMap((web) => webStacks(id, web))),
            ...earStacks(box, webs),
            lies(id, {
              face: [1.5, 0.9],
              on: [1.1, 4.05],
              side: 'inside',
              holds: 'tuck',
            }),
          ],
          cavity: roomOf(inside),
          giftEnters: stages.gift,
        },
      };
    },
  };
}

function drawFlapBox(
  { corners, roundedFlap, lockingEars, thumbNotch }: FlapBox,
  acrossIds: readonly string[],
  downIds: readonly string[],
  webs: readonly Web[],
  card: Length,
  size: SizeOf,
) {
  const columns = acrossIds.map(size);
  const rows = downIds.map(size);
  const [wall = zero, across = zero] = columns;
  const [tuck = zero, lid = zero, , deep = zero] = rows;
  const xs = gridPositions(columns);
  const ys = gridPositions(rows);
  const corner = corners === 'tabs' ? 't' : 'g';
  const tabbed = corners === 'tabs';
  const creases = webs.map(webCreases);
  const tabs = tabbed
    ? [2, 4].flatMap((row) => [
        ...[1, 2].map((line) => columnScore(line, row, row + 1, valley(90, stages.tabs))),
      ])
    : [];
  const slits = tabbed ? [3, 4].flatMap((line) => [rowSlit(line, 0, 1), rowSlit(line, 2, 3)]) : [];
  const sides = tabbed ? stages.sides : stages.walls;
  const narrow = smallest(millimetres(0.8), times(across, 1 / 20));
  // Beside the flap stand the doubled webs.
  const stand = tabbed ? narrow : largest(narrow, smallest(times(card, 2.5), times(across, 1 / 4)));
  const round = smallest(times(tuck, 0.7), times(across, 0.25));
  return drawGrid({
    columns,
    rows,
    picture: ['.p.', 'plp', `${corner}w${corner}`, 'wfw', `${corner}w${corner}`],
    lines: [
      ...tabs,
      ...slits,
      rowSlit(2, 0, 1),
      rowSlit(2, 2, 3),
      ...[1, 2].flatMap((line) => [
        columnScore(line, 1, 2, valley(90, stages.ears)),
        columnScore(line, 3, 4, valley(90, sides)),
      ]),
      rowScore(1, 1, 2, valley(90, stages.ears)),
      rowScore(2, 1, 2, valley(90, stages.lid)),
      rowScore(3, 1, 2, valley(90, stages.walls)),
      rowScore(4, 1, 2, valley(90, stages.walls)),
      ...creases.flatMap(({ lines }) => lines),
    ],
    diagonals: creases.map(({ diagonal }) => diagonal),
    tapers: [
      ...(tabbed
        ? [0, 2].flatMap((column) =>
            [2, 4].map((row): Taper => ({
              cell: { column, row },
              hinge: column === 0 ? 'right' : 'left',
              inset: tabTaper(wall),
            })),
          )
        : []),
      ...[0, 2].map((column): Taper => ({
        cell: { column, row: 1 },
        hinge: column === 0 ? 'right' : 'left',
        shoulder: smallest(millimetres(1.2), times(lid, 1 / 12)),
        inset: smallest(millimetres(5), times(lid, 1 / 6)),
      })),
      { cell: { column: 1, row: 0 }, hinge: 'bottom', inset: stand, shoulder: stand },
    ],
    cutouts: [
      ...(tabbed
        ? tabTrims(plus(tuck, lid), wall, across, deep)
        : webTrims(
            { x: zero, y: plus(tuck, lid) },
            wall,
            { x: across, y: deep },
            minus(half(deep), webStand),
          )),
      ...earTrims(xs, ys, earLength(wall)),
      ...(roundedFlap ? roundCorners(xs, stand, round) : []),
      ...(lockingEars ? lockSlits(xs, tuck, stand) : []),
      ...(thumbNotch
        ? [
            {
              shape: 'notch',
              use: 'thumb notch',
              centre: { x: plus(wall, half(across)), y: ys[5] ?? zero },
              radius: thumbRadius(across, wall),
              edge: 'bottom',
            } as const,
          ]
        : []),
    ],
  });
}

/** Tabs may not meet in the middle of the side wall. */
function tabTrims(above: Length, wall: Length, across: Length, deep: Length): readonly Cutout[] {
  const most = minus(half(deep), millimetres(0.8));
  return trimmedCorners({ onSides: false, origin: zero, wall, across, deep, most }).map((cutout) =>
    cutout.shape === 'trim'
      ? { ...cutout, corners: cutout.corners.map(({ x, y }) => ({ x, y: plus(y, above) })) }
      : cutout,
  );
}

/** What is cut off the ears so that they end above the floor. */
function earTrims(xs: readonly Length[], ys: readonly Length[], ear: Length): readonly Cutout[] {
  const [left = zero, one = zero, two = zero, right = zero] = xs;
  const [, top = zero, bottom = zero] = ys;
  const box = (from: Length, to: Length): Cutout => ({
    shape: 'trim',
    use: 'ear',
    corners: [
      { x: from, y: top },
      { x: to, y: top },
      { x: to, y: bottom },
      { x: from, y: bottom },
    ],
  });
  return [box(left, minus(one, ear)), box(plus(two, ear), right)];
}

function roundCorners(xs: readonly Length[], stand: Length, round: Length): readonly Cutout[] {
  const [, left = zero, right = zero] = xs;
  const corner = (x: Length, along: Length): Cutout => ({
    shape: 'corner',
    use: 'flap',
    at: { x, y: zero },
    along,
    down: round,
  });
  return [corner(plus(left, stand), round), corner(minus(right, stand), times(round, -1))];
}

/** Slits along both ends of the fold between lid and flap: the ears' edges catch in them. */
function lockSlits(xs: readonly Length[], fold: Length, stand: Length): readonly Cutout[] {
  const [, left = zero, right = zero] = xs;
  const long = plus(stand, smallest(millimetres(6), times(minus(right, left), 1 / 8)));
  const slit = (from: Length, to: Length): Cutout => ({
    shape: 'trim',
    use: 'lock slit',
    corners: [
      { x: from, y: minus(fold, millimetres(0.5)) },
      { x: to, y: minus(fold, millimetres(0.5)) },
      { x: to, y: fold },
      { x: from, y: fold },
    ],
  });
  return [slit(left, plus(left, long)), slit(minus(right, long), right)];
}

function tabStacks(id: string): readonly Stack[] {
  const near = (column: number) => (column === 0 ? 0.99 : 2.01);
  return [0, 2].flatMap((column) =>
    [2, 4].map((row) =>
      lies(id, { face: [near(column), row + 0.5], on: [near(column), 3.5], side: 'inside' }),
    ),
  );
}

function earStacks({ id, corners }: FlapBox, webs: readonly Web[]): readonly Stack[] {
  const near = (column: number) => (column === 0 ? 0.99 : 2.01);
  return [0, 2].flatMap((column) => {
    const ear = [near(column), 1.5] as const;
    const beneath =
      corners === 'tabs'
        ? [2, 4].map((row) =>
            lies(id, {
              face: ear,
              on: [near(column), row + 0.5],
              side: 'inside',
              holds: 'rest',
            }),
          )
        : webs
            .filter(({ cell }) => cell.column === column)
            .map(({ cell, floor }) => {
              const upper = [
                floor.column + (cell.column === floor.column ? 0.005 : -0.005),
                floor.row + (cell.row === floor.row ? 0.01 : -0.01),
              ] as const;
              return lies(id, { face: ear, on: upper, side: 'inside', holds: 'rest' });
            });
    return [
      lies(id, { face: ear, on: [near(column), 3.5], side: 'inside', holds: 'tuck' }),
      ...beneath,
    ];
  });
}
