import { z } from 'zod';
import type { Section } from '../marks/index.ts';
import { vector } from '../fold/index.ts';
import {
  depthUnderRoof,
  drawGrid,
  columnScore,
  diagonalScore,
  flattestRoof,
  leastRoof,
  lies,
  marksWindow,
  wideEnoughForTabs,
  finForBorder,
  mountain,
  ridgeOfTent,
  ridgeClosings,
  ridgeCutouts,
  ridgeHeight,
  rowScore,
  section,
  tentFor,
  sitting,
  slopeForRidge,
  steepestRoof,
  valley,
  type BorderedEdge,
  type Fins,
  type RidgeClosing,
  type SizeOf,
  type StyleAnswer,
  type StyleBrief,
} from '../forms/index.ts';
import {
  half,
  largest,
  millimetres,
  minus,
  nanometres,
  plus,
  smallest,
  toMillimetres,
  type Length,
} from '../length/index.ts';
import { paperFor } from '../paper/index.ts';
import { borderPunches } from '../tools/index.ts';
import type { Cutout, GridPoint } from '../piece/index.ts';
import { defineStyle } from './define-style.ts';
import { noEdgePunch } from './no-edge-punch.ts';
import { howDeep, oneOf } from './options.ts';

/** What is folded or put together when, counted over the whole box. */
const stages = { flaps: 0, walls: 1, gift: 2, fins: 2, roofs: 3 } as const;

const options = z.object({
  /** As a figure it is how high the ridge stands over the table. */
  slope: howDeep({ title: 'Roof', measures: 'from the table to the ridge' }, [
    'low',
    'steep',
    'very steep',
  ]),
  closing: oneOf('Ridge', [...ridgeClosings, 'punched edge and slot']),
});
type Brief = StyleBrief<z.infer<typeof options>>;

/** Height of the ridge as a share of the floor's depth. */
const slopes = { low: 0.75, steep: 1.1, 'very steep': 1.6 } as const;

/** How wide the flaps on the end triangles are. */
const flapWidth = millimetres(10);

interface Ids {
  readonly across: string;
  readonly deep: string;
  readonly roof: string;
  readonly end: string;
  readonly fin: string;
}

/** How the ridge is closed: with the widest border that its tongue has room for; undefined where it has for none. */
function closingFor(
  { options: { closing }, kit }: Brief,
  across: Length,
): RidgeClosing | BorderedEdge | undefined {
  if (closing !== 'punched edge and slot') return closing;
  const border = borderPunches(kit.punches).find((each) => finForBorder(each).across <= across);
  return border === undefined ? undefined : { border };
}

/** How high the fins are that stand up along the ridge. */
function finsFor(closing: RidgeClosing | BorderedEdge) {
  if (typeof closing !== 'object') return { least: millimetres(9), target: millimetres(14) };
  const { fin } = finForBorder(closing.border);
  return { least: fin, target: fin };
}

