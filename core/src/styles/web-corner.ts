import { z } from 'zod';
import { wallFor } from '../gaps/index.ts';
import type { Section } from '../marks/index.ts';
import { vector } from '../fold/index.ts';
import {
  columnScore,
  drawGrid,
  hookReach,
  hookSlits,
  hookStack,
  floorSections,
  leastWall,
  roomOf,
  rowScore,
  section,
  sitting,
  valley,
  webCreases,
  webStacks,
  webStand,
  webTrims,
  trayInside,
  type StyleAnswer,
  type FloorSections,
  type SizeOf,
  type StyleBrief,
  type Web,
  type WebsOn,
} from '../forms/index.ts';
import {
  absolute,
  formatWithUnit,
  hair,
  half,
  largest,
  millimetres,
  minus,
  plus,
  roundUp,
  smallest,
  times,
  toMillimetres,
  zero,
  type Length,
} from '../length/index.ts';
import { paperFor } from '../paper/index.ts';
import type { Cutout } from '../piece/index.ts';
import type { CornerBoard, NamedMark } from '../tools/index.ts';
import { defineStyle } from './define-style.ts';
import { oneOf } from './options.ts';

/** What is folded or put together when, counted over the whole box. */
const stages = { walls: 0, gift: 2 } as const;

const options = z.object({
  corners: oneOf('Corners lie', ['inside', 'outside']),
  closing: oneOf('Closing', ['ribbon holes', 'hooks', 'open']),
});

/** How large a ribbon hole there is room for in a wall. */
function ribbonRadius(wall: Length, across: Length): Length {
  return smallest(millimetres(2), times(wall, 1 / 6), times(across, 1 / 8));
}

/** Holes for a ribbon near the upper edge of the front and the back. */
function ribbonHoles(wall: Length, across: Length, deep: Length): readonly Cutout[] {
  const radius = ribbonRadius(wall, across);
  const down = smallest(millimetres(6), half(wall));
  const x = plus(wall, half(across));
  return [down, minus(plus(wall, deep, wall), down)].map((y) => ({
    shape: 'hole',
    use: 'ribbon',
    centre: { x, y },
    radius,
  }));
}

interface Hooked {
  readonly wall: string;
  readonly floor: FloorSections;
  readonly on: WebsOn;
  readonly lieOn: string;
}

/** How far along their wall the corners reach, from its end: no ribbon hole lies behind one. */
function longestWeb(
  size: SizeOf,
  { wall, lieOn, on }: Hooked,
  closing: z.infer<typeof options>['closing'],
): Length {
  // Hooked corners may reach over the whole wall, others to its middle.
  if (closing === 'hooks') return minus(size(lieOn), webStand);
  const hole =
    closing === 'ribbon holes' && on === 'front and back'
      ? ribbonRadius(size(wall), size(lieOn))
      : zero;
  return minus(half(size(lieOn)), hole, webStand);
}

/** The slits of all four corners: on each wall one from the edge of its corner, and one from the fold. */
function hooks(size: SizeOf, { wall, floor, on, lieOn }: Hooked): readonly Cutout[] {
  const high = size(wall);
  const width = plus(high, size(floor.across), high);
  const height = plus(high, size(floor.deep), high);
  return [true, false].flatMap((isLeft) =>
    [true, false].flatMap((isTop) =>
      hookSlits(
        (on === 'sides' ? isTop : isLeft) ? 'from the edge' : 'from the fold',
        high,
        size(lieOn),
        (across, down) => ({
          x: isLeft ? across : minus(width, across),
          y: isTop ? down : minus(height, down),
        }),
      ),
    ),
  );
}

/** The corners that lie on one wall, two by two: the one with its slits from the edge lies under the other. */
function hookedPairs(webs: readonly Web[]): readonly { readonly over: Web; readonly under: Web }[] {
  return webs.flatMap((under) =>
    webs
      .filter((over) =>
        under.on === 'sides'
          ? under.cell.row < over.cell.row && under.cell.column === over.cell.column
          : under.cell.column < over.cell.column && under.cell.row === over.cell.row,
      )
      .map((over) => ({ over, under })),
  );
}

/** The mark of a corner board for a wall: the nearest to what is wanted of those that are high enough. */
function markFor({ marks }: CornerBoard, { least, target }: Section): NamedMark | undefined {
  const off = ({ at }: NamedMark) => absolute(minus(at, target));
  return marks.filter(({ at }) => at >= minus(least, hair)).sort((a, b) => off(a) - off(b))[0];
}

function noMark({ marks, unit }: CornerBoard, wall: Section, high: Length): StyleAnswer {
  const last = marks[marks.length - 1]?.at ?? zero;
  const nearest = minus(high, minus(wall.least, last));
  return {
    ok: false,
    refusal: {
      field: 'gift.high',
      message: `The last mark of this corner board makes walls of ${formatWithUnit(last, unit)}, and this gift needs ${formatWithUnit(wall.least, unit)}.`,
      ...(nearest > 0 && { nearest }),
    },
  };
}

