import { z } from 'zod';
import { wallFor, hingedSidesGap, hingedFrontGap, levelGap } from '../gaps/index.ts';
import type { Section } from '../marks/index.ts';
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
  wideEnoughForTabs,
  tabTaper,
  thumbRadius,
  valley,
  trayInside,
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
} from '../length/index.ts';
import { paperFor } from '../paper/index.ts';
import type { Cutout, CutoutUse, Spot } from '../piece/index.ts';
import { defineStyle } from './define-style.ts';
import { oneOf, whether } from './options.ts';

const options = z.object({
  lidDepth: oneOf('Lid', ['shallow', 'half']),
  thumbNotch: whether('Thumb notch'),
  front: oneOf('Lid front', ['square', 'curved', 'lip']),
});
type Options = z.infer<typeof options>;

/** The step from the base's side walls out to the lid's, on the trimmer's marks: never too tight. */
function stepFor(over: Length, mark: Length): Length {
  const least = roundUp(half(plus(over, hingedSidesGap.least)), mark);
  return largest(least, roundToGrid(half(plus(over, hingedSidesGap.target)), mark));
}

const stages = { tabs: 0, sides: 1, fronts: 2, lip: 3, gift: 4, lid: 5 } as const;

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
  /** Turned in behind the lid's front, where there is one. */
  readonly lip: string | undefined;
}

/** Straight-sided waste from one corner to the opposite one. */
function waste(use: CutoutUse, from: Spot, to: Spot): Cutout {
  return {
    shape: 'trim',
    use,
    corners: [from, { x: to.x, y: from.y }, to, { x: from.x, y: to.y }],
  };
}

