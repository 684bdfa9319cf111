import { tuckGap } from '../gaps/index.ts';
import type { Section } from '../marks/index.ts';
import {
  half,
  inchFraction,
  largest,
  millimetres,
  minus,
  plus,
  smallest,
  times,
  type Length,
} from '../length/index.ts';
import type { Cutout } from '../piece/index.ts';
import type { StyleBrief, StyleFit, StyleSection } from './brief.ts';
import { punchedBorder } from './border.ts';
import { columnSlit, rowScore, valley } from './draw-grid.ts';
import { lies } from './placing.ts';
import { section, type FloorSections } from './sections.ts';
import { thumbRadius } from './tray.ts';
import { flapOf, panels, type EndPlace, type TubeEnd } from './tube.ts';

type Brief = Pick<StyleBrief<unknown>, 'inside' | 'kit' | 'mayBeOblong'>;

/** Room to leave in front of a wall that a flap tucks in behind: the flap and its gap. */
export function tuckRoom(card: Length): Length {
  return plus(card, tuckGap.target);
}

/** A panel that covers the gift's room, between the wall that it hangs on and the flap that it tucks in. */
export function tuckedPanel(brief: Brief, id: string, card: Length): Section {
  const { least, target } = brief.inside.deep;
  return section(brief, id, { least: plus(least, card), target: plus(target, card) });
}

/** The fit of such a panel in what it covers. */
export function tuckFit(piece: string, over: string, panel: string, card: Length): StyleFit {
  return {
    kind: 'tuck',
    outer: piece,
    inner: piece,
    direction: 'deep',
    outerSection: over,
    innerSection: panel,
    layers: card,
    gap: tuckGap,
  };
}

/** A shorter flap doesn't hold. */
export const leastTuck = millimetres(5);

/** A flap that tucks in behind a wall: long enough to hold and no longer than the room that it has there. */
export function tuckFlap(
  brief: Brief,
  id: string,
  wall: Length,
  room: Length = wall,
): StyleSection {
  const wanted = smallest(millimetres(18), largest(smallest(times(wall, 0.6), room), leastTuck));
  const scant = times(wanted, 2 / 3);
  return {
    ...section(brief, id, {
      least: largest(scant, smallest(wanted, inchFraction(1, 2))),
      target: wanted,
      weight: 0.1,
    }),
    scant,
    most: largest(wanted, smallest(plus(wanted, millimetres(6)), room)),
  };
}

/** So near its hinge, counted in its row, nothing of a flap is trimmed, however short it is. */
const besideHinge = 1e-3;

/** How long dust flaps may be that lie under a lid of this depth between sides so far apart. */
function dustLength(lid: Length, apart: Length): Length {
  return smallest(times(lid, 0.6), minus(half(apart), millimetres(1)), millimetres(28));
}

/** Waste beyond a flap's length in a row that is deeper. */
function trimmedTo(panel: number, place: EndPlace, length: Length): Cutout {
  const free = plus(place.y(0), times(length, place.outward));
  const [left, right, end] = [place.x(panel), place.x(panel + 1), place.y(1)];
  return {
    shape: 'trim',
    use: 'flap',
    corners: [
      { x: left, y: end },
      { x: right, y: end },
      { x: right, y: free },
      { x: left, y: free },
    ],
  };
}

/** Both free corners of the flap in a panel's column rounded, as far as its row goes. */
export function roundedFlap(
  panel: number,
  place: EndPlace,
  {
    outward,
    along,
    down,
    stand,
  }: {
    readonly outward: number;
    readonly along: Length;
    readonly down: Length;
    readonly stand: Length;
  },
): readonly Cutout[] {
  const y = place.y(outward + 1);
  const back = times(down, -place.outward);
  return [
    {
      shape: 'corner',
      use: 'flap',
      at: { x: plus(place.x(panel), stand), y },
      along,
      down: back,
    },
    {
      shape: 'corner',
      use: 'flap',
      at: { x: minus(place.x(panel + 1), stand), y },
      along: times(along, -1),
      down: back,
    },
  ];
}