/** Puts it round the gift, or says why it can’t be. */
export function answer(asked: Brief): StyleAnswer {
  const brief = wideEnoughForTabs(asked, 'across');
  const { slope } = brief.options;
  const card = paperFor(brief.papers, 0).thickness;
  const { across, deep, high } = brief.inside;
  const rise =
    typeof slope === 'number'
      ? slopeForRidge(slope, deep.target, high.target, card)
      : slopes[slope];
  const least = tentFor(deep.least, high.least, card, rise);
  const wanted = tentFor(deep.target, high.target, card, rise);
  const up = (value: number) => nanometres(Math.ceil(value));
  const floor = section(brief, 'floor deep', { least: up(least.floor), target: up(wanted.floor) });
  const shortest = leastRoof(deep.least, high.least, card, [floor.least, floor.most]);
  const roof = section(brief, 'roof', {
    least: up(shortest),
    target: largest(up(wanted.roof), up(shortest)),
    weight: 0.3,
  });
  const width = section(brief, 'floor across', {
    least: plus(across.least, card),
    target: plus(across.target, card),
  });
  // The ends are drawn as high as the roofs make the ridge, whatever is chosen.
  const tallest = up(ridgeHeight(roof.most, floor.least));
  const end: Section = {
    id: 'end',
    least: tallest,
    target: tallest,
    most: plus(tallest, marksWindow(brief)),
    weight: 0.01,
  };
  const closing = closingFor(brief, width.least);
  if (closing === undefined)
    return noEdgePunch(brief.kit, {
      option: 'closing',
      asked: 'Punched edge and slot',
      tooSmall: 'this ridge is too short for a tongue that takes it',
    });
  const fin = section(brief, 'fin', { ...finsFor(closing), weight: 0.1 });
  const ids: Ids = {
    across: width.id,
    deep: floor.id,
    roof: roof.id,
    end: end.id,
    fin: fin.id,
  };
  const columns = [end.id, width.id, end.id];
  const rows = [fin.id, roof.id, floor.id, roof.id, fin.id];
  return {
    ok: true,
    frame: {
      sections: [width, floor, roof, end, fin],
      rough: [{ section: end.id, holds: (size) => up(ridgeHeight(size(roof.id), size(floor.id))) }],
      pieces: [
        {
          id: 'tent',
          name: 'Tent',
          paper: 0,
          copies: 1,
          across: columns,
          down: rows,
          draw: (size) => drawTent(ids, columns.map(size), rows.map(size), size, { closing, card }),
        },
      ],
      fits: [],
      smaller: [],
      depths: [
        {
          option: 'slope',
          least: up(ridgeOfTent(deep.target, high.target, card, flattestRoof)),
          most: up(ridgeOfTent(deep.target, high.target, card, steepestRoof)),
          comes: (size) => nanometres(Math.round(ridgeHeight(size(roof.id), size(floor.id)))),
        },
      ],
      settle: (size) => {
        const tall = high.target;
        const reach = (at: Length) =>
          nanometres(Math.floor(depthUnderRoof(at, size(roof.id), size(floor.id), card)));
        // As high as the gift may be at the least depth that it needs.
        const clearHigh = reach(tall) >= deep.least ? tall : high.least;
        const inside = {
          across: minus(size(width.id), card),
          deep: smallest(reach(clearHigh), size(floor.id)),
          high: clearHigh,
        };
        const x = toMillimetres(inside.across) / 2;
        const y = toMillimetres(inside.deep) / 2;
        const wide = toMillimetres(reach(nanometres(0))) / 2;
        const box = (half: number) => [
          { x: -x, y: -half },
          { x, y: -half },
          { x, y: half },
          { x: -x, y: half },
        ];
        return {
          clearInside: inside,
          assembly: {
            parts: [
              sitting({
                id: 'tent',
                root: { column: 1.5, row: 2.5 },
                at: vector(0, 0, -toMillimetres(card) / 2),
              }),
            ],
            stacks: [
              ...flapSpots(ids, size).map(({ flap, roof: under }) =>
                lies('tent', { face: flap, on: under, side: 'inside' }),
              ),
              // Close to their folds, where nothing is cut out of the fins.
              lies('tent', { face: [1.5, 0.95], on: [1.5, 4.05], side: 'inside', holds: 'rest' }),
            ],
            cavity: { floor: box(wide), top: box(y), bottom: 0, high: toMillimetres(clearHigh) },
            giftEnters: stages.gift,
          },
        };
      },
    },
  };
}

function drawTent(
  ids: Ids,
  columns: readonly Length[],
  rows: readonly Length[],
  size: SizeOf,
  { closing, card }: { readonly closing: RidgeClosing | BorderedEdge; readonly card: Length },
) {
  const floor = size(ids.deep);
  const roof = size(ids.roof);
  const end = size(ids.end);
  const ridge = ridgeHeight(roof, floor);
  const lean = (Math.atan2(ridge, floor / 2) * 180) / Math.PI;
  const share = ridge / end;
  const apexes: readonly GridPoint[] = [
    { column: 1 - share, row: 2.5 },
    { column: 2 + share, row: 2.5 },
  ];
  const [one = apexes[0], other = apexes[1]] = apexes;
  const fold = valley(90, stages.flaps);
  const slants =
    one && other
      ? [2, 3].flatMap((row) => [
          diagonalScore({ column: 1, row }, one, fold),
          diagonalScore({ column: 2, row }, other, fold),
        ])
      : [];
  return drawGrid({
    columns,
    rows,
    picture: ['.p.', '.w.', 'pfp', '.w.', '.p.'],
    lines: [
      columnScore(1, 2, 3, valley(90, stages.walls)),
      columnScore(2, 2, 3, valley(90, stages.walls)),
      rowScore(2, 1, 2, valley(180 - lean, stages.roofs)),
      rowScore(3, 1, 2, valley(180 - lean, stages.roofs)),
      rowScore(1, 1, 2, mountain(90 - lean, stages.fins)),
      rowScore(4, 1, 2, mountain(90 - lean, stages.fins)),
    ],
    diagonals: slants,
    patches: [
      ...(one
        ? [{ role: 'wall' as const, corners: [{ column: 1, row: 2 }, one, { column: 1, row: 3 }] }]
        : []),
      ...(other
        ? [
            {
              role: 'wall' as const,
              corners: [{ column: 2, row: 2 }, other, { column: 2, row: 3 }],
            },
          ]
        : []),
    ],
    cutouts: [...flapTrims(ids, size, card), ...ridgeCutouts(finsOf(ids, size), closing, card)],
  });
}