function drawHinged(ids: Ids, size: SizeOf, { thumbNotch, front }: Options) {
  const wall = size(ids.wall);
  const { step } = ids;
  const side = minus(wall, step);
  const across = size(ids.across);
  const lidWall = size(ids.lidWall);
  const lip = ids.lip === undefined ? [] : [size(ids.lip)];
  // Rows are counted from the lid's front; a lip stands before it.
  const row = (line: number) => line + lip.length;
  const columns = [side, step, across, step, side];
  const rows = [...lip, lidWall, size(ids.lidDeep), size(ids.spine), size(ids.deep), wall];
  const whole = plus(...columns);
  const y = (line: number) => plus(zero, ...rows.slice(0, row(line)));
  const radius = smallest(thumbRadius(across, lidWall), times(across, 1 / 8));
  const longest = minus(half(across), thumbNotch ? radius : zero, millimetres(0.8));
  const spare = minus(side, lidWall);
  const curve =
    front === 'curved' ? smallest(millimetres(10), times(lidWall, 0.5), times(across, 0.3)) : zero;
  const mirrored = (left: Length, right: Length) => [
    { left, right },
    { left: minus(whole, right), right: minus(whole, left) },
  ];
  const lidTabs = mirrored(plus(spare, curve), side);
  const tabs: readonly Tab[] = [
    ...lidTabs.map((x) => ({ ...x, hinge: y(1), free: y(0) })),
    ...mirrored(zero, wall).map((x) => ({ ...x, hinge: y(3), free: y(2) })),
    ...mirrored(zero, wall).map((x) => ({ ...x, hinge: y(4), free: y(5) })),
  ];
  // The lid's side walls are no deeper than its front.
  const strips =
    spare === 0
      ? []
      : mirrored(zero, spare).map(({ left, right }) =>
          waste('lid side', { x: left, y: y(0) }, { x: right, y: y(2) }),
        );
  // Behind a curved corner no tab may show.
  const curves =
    curve === 0
      ? []
      : [
          ...mirrored(spare, plus(spare, curve)).map(({ left, right }) =>
            waste('tab', { x: left, y: y(0) }, { x: right, y: y(1) }),
          ),
          ...[side, minus(whole, side)].map((x): Cutout => ({
            shape: 'corner',
            use: 'lid front',
            at: { x, y: y(0) },
            along: x === side ? curve : times(curve, -1),
            down: curve,
          })),
        ];
  // A lip is drawn in, so that it clears the lid's sides as it is turned in.
  const lipEnds = lip.flatMap((depth) => {
    const inset = smallest(depth, times(across, 1 / 5));
    return [
      { from: side, to: plus(side, inset) },
      { from: minus(whole, side), to: minus(whole, side, inset) },
    ].map(({ from, to }): Cutout => ({
      shape: 'trim',
      use: 'lip',
      corners: [
        { x: from, y: zero },
        { x: to, y: zero },
        { x: from, y: depth },
      ],
    }));
  });
  const shallow = lip.map((depth) => times(depth, 0.8));
  const middle = { x: half(whole), y: y(0) };
  // Through a lip and the front at once it is punched on their fold.
  const bite: Cutout =
    lip.length > 0
      ? { shape: 'hole', use: 'thumb notch', centre: middle, radius: smallest(radius, ...shallow) }
      : { shape: 'notch', use: 'thumb notch', centre: middle, radius, edge: 'top' };
  return drawGrid({
    columns,
    rows,
    picture: [...lip.map(() => '.rrr.'), 'twwwt', 'wlllw', 'ttwtt', 'wwfww', 'ttwtt'],
    lines: [
      ...lip.map(() => rowScore(1, 1, 4, valley(180, stages.lip))),
      ...[1, 4].flatMap((line) => [
        columnSlit(line, row(0), row(1)),
        columnScore(line, row(1), row(2), valley(90, stages.sides)),
      ]),
      ...[2, 3].flatMap((line) => [
        columnSlit(line, row(2), row(3)),
        columnScore(line, row(3), row(4), valley(90, stages.sides)),
        columnSlit(line, row(4), row(5)),
      ]),
      rowScore(row(1), 0, 1, valley(90, stages.tabs)),
      rowScore(row(1), 1, 4, valley(90, stages.fronts)),
      rowScore(row(1), 4, 5, valley(90, stages.tabs)),
      rowSlit(row(2), 0, 2),
      rowScore(row(2), 2, 3, valley(90, stages.lid)),
      rowSlit(row(2), 3, 5),
      ...[row(3), row(4)].flatMap((line) => [
        rowScore(line, 0, 2, valley(90, stages.tabs)),
        rowScore(line, 2, 3, valley(90, stages.fronts)),
        rowScore(line, 3, 5, valley(90, stages.tabs)),
      ]),
    ],
    cutouts: [
      ...tabs.flatMap((tab) => tabCutouts(tab, longest)),
      ...strips,
      ...curves,
      ...lipEnds,
      ...(thumbNotch ? [bite] : []),
    ],
  });
}