interface TuckedEnd {
  /** Sections of the lid and of the flap that tucks in. */
  readonly lid: string;
  readonly tuck: string;
  readonly floor: FloorSections;
  readonly wall: string;
  readonly begins: number;
  /** The panel that the lid hangs on. */
  readonly on: 'back' | 'front';
  readonly thumb: boolean;
  /** Whether the wall that the flap tucks behind goes on upwards, to hang the box by. */
  readonly hangs?: boolean;
}

/** How far a hanging tab rises over the box, out of a row of this depth. */
function hangHeight(row: Length): Length {
  return smallest(millimetres(30), times(row, 0.9));
}

/** A hanging tab cut out of the row over a wall: bevelled at the top, with a hole to hang it by. */
function hangTab(panel: number, place: EndPlace, row: Length, apart: Length): readonly Cutout[] {
  const high = hangHeight(row);
  const bevel = smallest(times(high, 0.4), times(apart, 0.25));
  const [left, right, end] = [place.x(panel), place.x(panel + 1), place.y(1)];
  const at = (up: Length) => plus(place.y(0), times(up, place.outward));
  const [free, shoulder] = [at(high), at(minus(high, bevel))];
  return [
    {
      shape: 'trim',
      use: 'hang tab',
      corners: [
        { x: left, y: end },
        { x: right, y: end },
        { x: right, y: shoulder },
        { x: minus(right, bevel), y: free },
        { x: plus(left, bevel), y: free },
        { x: left, y: shoulder },
      ],
    },
    {
      shape: 'hole',
      use: 'hanging hole',
      centre: { x: plus(left, half(minus(right, left))), y: at(times(high, 0.6)) },
      radius: smallest(millimetres(3), times(high, 0.2), times(apart, 0.12)),
    },
  ];
}

/** An end closed by a lid that tucks in over two dust flaps. */
export function tuckedEnd(end: TuckedEnd): TubeEnd {
  const { lid, tuck, floor, wall, begins, on, thumb, hangs = false } = end;
  const hung = panels[on];
  const facing = panels[on === 'back' ? 'front' : 'back'];
  const cells = (roles: Partial<Record<number, string>>) =>
    [0, 1, 2, 3, 4].map((panel) => roles[panel] ?? '.').join('');
  return {
    rows: [lid, tuck],
    picture: [
      cells({ 0: 'p', 2: 'p', [hung]: 'l', ...(hangs && { [facing]: 'w' }) }),
      cells({ [hung]: 'p' }),
    ],
    draw: (place, size) => {
      const apart = size(floor.across);
      const dust = dustLength(size(lid), apart);
      const round = smallest(times(size(tuck), 0.6), times(apart, 0.25));
      const stand = smallest(millimetres(0.8), times(apart, 1 / 20));
      const x = plus(place.x(facing), half(apart));
      return {
        lines: [
          columnSlit(Math.max(hung, 1), place.row(0), place.row(0) + 1),
          ...(hung === panels.front ? [columnSlit(2, place.row(0), place.row(0) + 1)] : []),
          ...(hangs ? [columnSlit(facing, place.row(0), place.row(0) + 1)] : []),
          rowScore(place.line(0), panels.right, panels.right + 1, valley(90, begins)),
          rowScore(place.line(0), panels.left, panels.left + 1, valley(90, begins)),
          rowScore(place.line(1), hung, hung + 1, valley(90, begins)),
          rowScore(place.line(0), hung, hung + 1, valley(90, begins + 1)),
        ],
        tapers: [
          flapOf(panels.right, place, size(floor.deep)),
          flapOf(panels.left, place, size(floor.deep)),
          {
            cell: { column: hung, row: place.row(1) },
            hinge: place.hinge,
            inset: stand,
            shoulder: stand,
          },
        ],
        cutouts: [
          ...[panels.right, panels.left].map((panel) => trimmedTo(panel, place, dust)),
          ...roundedFlap(hung, place, { outward: 1, along: round, down: round, stand }),
          ...(hangs ? hangTab(facing, place, size(lid), apart) : []),
          ...(thumb && !hangs
            ? [
                {
                  shape: 'notch',
                  use: 'thumb notch',
                  centre: { x, y: place.y(0) },
                  radius: thumbRadius(apart, size(wall)),
                  edge: place.outward < 0 ? 'top' : 'bottom',
                } as const,
              ]
            : []),
        ],
      };
    },
    stacks: (part, place) => {
      const dust = (panel: number) => {
        const near =
          place.row(0) < place.row(1) ? place.row(0) + besideHinge : place.row(0) + 1 - besideHinge;
        return [panel + 0.5, near] as const;
      };
      const cover = [hung + 0.5, place.row(0) + 0.5] as const;
      const wallRow = place.row(0) < place.row(1) ? place.row(0) - 0.95 : place.row(0) + 1.95;
      return [
        lies(part, {
          face: dust(panels.right),
          on: cover,
          side: 'inside',
          holds: 'tuck',
        }),
        lies(part, {
          face: dust(panels.left),
          on: cover,
          side: 'inside',
          holds: 'tuck',
        }),
        lies(part, {
          face: [hung + 0.5, place.row(1) + 0.5],
          on: [facing + 0.1, wallRow],
          side: 'inside',
          holds: 'tuck',
        }),
      ];
    },
  };
}

