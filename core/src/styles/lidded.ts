import { z } from 'zod';
import { clearDepth, clearInside, foldToFoldFor, wallFor } from '../fit/index.ts';
import type { Chain, Fit, MarksSolution, Section } from '../fit/index.ts';
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
import type { Fold, GridLine, Piece, ScoreGrid } from '../piece/index.ts';
import type { PieceFrame, Box, BoxFit, StyleBrief, StyleFrame } from './style.ts';

/**
 * How far the lid comes down, and which pair of walls carries the tabs. Tabs on the side walls lie behind
 * the front and the back, so that the front shows no edge.
 */
export const liddedOptionsSchema = z.object({
  lidDepth: z.enum(['shallow', 'half', 'full']),
  tabsOn: z.enum(['sides', 'front and back']),
});
export type LiddedOptions = z.infer<typeof liddedOptionsSchema>;

export const liddedDefaults: LiddedOptions = {
  lidDepth: 'shallow',
  tabsOn: 'sides',
};

/** A tab under this height has no room for glue. */
const leastWall = millimetres(8);

type Footprint = 'across' | 'deep';
const footprint: readonly Footprint[] = ['across', 'deep'];

/** Tabs lie inside the pair of walls that doesn't carry them: one at either end, each a layer of card. */
function tabLayers(direction: Footprint, card: Length, options: LiddedOptions): Length {
  const behind: Footprint = options.tabsOn === 'sides' ? 'deep' : 'across';
  return direction === behind ? times(card, 2) : zero;
}

/** How far above its target a section may be pushed by the marks before the search gives up. */
function window(brief: StyleBrief<LiddedOptions>): Length {
  return largest(times(brief.kit.board.pitch, 2), times(brief.kit.trimmer.step, 4));
}

/** A gift as deep as it is across gets a square box, cut at one setting. */
function floorIds(brief: StyleBrief<LiddedOptions>): Record<Footprint, string> {
  const { across, deep } = brief.inside;
  const square = across.target === deep.target && across.least === deep.least;
  return square ? { across: 'floor', deep: 'floor' } : { across: 'across', deep: 'deep' };
}

function baseFloor(brief: StyleBrief<LiddedOptions>, direction: Footprint): Section {
  const card = brief.papers.base.thickness;
  const layers = tabLayers(direction, card, brief.options);
  const target = foldToFoldFor(brief.inside[direction].target, card, layers);
  return {
    id: direction,
    least: foldToFoldFor(brief.inside[direction].least, card, layers),
    target,
    most: plus(target, window(brief)),
    weight: 1,
  };
}

/** The lid's floor over the base's: both cards' layers, and the gap. */
function lidFloor(brief: StyleBrief<LiddedOptions>, base: Section, layers: Length): Section {
  const over = plus(layers, brief.papers.lid.lidGap.target);
  return {
    id: base.id,
    least: base.least,
    target: plus(base.target, over),
    most: plus(base.most, over, window(brief)),
    // What counts is its gap over the base.
    weight: 0,
  };
}

/** Where the square box has one section for both directions, it must do for both. */
function merged(id: string, sections: readonly Section[]): Section {
  const [first, ...rest] = sections;
  if (!first) throw new Error('A section needs a direction');
  return rest.reduce<Section>(
    (one, other) => ({
      id,
      least: largest(one.least, other.least),
      target: half(plus(one.target, other.target)),
      most: largest(one.most, other.most),
      weight: one.weight,
    }),
    { ...first, id },
  );
}

function sectionsByFloor(
  prefix: string,
  ids: Record<Footprint, string>,
  sections: Record<Footprint, Section>,
): readonly Section[] {
  return ids.across === ids.deep
    ? [merged(`${prefix} ${ids.across}`, [sections.across, sections.deep])]
    : footprint.map((direction) => ({
        ...sections[direction],
        id: `${prefix} ${ids[direction]}`,
      }));
}

function lidWallTarget(base: Section, depth: LiddedOptions['lidDepth']): Length {
  switch (depth) {
    case 'shallow':
      return largest(
        smallest(largest(times(base.target, 1 / 3), millimetres(12)), millimetres(25), base.target),
        leastWall,
      );
    case 'half':
      return largest(half(base.target), leastWall);
    case 'full':
      return base.target;
  }
}

const pieces: readonly PieceFrame[] = [
  {
    id: 'base',
    name: 'Base',
    paper: 'base',
    across: 'base across',
    down: 'base deep',
  },
  {
    id: 'lid',
    name: 'Lid',
    paper: 'lid',
    across: 'lid across',
    down: 'lid deep',
  },
];

/**
 * A tray and a larger tray over it. Both directions of each are wall, floor, wall; each corner is a tab.
 */
