import { z } from 'zod';
import { wallFor } from '../gaps/index.ts';
import type { Section, SmallerPair } from '../marks/index.ts';
import { vector, type Part, type Stack } from '../fold/index.ts';
import {
  addLayers,
  columnScore,
  drawGrid,
  evenLayers,
  footprint,
  leastWall,
  lies,
  liner,
  loosePetals,
  moveGrid,
  roomOf,
  rowScore,
  section,
  sitting,
  tabLayers,
  trayFloor,
  trayStacks,
  trayTemplate,
  valley,
  type FloorSections,
  type Footprint,
  type PieceTemplate,
  type RoughSection,
  type SizeOf,
  type StyleAnswer,
  type StyleBrief,
  type StyleSection,
  type Tray,
  wideEnoughForTabs,
} from '../forms/index.ts';
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
import { paperFor } from '../paper/index.ts';
import type { Cutout } from '../piece/index.ts';
import { defineStyle } from './define-style.ts';
import { oneOf } from './options.ts';

const options = z.object({
  petals: oneOf('Petals', ['half-round', 'pointed', 'loose discs']),
});
type Brief = StyleBrief<z.infer<typeof options>>;

/** Stages: the tray and its loose discs, where it has any, the liner, the gift, then the petals. */
const stages = { liner: 4, gift: 5, petals: 6 } as const;
const stagesWithDiscs = { discs: 4, liner: 5, gift: 6, petals: 7 } as const;

/** The four petals in the order in which they close: back, right, front, left. */
const petals = [
  { cell: { column: 2, row: 0 }, hinge: 'bottom' },
  { cell: { column: 4, row: 2 }, hinge: 'left' },
  { cell: { column: 2, row: 4 }, hinge: 'top' },
  { cell: { column: 0, row: 2 }, hinge: 'right' },
] as const;

/** Both corners of a petal's free end taken off by a curve, or by a straight cut to a point. */
function petalCutouts(
  shape: 'half-round' | 'pointed',
  columns: readonly Length[],
  rows: readonly Length[],
): readonly Cutout[] {
  const start = (sections: readonly Length[], at: number) => plus(zero, ...sections.slice(0, at));
  return petals.flatMap(({ cell, hinge }): readonly Cutout[] => {
    const left = start(columns, cell.column);
    const right = start(columns, cell.column + 1);
    const top = start(rows, cell.row);
    const bottom = start(rows, cell.row + 1);
    const upright = hinge === 'bottom' || hinge === 'top';
    const freeY = hinge === 'bottom' ? top : bottom;
    const freeX = hinge === 'right' ? left : right;
    const corners = upright
      ? [left, right].map((x) => ({ x, y: freeY }))
      : [top, bottom].map((y) => ({ x: freeX, y }));
    const reach = (from: Length, low: Length, high: Length, full: boolean) =>
      times(minus(high, low), (full ? 1 : 0.5) * (from === low ? 1 : -1));
    return corners.map((at): Cutout => {
      const along = reach(at.x, left, right, !upright);
      const down = reach(at.y, top, bottom, upright);
      return shape === 'half-round'
        ? { shape: 'corner', use: 'petal', at, along, down }
        : {
            shape: 'trim',
            use: 'petal',
            corners: [at, { x: plus(at.x, along), y: at.y }, { x: at.x, y: plus(at.y, down) }],
          };
    });
  });
}

