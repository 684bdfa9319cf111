import type { Section } from '../marks/index.ts';
import { vector, type Part, type Stack } from '../fold/index.ts';
import type { Extents } from '../gift/index.ts';
import { half, minus, nanometres, plus, times, zero, type Length } from '../length/index.ts';
import type { Cutout, Diagonal, GridPoint, Patch, Spot } from '../piece/index.ts';
import type { PieceTemplate, SizeOf } from './brief.ts';
import { diagonalScore, drawGrid, following, mountain, valley } from './draw-grid.ts';
import type { Layers } from './sections.ts';

/** What is folded or put together when, counted over the whole box. */
const stages = { walls: 0, gussets: 1, tips: 2 } as const;

/** How much longer a line at 45° is than its way along an edge of the sheet. */
export const slant = Math.SQRT2;

/** A square sheet scored at 45° round a floor that lies on its corner. */
export interface Diamond {
  readonly id: string;
  readonly name: string;
  readonly paper: number;
  readonly floorRole: 'floor' | 'lid';
  /** From a corner of the sheet to the first mark: the floor's depth, its width, and the band between. */
  readonly first: string;
  readonly second: string;
  readonly band: string;
  /** Whether the floor is wider than deep: then the corners lie on the front and the back. */
  readonly wide: boolean;
  /** Made on a diagonal punch board, where there is one. */
  readonly punchBoard?: 'diagonal';
}

/** Card inside the walls: a tip on each, and the two layers of folded corners at both ends of one pair. */
export function diamondLayers({ wide }: Pick<Diamond, 'wide'>, card: Length): Layers {
  const tips = times(card, 2);
  const webs = times(card, 6);
  return wide ? { across: tips, deep: webs } : { across: webs, deep: tips };
}

/** The lengths of a floor, a wall and the sheet that marks make. */
export function diamondSizes({ first, second, band }: Diamond, size: SizeOf) {
  const straight = (section: string) => nanometres(Math.floor(size(section) * slant));
  return {
    across: straight(second),
    deep: straight(first),
    wall: nanometres(Math.floor(size(band) / slant)),
  };
}

/** The mark that makes a length at 45°, rounded up so that nothing comes out short. */
export function markFor(section: Section, length: (mark: Length) => Length): Section {
  return {
    ...section,
    least: length(section.least),
    target: length(section.target),
    most: length(section.most),
  };
}

/** Where the four corners of the floor, the marks and the corners of the sheet lie. */
function pointsOf(b: Length, w: Length, a: Length) {
  const s = plus(a, w, b);
  const m = half(w);
  const at = (x: Length, y: Length): Spot => ({ x, y });
  return [
    {
      // The wall to the back: between the top and the right of the sheet.
      from: at(plus(b, m), m),
      to: at(minus(s, m), plus(a, m)),
      ends: [at(plus(b, w), zero), at(s, a)],
      tip: at(s, zero),
      leg: a,
    },
    {
      from: at(minus(s, m), plus(a, m)),
      to: at(plus(a, m), minus(s, m)),
      ends: [at(s, plus(a, w)), at(plus(a, w), s)],
      tip: at(s, s),
      leg: b,
    },
    {
      from: at(plus(a, m), minus(s, m)),
      to: at(m, plus(b, m)),
      ends: [at(a, s), at(zero, plus(b, w))],
      tip: at(zero, s),
      leg: a,
    },
    {
      from: at(m, plus(b, m)),
      to: at(plus(b, m), m),
      ends: [at(zero, b), at(b, zero)],
      tip: at(zero, zero),
      leg: b,
    },
  ] as const;
}

type Wall = ReturnType<typeof pointsOf>[number];

/** The middle of the band on the edge of the sheet beside the corner where a wall begins. */
function middleBefore(walls: readonly Wall[], i: number): Spot | undefined {
  const here = walls[i];
  const before = walls[(i + 3) % 4];
  const [start] = here?.ends ?? [];
  const end = before?.ends[1];
  return start && end && { x: half(plus(start.x, end.x)), y: half(plus(start.y, end.y)) };
}

/** The triangle that is cut off a tip so that it ends above the floor. */
function trimmedTip({ tip, ends, leg }: Wall, most: Length): readonly Cutout[] {
  const spare = minus(leg, times(most, slant));
  if (spare <= 0) return [];
  const share = spare / leg;
  const towards = (end: Spot): Spot => ({
    x: plus(tip.x, times(minus(end.x, tip.x), share)),
    y: plus(tip.y, times(minus(end.y, tip.y), share)),
  });
  return [
    {
      shape: 'trim',
      use: 'tip',
      corners: [tip, towards(ends[0]), towards(ends[1])],
    },
  ];
}

function positionIn(sections: readonly Length[], at: Length): number {
  let left: number = at;
  for (const [i, section] of sections.entries()) {
    if (left <= section) return i + left / section;
    left -= section;
  }
  return sections.length;
}