function answer(asked: StyleBrief<Options>): StyleAnswer {
  const brief = wideEnoughForTabs(asked, 'across');
  const card = paperFor(brief.papers, 0).thickness;
  const layers = tabLayers('sides', card);
  const floor = floorSections(brief, 'base', card, layers);
  const { high } = brief.inside;
  const needed = (depth: Length) => largest(wallFor(depth, card), leastWall);
  const wall = section(brief, 'base wall', {
    least: needed(high.least),
    target: needed(high.target),
  });
  // Beside the base's walls and the lid's own card, its tabs lie behind its front.
  const over = times(card, 2);
  const step = stepFor(over, brief.kit.trimmer.step);
  const hasLip = brief.options.front === 'lip';
  const overFront = hasLip ? plus(over, card) : over;
  const lidFloor = sectionsOver(brief, 'lid', {
    inner: floor,
    layers: { across: over, deep: overFront },
    gap: hingedFrontGap,
  });
  const target = lidWallTarget(wall.target, brief.options.lidDepth);
  const lidWall: Section = {
    ...section(brief, 'lid wall', { least: target, target, weight: 0.2 }),
    least: largest(millimetres(4), minus(target, marksWindow(brief))),
  };
  // A lid that lies on the walls has its hinge half a card over them, and never stands in the gift's room.
  const spine = section(brief, 'spine', {
    least: largest(wall.least, plus(high.least, card)),
    target: plus(wall.target, half(card)),
    weight: 0,
  });
  const lip = hasLip
    ? section(brief, 'lip', {
        least: millimetres(5),
        target: smallest(millimetres(12), times(target, 0.8)),
        weight: 0.1,
      })
    : undefined;
  const lidDeep: Section = { ...lidFloor.byDirection.deep, id: 'lid deep' };
  const ids: Ids = {
    wall: wall.id,
    across: floor.across,
    deep: floor.deep,
    step,
    lidDeep: lidDeep.id,
    lidWall: lidWall.id,
    spine: spine.id,
    lip: lip?.id,
  };
  const lipRows = lip ? 1 : 0;
  const closes = { kind: 'hinge', outer: 'box', inner: 'box' } as const;
  return {
    ok: true,
    frame: {
      sections: [wall, ...floor.sections, lidDeep, lidWall, spine, ...(lip ? [lip] : [])],
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
          down: [...(lip ? [lip.id] : []), lidWall.id, lidDeep.id, spine.id, floor.deep, wall.id],
          draw: (size) => drawHinged(ids, size, brief.options),
        },
      ],
      fits: [
        {
          ...closes,
          direction: 'deep',
          outerSection: lidDeep.id,
          innerSection: floor.deep,
          layers: overFront,
          gap: hingedFrontGap,
        },
        {
          kind: 'level',
          outer: 'box',
          inner: 'box',
          direction: 'high',
          outerSection: spine.id,
          innerSection: wall.id,
          layers: half(card),
          gap: levelGap,
        },
      ],
      settledFits: [
        {
          ...closes,
          direction: 'across',
          came: minus(times(step, 2), over),
          gap: hingedSidesGap,
        },
      ],
      smaller: [
        { less: wall.id, more: spine.id, by: zero },
        { less: lidWall.id, more: wall.id, by: step },
        ...(lip ? [{ less: lip.id, more: lidWall.id, by: millimetres(0.5) }] : []),
      ],
      settle: (size) => {
        const tray = trayInside({ floor, wall, card, layers }, size);
        const underLid = minus(size(spine.id), card);
        const inside = { ...tray, high: smallest(tray.high, underLid) };
        // So close to its hinge that there is card, however short a tab was cut.
        const close = (id: string) => Math.min(0.01, 0.5 / toMillimetres(size(id)));
        // A tab of the lid is no wider than its wall, and hangs at the inner edge of the side.
        const side = toMillimetres(minus(size(wall.id), step));
        const beside = Math.min(0.05, (0.2 * toMillimetres(size(lidWall.id))) / side);
        const [front, back, under] = [
          1 - close(lidWall.id),
          3 - close(spine.id),
          4 + close(wall.id),
        ];
        return {
          clearInside: inside,
          assembly: {
            parts: [
              sitting({
                id: 'box',
                root: { column: 2.5, row: lipRows + 3.5 },
                at: vector(0, 0, -toMillimetres(card) / 2),
              }),
            ],
            stacks: [
              ...[
                [1 - beside, front, 1.05, front],
                [4 + beside, front, 3.95, front],
                [1.5, back, 2.5, back],
                [3.5, back, 2.5, back],
                [1.5, under, 2.5, under],
                [3.5, under, 2.5, under],
              ].map(([x = 0, y = 0, onX = 0, onY = 0]) =>
                lies('box', { face: [x, y + lipRows], on: [onX, onY + lipRows], side: 'inside' }),
              ),
              ...(lip
                ? [
                    lies('box', { face: [2.1, 0.9], on: [2.1, 1.1], side: 'inside' }),
                    // It lies over the tabs behind the front too.
                    ...[1 - beside, 4 + beside].map((x) =>
                      lies('box', {
                        face: [2.1, 0.9],
                        on: [x, front + lipRows],
                        side: 'inside',
                        holds: 'rest',
                      }),
                    ),
                  ]
                : []),
            ],
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
  usual: { lidDepth: 'half', thumbNotch: false, front: 'square' },
  traits: () => ({ opensFromTop: true, showsGift: false }),
  answer,
});