export function frameLidded(brief: StyleBrief<LiddedOptions>): StyleFrame {
  const { base, lid } = brief.papers;
  const ids = floorIds(brief);
  const baseWall: Section = {
    id: 'base wall',
    least: largest(wallFor(brief.inside.high.least, base.thickness), leastWall),
    target: largest(wallFor(brief.inside.high.target, base.thickness), leastWall),
    most: plus(
      largest(wallFor(brief.inside.high.target, base.thickness), leastWall),
      window(brief),
    ),
    weight: 1,
  };
  const lidTarget = lidWallTarget(baseWall, brief.options.lidDepth);
  const isFull = brief.options.lidDepth === 'full';
  const lidWallId = isFull ? baseWall.id : 'lid wall';
  const lidWall: Section = {
    id: lidWallId,
    least: largest(leastWall, minus(lidTarget, window(brief))),
    target: lidTarget,
    most: plus(lidTarget, window(brief)),
    // How deep the lid is matters less than the room.
    weight: 0.25,
  };
  const lidLayers = (direction: Footprint) =>
    plus(base.thickness, lid.thickness, tabLayers(direction, lid.thickness, brief.options));
  const baseFloors = {
    across: baseFloor(brief, 'across'),
    deep: baseFloor(brief, 'deep'),
  };
  const lidFloors = {
    across: lidFloor(brief, baseFloors.across, lidLayers('across')),
    deep: lidFloor(brief, baseFloors.deep, lidLayers('deep')),
  };
  const chains = footprint.flatMap((direction): readonly Chain[] => [
    {
      id: `base ${direction}`,
      sections: [baseWall.id, `base ${ids[direction]}`, baseWall.id],
    },
    {
      id: `lid ${direction}`,
      sections: [lidWallId, `lid ${ids[direction]}`, lidWallId],
    },
  ]);
  const fits = footprint.map((direction): Fit => ({
    id: `lid over base, ${direction}`,
    group: 'lid over base',
    outer: `lid ${ids[direction]}`,
    inner: `base ${ids[direction]}`,
    layers: lidLayers(direction),
    gap: lid.lidGap,
  }));
  return {
    pieces,
    problem: {
      sections: [
        baseWall,
        ...(isFull ? [] : [lidWall]),
        ...sectionsByFloor('base', ids, baseFloors),
        ...sectionsByFloor('lid', ids, lidFloors),
      ],
      chains,
      fits,
      notLarger: isFull ? [] : [[lidWall.id, baseWall.id]],
      limits: pieces.map(({ across, down, paper }) => ({
        across,
        down,
        width: brief.papers[paper].sheet.width,
        height: brief.papers[paper].sheet.height,
        mayTurn: brief.papers[paper].printRuns === 'any way',
      })),
      tools: {
        step: brief.kit.trimmer.step,
        pitch: brief.kit.board.pitch,
        reach: brief.kit.board.reach,
      },
      lean: brief.lean,
    },
    build: (solution) => buildLidded(brief, ids, lidWallId, solution),
  };
}

function buildLidded(
  brief: StyleBrief<LiddedOptions>,
  ids: Record<Footprint, string>,
  lidWallId: string,
  solution: MarksSolution,
): Box {
  const sizeOf = (id: string): Length => {
    const size = solution.sections.get(id);
    if (size === undefined) throw new Error(`The solver left out ${id}`);
    return size;
  };
  const tray = (id: 'base' | 'lid', name: string, wall: Length): Piece => ({
    id,
    name,
    paper: id,
    copies: 1,
    grid: trayGrid(
      wall,
      sizeOf(`${id} ${ids.across}`),
      sizeOf(`${id} ${ids.deep}`),
      brief.options.tabsOn,
      id === 'base' ? 'floor' : 'lid',
    ),
  });
  const card = brief.papers.base.thickness;
  const inside = (direction: Footprint) =>
    clearInside(sizeOf(`base ${ids[direction]}`), card, tabLayers(direction, card, brief.options));
  return {
    pieces: [tray('base', 'Base', sizeOf('base wall')), tray('lid', 'Lid', sizeOf(lidWallId))],
    clearInside: {
      across: inside('across'),
      deep: inside('deep'),
      high: clearDepth(sizeOf('base wall'), card),
    },
    fits: footprint.map((direction): BoxFit => ({
      id: `lid over base, ${direction}`,
      outer: 'lid',
      inner: 'base',
      direction,
      gap: solution.gaps.get(`lid over base, ${direction}`) ?? zero,
      range: brief.papers.lid.lidGap,
    })),
  };
}

/** A tray: floor in the middle, four walls, four corner tabs on the chosen pair of walls. */
function trayGrid(
  wall: Length,
  across: Length,
  deep: Length,
  tabsOn: LiddedOptions['tabsOn'],
  floor: 'floor' | 'lid',
): ScoreGrid {
  const fold: Fold = { sense: 'valley', angle: 90 };
  const score = (from: number, to: number) => ({
    make: 'score' as const,
    from,
    to,
    fold,
  });
  const slit = (from: number, to: number) => ({
    make: 'slit' as const,
    from,
    to,
  });
  const throughTabs = [score(0, 3)];
  const besideTabs = [slit(0, 1), score(1, 2), slit(2, 3)];
  const line = (axis: GridLine['axis'], index: number): GridLine => ({
    axis,
    index,
    spans: (axis === 'row') === (tabsOn === 'sides') ? throughTabs : besideTabs,
  });
  return {
    columns: [wall, across, wall],
    rows: [wall, deep, wall],
    roles: [
      ['tab', 'wall', 'tab'],
      ['wall', floor, 'wall'],
      ['tab', 'wall', 'tab'],
    ],
    lines: [line('column', 1), line('column', 2), line('row', 1), line('row', 2)],
    diagonals: [],
    tapers: [0, 2].flatMap((column) =>
      [0, 2].map((row) => ({
        cell: { column, row },
        hinge:
          tabsOn === 'sides'
            ? row === 0
              ? ('bottom' as const)
              : ('top' as const)
            : column === 0
              ? ('right' as const)
              : ('left' as const),
        inset: smallest(millimetres(1.5), times(wall, 1 / 8)),
      })),
    ),
  };
}