/** The tray with a petal on each of its walls. */
function petalTray(
  tray: Tray,
  petal: { readonly across: string; readonly deep: string },
  shape: 'half-round' | 'pointed',
): PieceTemplate {
  const plain = trayTemplate(tray);
  const across = [petal.across, ...plain.across, petal.across];
  const down = [petal.deep, ...plain.down, petal.deep];
  return {
    ...plain,
    across,
    down,
    draw: (size: SizeOf) => {
      const columns = across.map(size);
      const rows = down.map(size);
      const inner = moveGrid(plain.draw(size), {
        columns: 1,
        rows: 1,
        reach: { x: columns[0] ?? zero, y: rows[0] ?? zero },
      });
      const folds = petals.map(({ hinge }, i) =>
        hinge === 'bottom' || hinge === 'top'
          ? rowScore(hinge === 'bottom' ? 1 : 4, 2, 3, valley(90, stages.petals + i))
          : columnScore(hinge === 'right' ? 1 : 4, 2, 3, valley(90, stages.petals + i)),
      );
      const outer = drawGrid({
        columns,
        rows,
        picture: ['..p..', '.twt.', 'pwfwp', '.twt.', '..p..'],
        lines: folds,
      });
      return {
        ...outer,
        lines: [...outer.lines, ...inner.lines],
        tapers: inner.tapers,
        cutouts: [...inner.cutouts, ...petalCutouts(shape, columns, rows)],
      };
    },
  };
}

function stacksOf(id: string): readonly Stack[] {
  const spots = petals.map(({ cell, hinge }) => {
    // Near the hinge, where every petal is wide.
    const near = { bottom: [0.5, 0.9], top: [0.5, 0.1], left: [0.1, 0.5], right: [0.9, 0.5] }[
      hinge
    ];
    return [cell.column + (near[0] ?? 0.5), cell.row + (near[1] ?? 0.5)] as const;
  });
  const tabs = [1, 3].flatMap((row) =>
    [1, 3].map((column) => {
      const near = row === 1 ? 1.99 : 3.01;
      return lies(id, { face: [column + 0.5, near], on: [2.5, near], side: 'inside' });
    }),
  );
  const layers = spots.flatMap((spot, i) => {
    const below = spots[i - 1];
    return below ? [lies(id, { face: spot, on: below, side: 'outside', holds: 'tuck' })] : [];
  });
  return [...tabs, ...layers];
}

/** The petals of a box, whether they are one with the tray or put on it. */
interface Petals {
  readonly tray: PieceTemplate;
  readonly more: readonly PieceTemplate[];
  readonly sections: readonly StyleSection[];
  readonly rough: readonly RoughSection[];
  readonly smaller: readonly SmallerPair[];
  /** Where the middle of the tray's floor is drawn. */
  readonly root: Part['root'];
  readonly parts: (size: SizeOf, aside: number) => readonly Part[];
  readonly stacks: readonly Stack[];
}

/** What the petals are put on. */
interface Lined {
  readonly brief: Brief;
  readonly tray: Tray;
  readonly floor: FloorSections;
  readonly wall: Section;
}

/** A petal on each wall of the tray. */
function onTray({ brief, tray, floor }: Lined, shape: 'half-round' | 'pointed'): Petals {
  // Each petal reaches over the middle, so that the four hold one another down.
  // On the groove next to what is wanted it still does.
  const wanted = (side: Length) => plus(times(side, 0.54), half(brief.kit.board.pitch));
  const petalOf = (direction: Footprint) => {
    const { least, target, most } = floor.byDirection[direction];
    return {
      ...section(brief, `petal ${direction}`, {
        least: times(least, 0.5),
        target: wanted(target),
        weight: 0.1,
      }),
      most: largest(wanted(most), times(least, 0.9)),
    };
  };
  const petal = { across: petalOf('across'), deep: petalOf('deep') };
  return {
    tray: petalTray(tray, { across: petal.across.id, deep: petal.deep.id }, shape),
    more: [],
    sections: [petal.across, petal.deep],
    rough: [],
    smaller: footprint.map((way) => ({
      less: floor[way],
      more: petal[way].id,
      moreTimes: 2,
      // Petals that face each other go past each other by so much, and not only meet.
      by: smallest(millimetres(6), times(floor.byDirection[way].least, 0.1)),
      scantBy: smallest(millimetres(3), times(floor.byDirection[way].least, 0.05)),
    })),
    root: { column: 2.5, row: 2.5 },
    parts: () => [],
    stacks: stacksOf('base'),
  };
}

