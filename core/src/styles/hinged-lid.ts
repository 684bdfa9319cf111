import { z } from 'zod';
import { clearDepth, clearInside, wallFor, type Section } from '../fit/index.ts';
import { vector } from '../fold/index.ts';
import {
  columnScore,
  columnSlit,
  drawGrid,
  floorSections,
  leastWall,
  lidWallTarget,
  lies,
  marksWindow,
  roomOf,
  rowScore,
  rowSlit,
  section,
  sectionsOver,
  sitting,
  tabLayers,
  tabTaper,
  thumbRadius,
  valley,
  type SizeOf,
  type StyleAnswer,
  type StyleBrief,
} from '../forms/index.ts';
import {
  half,
  largest,
  millimetres,
  minus,
  plus,
  roundToGrid,
  roundUp,
  smallest,
  times,
  toMillimetres,
  zero,
  type Length,
  type Tolerance,
} from '../length/index.ts';
import { paperFor } from '../paper/index.ts';
import type { Cutout, Spot } from '../piece/index.ts';
import { defineStyle } from './define-style.ts';
import { oneOf, whether } from './options.ts';

const options = z.object({
  lidDepth: oneOf('Lid', ['shallow', 'half']),
  thumbNotch: whether('Thumb notch'),
});

/** A hinged lid can't fall off, so it may clear the sides by more than one that is put on. */
const sidesGap: Tolerance = {
  least: millimetres(0.3),
  target: millimetres(1.2),
  most: millimetres(3.4),
};
const frontGap: Tolerance = {
  least: millimetres(0.15),
  target: millimetres(0.6),
  most: millimetres(1.8),
};

/** The step from the base's side walls out to the lid's, on the trimmer's marks: never too tight. */
function stepFor(over: Length, mark: Length): Length {
  const least = roundUp(half(plus(over, sidesGap.least)), mark);
  return largest(least, roundToGrid(half(plus(over, sidesGap.target)), mark));
}

const stages = { tabs: 0, sides: 1, fronts: 2, gift: 3, lid: 4 } as const;

/** A corner tab by its hinge and its free end: two wedges and what would be too long. */
interface Tab {
  readonly left: Length;
  readonly right: Length;
  readonly hinge: Length;
  readonly free: Length;
}

function tabCutouts({ left, right, hinge, free }: Tab, longest: Length): readonly Cutout[] {
  const inset = tabTaper(minus(right, left));
  const away = free > hinge ? 1 : -1;
  const length = times(minus(free, hinge), away);
  const at = (x: Length, y: Length): Spot => ({ x, y });
  const wedge = (x: Length, inward: Length): Cutout => ({
    shape: 'trim',
    use: 'tab',
    corners: [at(x, hinge), at(x, free), at(plus(x, inward), free)],
  });
  const wedges = [wedge(left, inset), wedge(right, times(inset, -1))];
  if (length <= longest) return wedges;
  const end = plus(hinge, times(longest, away));
  return [
    ...wedges,
    {
      shape: 'trim',
      use: 'tab',
      corners: [at(left, end), at(right, end), at(right, free), at(left, free)],
    },
  ];
}

interface Ids {
  readonly wall: string;
  readonly across: string;
  readonly deep: string;
  /** How far the lid's side walls stand outside the base's, fold to fold. */
  readonly step: Length;
  readonly lidDeep: string;
  readonly lidWall: string;
  readonly spine: string;
}

function drawHinged(ids: Ids, size: SizeOf, thumbNotch: boolean) {
  const wall = size(ids.wall);
  const { step } = ids;
  const side = minus(wall, step);
  const across = size(ids.across);
  const lidWall = size(ids.lidWall);
  const columns = [side, step, across, step, side];
  const rows = [lidWall, size(ids.lidDeep), size(ids.spine), size(ids.deep), wall];
  const whole = plus(...columns);
  const y = (line: number) => plus(zero, ...rows.slice(0, line));
  const radius = smallest(thumbRadius(across, lidWall), times(across, 1 / 8));
  const longest = minus(half(across), thumbNotch ? radius : zero, millimetres(0.8));
  const spare = minus(side, lidWall);
  const mirrored = (left: Length, right: Length) => [
    { left, right },
    { left: minus(whole, right), right: minus(whole, left) },
  ];
  const tabs: readonly Tab[] = [
    ...mirrored(spare, side).map((x) => ({ ...x, hinge: y(1), free: y(0) })),
    ...mirrored(zero, wall).map((x) => ({ ...x, hinge: y(3), free: y(2) })),
    ...mirrored(zero, wall).map((x) => ({ ...x, hinge: y(4), free: y(5) })),
  ];
  // The lid's side walls are no deeper than its front.
  const strips =
    spare === 0
      ? []
      : mirrored(zero, spare).map(({ left, right }): Cutout => ({
          shape: 'trim',
          use: 'lid',
          corners: [
            { x: left, y: zero },
            { x: right, y: zero },
            { x: right, y: y(2) },
            { x: left, y: y(2) },
          ],
        }));
  const notch: readonly Cutout[] = thumbNotch
    ? [
        {
          shape: 'notch',
          use: 'thumb notch',
          centre: { x: half(whole), y: zero },
          radius,
          edge: 'top',
        },
      ]
    : [];
  return drawGrid({
    columns,
    rows,
    picture: ['twwwt', 'wlllw', 'ttwtt', 'wwfww', 'ttwtt'],
    lines: [
      ...[1, 4].flatMap((line) => [
        columnSlit(line, 0, 1),
        columnScore(line, 1, 2, valley(90, stages.sides)),
      ]),
      ...[2, 3].flatMap((line) => [
        columnSlit(line, 2, 3),
        columnScore(line, 3, 4, valley(90, stages.sides)),
        columnSlit(line, 4, 5),
      ]),
      rowScore(1, 0, 1, valley(90, stages.tabs)),
      rowScore(1, 1, 4, valley(90, stages.fronts)),
      rowScore(1, 4, 5, valley(90, stages.tabs)),
      rowSlit(2, 0, 2),
      rowScore(2, 2, 3, valley(90, stages.lid)),
      rowSlit(2, 3, 5),
      ...[3, 4].flatMap((line) => [
        rowScore(line, 0, 2, valley(90, stages.tabs)),
        rowScore(line, 2, 3, valley(90, stages.fronts)),
        rowScore(line, 3, 5, valley(90, stages.tabs)),
      ]),
    ],
    cutouts: [...tabs.flatMap((tab) => tabCutouts(tab, longest)), ...strips, ...notch],
  });
}