/** An end closed by two shaped flaps, one over the other, over two dust flaps. */
export function overlappedEnd(
  flap: string,
  floor: FloorSections,
  begins: number,
  shape: 'round' | 'pointed' | 'straight' | { readonly border: Length },
): TubeEnd {
  return {
    rows: [flap],
    picture: ['pppp.'],
    draw: (place, size) => {
      const apart = size(floor.across);
      const dust = dustLength(size(floor.deep), apart);
      const stand = smallest(millimetres(0.4), times(apart, 1 / 20));
      const free = times(size(flap), 0.45);
      const wide = minus(half(apart), stand);
      const shaped = (panel: number): readonly Cutout[] => {
        if (shape === 'straight') return [];
        if (typeof shape === 'object')
          return punchedBorder({
            from: plus(place.x(panel), stand),
            to: minus(place.x(panel + 1), stand),
            y: place.y(1),
            edge: place.outward > 0 ? 'bottom' : 'top',
            repeat: shape.border,
          });
        if (shape === 'round')
          return roundedFlap(panel, place, { outward: 0, along: wide, down: free, stand });
        const y = place.y(1);
        const back = plus(y, times(free, -place.outward));
        const middle = plus(place.x(panel), half(apart));
        return [plus(place.x(panel), stand), minus(place.x(panel + 1), stand)].map((x) => ({
          shape: 'trim',
          use: 'flap',
          corners: [
            { x, y },
            { x: middle, y },
            { x, y: back },
          ],
        }));
      };
      const stages = [begins, begins + 2, begins, begins + 1];
      return {
        lines: [
          ...[1, 2, 3].map((column) => columnSlit(column, place.row(0), place.row(0) + 1)),
          ...stages.map((stage, panel) =>
            rowScore(place.line(0), panel, panel + 1, valley(90, stage)),
          ),
        ],
        tapers: [0, 1, 2, 3].map((panel) =>
          panel % 2 === 0
            ? flapOf(panel, place, size(floor.deep))
            : {
                cell: { column: panel, row: place.row(0) },
                hinge: place.hinge,
                inset: stand,
                shoulder: stand,
              },
        ),
        cutouts: [
          ...[panels.right, panels.left].map((panel) => trimmedTo(panel, place, dust)),
          ...shaped(panels.back),
          ...shaped(panels.front),
        ],
      };
    },
    stacks: (part, place) => {
      const near = (panel: number) =>
        [panel + 0.5, place.row(0) === 0 ? 1 - besideHinge : place.row(0) + besideHinge] as const;
      return [
        lies(part, {
          face: near(panels.right),
          on: near(panels.back),
          side: 'inside',
          holds: 'rest',
        }),
        lies(part, {
          face: near(panels.left),
          on: near(panels.back),
          side: 'inside',
          holds: 'rest',
        }),
        lies(part, {
          face: near(panels.front),
          on: near(panels.back),
          side: 'outside',
          holds: 'tuck',
        }),
      ];
    },
  };
}