/** Four discs that are glued inside the walls; undefined where they would not reach past the middle. */
function loose({ brief, tray, floor, wall }: Lined, card: Length): Petals | undefined {
  const tabs = (row: number) => [0.5, 2.5].map((column) => ({ column, row }));
  const discs = loosePetals(brief, {
    paper: 2,
    card,
    floor,
    wall,
    tab: { back: tabs(0.998), front: tabs(2.002) },
    stages: { joins: stagesWithDiscs.discs, petals: stagesWithDiscs.petals },
  });
  if (!discs) return undefined;
  return {
    ...discs,
    tray: trayTemplate(tray),
    more: discs.templates,
    root: trayFloor(tray),
    stacks: [...trayStacks(tray, { id: 'base' }), ...discs.stacks],
  };
}

const tooLong: StyleAnswer = {
  ok: false,
  refusal: {
    field: 'style.options.petals',
    message:
      'Loose discs: each is no wider than the wall that it is glued to, and this box is too long, or its walls too low, for four of them to hold one another.',
  },
};

/** Puts it round the gift, or says why it can’t be. */
export function answer(asked: Brief): StyleAnswer {
  const brief = wideEnoughForTabs(asked, 'across');
  const card = paperFor(brief.papers, 0).thickness;
  const { petals: shape } = brief.options;
  const when = shape === 'loose discs' ? stagesWithDiscs : stages;
  const { high } = brief.inside;
  // Half the first petal's card comes down into the room.
  const petalCard = shape === 'loose discs' ? paperFor(brief.papers, 2).thickness : card;
  const needed = (depth: Length) => largest(plus(wallFor(depth, card), half(petalCard)), leastWall);
  const wall = section(brief, 'base wall', {
    least: needed(high.least),
    target: needed(high.target),
  });
  const linerHigh = {
    ...section(brief, 'liner high', {
      least: millimetres(6),
      target: minus(wall.target, times(card, 2)),
      weight: 0.1,
    }),
    most: minus(wall.target, times(card, 2)),
  };
  const tabs = { tabsOn: 'sides', tabsLie: 'inside' } as const;
  // Loose discs lie between all four walls and the liner.
  const glued = shape === 'loose discs' ? times(petalCard, 2) : zero;
  const inner = liner(brief, 1, linerHigh, {
    piece: 'base',
    card,
    inside: addLayers(tabLayers(tabs.tabsOn, card), evenLayers(glued)),
  });
  const { floor } = inner;
  const tray: Tray = {
    id: 'base',
    name: 'Base',
    paper: 0,
    wall: wall.id,
    floor,
    floorRole: 'floor',
    ...tabs,
  };
  const lined = { brief, tray, floor, wall };
  const petals = shape === 'loose discs' ? loose(lined, card) : onTray(lined, shape);
  if (!petals) return tooLong;
  return {
    ok: true,
    frame: {
      sections: [wall, ...inner.sections, ...floor.sections, ...petals.sections],
      rough: petals.rough,
      pieces: [petals.tray, ...petals.more, inner.template],
      fits: inner.fits,
      smaller: [{ less: linerHigh.id, more: wall.id, by: times(card, 1.5) }, ...petals.smaller],
      settle: (size) => {
        const thick = toMillimetres(card);
        const clearInside = {
          ...inner.inside(size),
          high: minus(size(wall.id), half(card), half(petalCard)),
        };
        return {
          clearInside,
          assembly: {
            parts: [
              sitting({
                id: 'base',
                root: petals.root,
                at: vector(inner.aside, 0, -thick / 2),
              }),
              ...petals.parts(size, inner.aside),
              inner.part(size, { lower: 0.01, joins: when.liner }),
            ],
            stacks: [...petals.stacks, ...inner.stacks(size)],
            cavity: roomOf(clearInside),
            giftEnters: when.gift,
          },
        };
      },
    },
  };
}

/** A tray with a liner whose four petals close over one another. */
export const petalTop = defineStyle({
  id: 'petal-top',
  name: 'Petal-top box',
  about: 'A lined tray with four petals that close over one another',
  papers: ['Base', 'Liner', 'Discs'],
  options,
  usual: { petals: 'half-round' },
  traits: () => ({ opensFromTop: true, showsGift: false }),
});