/** The diamond as a piece to be cut: a square of first mark, band and second mark. */
export function diamondTemplate(diamond: Diamond, card: (slot: number) => Length): PieceTemplate {
  const { first, band, second } = diamond;
  return {
    id: diamond.id,
    name: diamond.name,
    paper: diamond.paper,
    copies: 1,
    ...(diamond.punchBoard && { punchBoard: diamond.punchBoard }),
    across: [first, band, second],
    down: [first, band, second],
    draw: (size) => {
      const sections = [first, band, second].map(size);
      const [b = zero, w = zero, a = zero] = sections;
      const walls = pointsOf(b, w, a);
      const point = ({ x, y }: Spot): GridPoint => ({
        column: positionIn(sections, x),
        row: positionIn(sections, y),
      });
      const { wall } = diamondSizes(diamond, size);
      const most = minus(wall, times(card(diamond.paper), 2));
      const onto = following(valley(180, stages.gussets));
      const round = following(valley(90, stages.gussets));
      const diagonals = walls.flatMap(({ from, to, ends }, i): readonly Diagonal[] => {
        // Even walls are the back and the front.
        const lieHere = (i % 2 === 0) === diamond.wide;
        const middle = middleBefore(walls, i);
        return [
          diagonalScore(point(from), point(to), valley(90, stages.walls)),
          diagonalScore(point(from), point(ends[0]), lieHere ? onto : round),
          diagonalScore(point(to), point(ends[1]), lieHere ? onto : round),
          diagonalScore(point(ends[0]), point(ends[1]), valley(180, stages.tips)),
          ...(middle
            ? [diagonalScore(point(from), point(middle), following(mountain(180, stages.gussets)))]
            : []),
        ];
      });
      const patches = walls.flatMap(({ from, ends, tip }, i): readonly Patch[] => {
        const before = walls[(i + 3) % 4];
        return [
          { role: 'rim', corners: [ends[0], tip, ends[1]].map(point) },
          ...(before
            ? [{ role: 'gusset' as const, corners: [from, before.ends[1], ends[0]].map(point) }]
            : []),
        ];
      });
      return drawGrid({
        columns: sections,
        rows: sections,
        picture: ['www', 'www', 'www'],
        lines: [],
        diagonals,
        patches: [
          ...patches,
          { role: diamond.floorRole, corners: walls.map(({ from }) => point(from)) },
        ],
        cutouts: walls.flatMap((each) => trimmedTip(each, most)),
      });
    },
  };
}

/** A diamond sitting on its floor, or upside down on top of something. */
export function diamondPart(
  diamond: Diamond,
  size: SizeOf,
  {
    at,
    joins,
    opens,
  }: { readonly at: Part['at']; readonly joins: number; readonly opens?: Part['at'] },
): Part {
  const [b, w, a] = [diamond.first, diamond.band, diamond.second].map(size);
  const sections = [b ?? zero, w ?? zero, a ?? zero];
  const middle = half(plus(...sections));
  const spot = { column: positionIn(sections, middle), row: positionIn(sections, middle) };
  const c = Math.SQRT1_2;
  const over = diamond.floorRole === 'lid' ? -1 : 1;
  return {
    id: diamond.id,
    piece: diamond.id,
    root: spot,
    // The sheet lies on its corner: its right is between the box's right and its back.
    right: vector(c * over, c, 0),
    up: vector(-c * over, c, 0),
    at,
    joins,
    ...(opens && { opens }),
  };
}

/** Corners and tips on the walls. */
export function diamondStacks(diamond: Diamond, size: SizeOf): readonly Stack[] {
  const sections = [diamond.first, diamond.band, diamond.second].map(size);
  const [b = zero, w = zero, a = zero] = sections;
  const walls = pointsOf(b, w, a);
  const mix = (...spots: readonly (readonly [Spot, number])[]) => {
    const x = nanometres(Math.round(spots.reduce((sum, [spot, share]) => sum + share * spot.x, 0)));
    const y = nanometres(Math.round(spots.reduce((sum, [spot, share]) => sum + share * spot.y, 0)));
    return {
      part: diamond.id,
      spot: { column: positionIn(sections, x), row: positionIn(sections, y) },
    };
  };
  return walls.flatMap((wall, i): readonly Stack[] => {
    const { from, to, ends, tip } = wall;
    const before = walls[(i + 3) % 4];
    const middle = middleBefore(walls, i);
    const rim = mix([ends[0], 0.495], [ends[1], 0.495], [tip, 0.01]);
    const face = mix([from, 0.25], [to, 0.25], [ends[0], 0.25], [ends[1], 0.25]);
    const tips: Stack = { face: rim, on: face, side: 'inside', holds: 'glue' };
    if (!before || !middle) return [tips];
    const beforeFace = mix(
      [before.from, 0.25],
      [before.to, 0.25],
      [before.ends[0], 0.25],
      [before.ends[1], 0.25],
    );
    const beforeRim = mix([before.ends[0], 0.495], [before.ends[1], 0.495], [before.tip, 0.01]);
    const byHere = mix([from, 0.34], [ends[0], 0.33], [middle, 0.33]);
    const byBefore = mix([from, 0.34], [before.ends[1], 0.33], [middle, 0.33]);
    const lieHere = (i % 2 === 0) === diamond.wide;
    const [lower, upper, on, over] = lieHere
      ? [byHere, byBefore, face, rim]
      : [byBefore, byHere, beforeFace, beforeRim];
    return [
      tips,
      { face: lower, on, side: 'inside', holds: 'tuck' },
      { face: upper, on: lower, side: 'outside', holds: 'tuck' },
      // Back to back with the lower half, the upper one shows its drawn face.
      { face: over, on: upper, side: 'inside', holds: 'rest' },
    ];
  });
}

/** Clear inside over the floor of a diamond. */
export function diamondInside(diamond: Diamond, size: SizeOf, card: Length): Extents {
  const { across, deep, wall } = diamondSizes(diamond, size);
  const layers = diamondLayers(diamond, card);
  return {
    across: minus(across, card, layers.across),
    deep: minus(deep, card, layers.deep),
    high: minus(wall, half(card)),
  };
}