function answer(brief: StyleBrief<z.infer<typeof options>>): StyleAnswer {
  const card = paperFor(brief.papers, 0).thickness;
  const layers = tabLayers('sides', card);
  const floor = floorSections(brief, 'base', card, layers);
  const { high } = brief.inside;
  const needed = (depth: Length) => largest(wallFor(depth, card), leastWall);
  const wall = section(brief, 'base wall', needed(high.least), needed(high.target));
  // Beside the base's walls and the lid's own card, its tabs lie behind its front.
  const over = times(card, 2);
  const step = stepFor(over, brief.kit.trimmer.step);
  const lidFloor = sectionsOver(brief, 'lid', floor, { across: over, deep: over }, frontGap);
  const target = lidWallTarget(wall.target, brief.options.lidDepth);
  const lidWall: Section = {
    ...section(brief, 'lid wall', target, target, 0.2),
    least: largest(millimetres(4), minus(target, marksWindow(brief))),
  };
  const above = plus(half(card), millimetres(0.2));
  const spine = section(brief, 'spine', wall.least, plus(wall.target, above), 0.3);
  const lidDeep: Section = { ...lidFloor.byDirection.deep, id: 'lid deep' };
  const ids: Ids = {
    wall: wall.id,
    across: floor.across,
    deep: floor.deep,
    step,
    lidDeep: lidDeep.id,
    lidWall: lidWall.id,
    spine: spine.id,
  };
  const closes = { kind: 'hinge', outer: 'box', inner: 'box' } as const;
  return {
    ok: true,
    frame: {
      sections: [wall, ...floor.sections, lidDeep, lidWall, spine],
      pieces: [
        {
          id: 'box',
          name: 'Box',
          paper: 0,
          copies: 1,
          across: [wall.id, floor.across, wall.id],
          alsoAcross: (size) => {
            const side = minus(size(wall.id), step);
            return [side, plus(size(wall.id), size(floor.across), step)];
          },
          down: [lidWall.id, lidDeep.id, spine.id, floor.deep, wall.id],
          draw: (size) => drawHinged(ids, size, brief.options.thumbNotch),
        },
      ],
      fits: [
        {
          ...closes,
          direction: 'deep',
          outerSection: lidDeep.id,
          innerSection: floor.deep,
          layers: over,
          gap: frontGap,
        },
      ],
      settledFits: [
        {
          ...closes,
          direction: 'across',
          came: minus(times(step, 2), over),
          gap: sidesGap,
        },
      ],
      smaller: [
        { less: wall.id, more: spine.id, by: half(card) },
        { less: lidWall.id, more: wall.id, by: step },
      ],
      settle: (size) => {
        const inside = {
          across: clearInside(size(floor.across), card, layers.across),
          deep: clearInside(size(floor.deep), card, layers.deep),
          high: clearDepth(size(wall.id), card),
        };
        return {
          clearInside: inside,
          assembly: {
            parts: [
              sitting({
                id: 'box',
                root: { column: 2.5, row: 3.5 },
                at: vector(0, 0, -toMillimetres(card) / 2),
                joins: 0,
              }),
            ],
            stacks: [
              [0.95, 0.99, 1.05, 0.99],
              [4.05, 0.99, 3.95, 0.99],
              [1.5, 2.99, 2.5, 2.99],
              [3.5, 2.99, 2.5, 2.99],
              [1.5, 4.01, 2.5, 4.01],
              [3.5, 4.01, 2.5, 4.01],
            ].map(([x = 0, y = 0, onX = 0, onY = 0]) => lies('box', [x, y], [onX, onY], 'inside')),
            cavity: roomOf(inside),
            giftEnters: stages.gift,
          },
        };
      },
    },
  };
}

/** Base and lid in one piece, joined by a spine. */
export const hingedLid = defineStyle({
  id: 'hinged-lid',
  name: 'Hinged-lid box',
  about: 'Base and lid in one piece, joined by a spine',
  papers: ['Box'],
  options,
  usual: { lidDepth: 'half', thumbNotch: false },
  traits: () => ({ opensFromTop: true, showsGift: false }),
  answer,
});