/** Puts it round the gift, or says why it can’t be. */
export function answer(brief: StyleBrief<z.infer<typeof options>>): StyleAnswer {
  const { corners, closing } = brief.options;
  const card = paperFor(brief.papers, 0).thickness;
  const { across, deep, high } = brief.inside;
  const isHooked = closing === 'hooks';
  const isWide = across.target > deep.target;
  // Corners that hook into each other meet on the shorter pair of walls; others have more room on the longer.
  const on = isWide === isHooked ? 'sides' : 'front and back';
  const needed = (depth: Length) => largest(wallFor(depth, card), leastWall);
  const board = brief.kit.cornerBoard;
  const freeWall = section(brief, 'wall', {
    least: needed(high.least),
    target: needed(high.target),
  });
  const mark = board && markFor(board, freeWall);
  if (board && !mark) return noMark(board, freeWall, brief.gift.high);
  const wall = mark ? { ...freeWall, least: mark.at, target: mark.at, most: mark.at } : freeWall;
  // A folded corner is two layers thick, and where two hook into each other they lie on one another.
  const folded = corners === 'inside' ? times(card, isHooked ? 8 : 4) : zero;
  const layers = on === 'sides' ? { across: folded, deep: zero } : { across: zero, deep: folded };
  const floor = floorSections(brief, 'box', card, layers);
  const webs = [0, 2].flatMap((column) =>
    [0, 2].map((row): Web => ({
      cell: { column, row },
      floor: { column: column === 0 ? 1 : 2, row: row === 0 ? 1 : 2 },
      on,
      lie: corners,
      lays: 1,
    })),
  );
  const creases = webs.map(webCreases);
  const lieOn = on === 'sides' ? floor.deep : floor.across;
  const hooked: Hooked = { wall: wall.id, floor, on, lieOn };
  const lieOnWanted = floor.byDirection[on === 'sides' ? 'deep' : 'across'].target;
  const leastHooked = plus(half(lieOnWanted), hookReach);
  if (isHooked && wall.target < leastHooked) {
    const nearest = plus(brief.gift.high, minus(leastHooked, wall.target));
    return {
      ok: false,
      refusal: {
        field: 'style.options.closing',
        message: `The corners are too short to hook into each other: the walls would have to be ${formatWithUnit(roundUp(leastHooked, brief.kit.trimmer.step), brief.kit.trimmer.unit)} high, half of the side and a little more. They do for a gift from ${formatWithUnit(roundUp(nearest, brief.kit.trimmer.step), brief.kit.trimmer.unit)} high.`,
      },
    };
  }
  const part = sitting({
    id: 'box',
    root: { column: 1.5, row: 1.5 },
    at: vector(0, 0, -toMillimetres(card) / 2),
  });
  return {
    ok: true,
    frame: {
      sections: [wall, ...floor.sections],
      pieces: [
        {
          id: 'box',
          name: 'Box',
          paper: 0,
          copies: 1,
          ...(mark && { punchBoard: 'corner' as const }),
          across: [wall.id, floor.across, wall.id],
          down: [wall.id, floor.deep, wall.id],
          draw: (size) =>
            drawGrid({
              columns: [wall.id, floor.across, wall.id].map(size),
              rows: [wall.id, floor.deep, wall.id].map(size),
              picture: ['gwg', 'wfw', 'gwg'],
              lines: [
                ...[1, 2].flatMap((line) => [
                  columnScore(line, 1, 2, valley(90, stages.walls)),
                  rowScore(line, 1, 2, valley(90, stages.walls)),
                ]),
                ...creases.flatMap(({ lines }) => lines),
              ],
              diagonals: creases.map(({ diagonal }) => diagonal),
              cutouts: [
                ...webTrims(
                  { x: zero, y: zero },
                  size(wall.id),
                  { x: size(floor.across), y: size(floor.deep) },
                  longestWeb(size, hooked, closing),
                ),
                ...(closing === 'ribbon holes'
                  ? ribbonHoles(size(wall.id), size(floor.across), size(floor.deep))
                  : []),
                ...(isHooked ? hooks(size, hooked) : []),
              ],
            }),
        },
      ],
      fits: [],
      // Wherever the marks fall, the corners cross by so much.
      smaller: isHooked
        ? [{ less: lieOn, more: wall.id, moreTimes: 2, by: times(hookReach, 1.5) }]
        : [],
      settle: (size) => {
        const inside = trayInside({ floor, wall, card, layers }, size);
        return {
          clearInside: inside,
          assembly: {
            parts: [part],
            stacks: [
              ...webs.flatMap((web) => webStacks('box', web)),
              ...(isHooked ? hookedPairs(webs).map((pair) => hookStack('box', pair)) : []),
            ],
            cavity: roomOf(inside),
            giftEnters: stages.gift,
          },
        };
      },
    },
  };
}

/** A tray whose corners are folded and not slit. */
export const webCorner = defineStyle({
  id: 'web-corner',
  name: 'Web-corner box',
  about: 'An open tray with whole corners folded flat: nothing is slit',
  papers: ['Box'],
  options,
  punchBoard: 'corner',
  usual: { corners: 'inside', closing: 'ribbon holes' },
  traits: () => ({ opensFromTop: true, showsGift: true }),
});
