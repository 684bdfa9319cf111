import { z } from 'zod';
import { wallFor } from '../gaps/index.ts';
import { vector, type Stack } from '../fold/index.ts';
import {
  columnScore,
  drawGrid,
  footprint,
  leastWall,
  lies,
  liner,
  moveCutout,
  roomOf,
  rowScore,
  section,
  sitting,
  tabLayers,
  trayTemplate,
  valley,
  type Footprint,
  type PieceTemplate,
  type SizeOf,
  type StyleAnswer,
  type StyleBrief,
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
import type { Cutout, GridLine, Taper } from '../piece/index.ts';
import { defineStyle } from './define-style.ts';
import { oneOf } from './options.ts';

const options = z.object({ petals: oneOf('Petals', ['half-round', 'pointed']) });

/** Stages: the tray, the liner, the gift, then one petal after the other. */
const stages = { liner: 4, gift: 5, petals: 6 } as const;

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

function shifted(line: GridLine): GridLine {
  return {
    axis: line.axis,
    index: line.index + 1,
    spans: line.spans.map((span) => ({ ...span, from: span.from + 1, to: span.to + 1 })),
  };
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
      const grid = plain.draw(size);
      const columns = across.map(size);
      const rows = down.map(size);
      const move = { x: columns[0] ?? zero, y: rows[0] ?? zero };
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
        lines: [...outer.lines, ...grid.lines.map(shifted)],
        tapers: grid.tapers.map((taper): Taper => ({
          ...taper,
          cell: { column: taper.cell.column + 1, row: taper.cell.row + 1 },
        })),
        cutouts: [
          ...grid.cutouts.map((cutout) => moveCutout(cutout, move)),
          ...petalCutouts(shape, columns, rows),
        ],
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

function answer(asked: StyleBrief<z.infer<typeof options>>): StyleAnswer {
  const brief = wideEnoughForTabs(asked, 'across');
  const card = paperFor(brief.papers, 0).thickness;
  const { high } = brief.inside;
  // Half the first petal's card comes down into the room.
  const needed = (depth: Length) => largest(plus(wallFor(depth, card), half(card)), leastWall);
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
  const inner = liner(brief, 1, linerHigh, {
    piece: 'base',
    card,
    inside: tabLayers(tabs.tabsOn, card),
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
    ok: true,
    frame: {
      sections: [wall, ...inner.sections, ...floor.sections, petal.across, petal.deep],
      pieces: [
        petalTray(tray, { across: petal.across.id, deep: petal.deep.id }, brief.options.petals),
        inner.template,
      ],
      fits: inner.fits,
      smaller: [
        { less: linerHigh.id, more: wall.id, by: times(card, 1.5) },
        ...footprint.map((way) => ({
          less: floor[way],
          more: petal[way].id,
          moreTimes: 2,
          // Petals that face each other go past each other by so much, and not only meet.
          by: smallest(millimetres(6), times(floor.byDirection[way].least, 0.1)),
          scantBy: smallest(millimetres(3), times(floor.byDirection[way].least, 0.05)),
        })),
      ],
      settle: (size) => {
        const thick = toMillimetres(card);
        const clearInside = {
          ...inner.inside(size),
          high: minus(size(wall.id), card),
        };
        return {
          clearInside,
          assembly: {
            parts: [
              sitting({
                id: 'base',
                root: { column: 2.5, row: 2.5 },
                at: vector(inner.aside, 0, -thick / 2),
              }),
              inner.part(size, { lower: 0.01, joins: stages.liner }),
            ],
            stacks: [...stacksOf('base'), ...inner.stacks(size)],
            cavity: roomOf(clearInside),
            giftEnters: stages.gift,
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
  papers: ['Base', 'Liner'],
  options,
  usual: { petals: 'half-round' },
  traits: () => ({ opensFromTop: true, showsGift: false }),
  answer,
});