/** The flap along the slope of an end triangle. */
interface SlopeFlap {
  readonly wide: number;
  /** How far along the slope its end stands in from the floor's corner: tapered, and nowhere beyond the end's edge. */
  readonly begins: number;
  /** How far into the end, and down from the floor's corner, a point along the slope and off it lies. */
  readonly spot: (along: number, off: number) => { readonly inward: number; readonly down: number };
}

function slopeFlap(ids: Ids, size: SizeOf): SlopeFlap {
  const floor = size(ids.deep);
  const roof = size(ids.roof);
  const cos = ridgeHeight(roof, floor) / roof;
  const sin = floor / 2 / roof;
  // Neither wider than the corner that it is cut from, nor than half of the roof that it lies under.
  const wide = Math.min(flapWidth, 0.6 * roof * cos * sin, 0.45 * size(ids.across));
  return {
    wide,
    begins: wide * Math.max(1.4, cos / sin),
    spot: (along, off) => ({
      inward: along * cos + off * sin,
      down: along * sin - off * cos,
    }),
  };
}

/** For each of the four flaps a spot on it, and one on the roof that it is glued under, in the grid's cells. */
function flapSpots(ids: Ids, size: SizeOf) {
  const { wide, spot } = slopeFlap(ids, size);
  const { inward, down } = spot(size(ids.roof) / 2, wide / 3);
  const [column, row] = [inward / size(ids.end), down / size(ids.deep)];
  return [0, 1].flatMap((right) =>
    [0, 1].map((lower) => ({
      flap: [right ? 2 + column : 1 - column, lower ? 3 - row : 2 + row] as const,
      roof: [right ? 1.9 : 1.1, lower ? 3.5 : 1.5] as const,
    })),
  );
}

/** What is cut off the corners beside the end triangles, to leave a flap along each slope. */
function flapTrims(ids: Ids, size: SizeOf, card: Length): readonly Cutout[] {
  const floor = size(ids.deep);
  const end = size(ids.end);
  const roof = size(ids.roof);
  const top = plus(size(ids.fin), roof);
  const middle = plus(top, half(floor));
  const right = plus(end, size(ids.across), end);
  const { wide, begins, spot: offSlope } = slopeFlap(ids, size);
  // Under the ridge both roofs' flaps would meet: they end where the roofs are two cards apart.
  const last = roof - Math.min(0.3 * roof, (2 * card * roof) / (floor / 2));
  return [false, true].flatMap((isRight) =>
    [false, true].map((isLower): Cutout => {
      const spot = (along: number, off: number) => {
        const { inward, down } = offSlope(along, off);
        const x = end - inward;
        const y = isLower ? floor - down : down;
        const clampedX = Math.min(Math.max(x, 0), end);
        const clampedY = Math.min(
          Math.max(y, isLower ? floor / 2 : 0),
          isLower ? floor : floor / 2,
        );
        return {
          x: nanometres(Math.round(isRight ? right - clampedX : clampedX)),
          y: plus(top, nanometres(Math.round(clampedY))),
        };
      };
      const far = isRight ? right : nanometres(0);
      const edge = isLower ? plus(top, floor) : top;
      const near = isRight ? minus(right, end) : end;
      return {
        shape: 'trim',
        use: 'flap',
        corners: [
          { x: near, y: edge },
          { x: far, y: edge },
          { x: far, y: middle },
          spot(roof, 0),
          spot(last, 0),
          spot(last - wide, wide),
          spot(begins, wide),
        ],
      };
    }),
  );
}

/** The two fins that stand up along the ridge. */
function finsOf(ids: Ids, size: SizeOf): Fins {
  const fin = size(ids.fin);
  return {
    left: size(ids.end),
    across: size(ids.across),
    fin,
    lower: plus(fin, size(ids.roof), size(ids.deep), size(ids.roof)),
  };
}

/** A floor with two roof panels that meet in a ridge. */
export const tentTop = defineStyle({
  id: 'tent-top',
  name: 'Tent-top box',
  about: 'Two sloping roofs meet over the floor in a ridge that is tied',
  papers: ['Tent'],
  options,
  usual: { slope: 'steep', closing: 'ribbon holes' },
  traits: () => ({ opensFromTop: true, showsGift: false }),
});
