import type { Section, SmallerPair } from '../marks/index.ts';
import { vector, type Part, type Stack } from '../fold/index.ts';
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
import type { PieceTemplate, SizeOf, StyleBrief, StyleDepth, StyleFit } from './brief.ts';
import { depthOf, type Depth } from './depth.ts';
import { overturned } from './placing.ts';
import {
  addLayers,
  evenLayers,
  fitsOver,
  leastWall,
  depthWindow,
  section,
  sectionsOver,
  type FloorSections,
  type Layers,
} from './sections.ts';
import { insideLayers, trayFloor, trayStacks, trayTemplate, type Tray } from './tray.ts';

/** How far a lid comes down. */
export type LidDepth = Depth<'shallow' | 'half' | 'full'>;

/** The wall of a lid over a wall of this height. */
export function lidWallTarget(under: Length, depth: LidDepth): Length {
  if (typeof depth === 'number') return depth;
  switch (depth) {
    case 'shallow':
      return largest(
        smallest(largest(times(under, 1 / 3), millimetres(12)), millimetres(25), under),
        leastWall,
      );
    case 'half':
      return largest(half(under), leastWall);
    case 'full':
      return under;
  }
}

/** What a lid goes over. */
interface Under {
  readonly piece: string;
  readonly floor: FloorSections;
  readonly wall: Section;
  readonly card: Length;
  /** Card that lies on the outside of its walls. */
  readonly outside: Layers;
}

type Brief = Pick<StyleBrief<unknown>, 'inside' | 'kit' | 'mayBeOblong'> & {
  readonly papers: Papers;
};

/** What a lid lies on, in millimetres, and the stage at which it comes. */
interface OverWhat {
  readonly top: number;
  /** How far to the right of the middle; not at all where nothing is said. */
  readonly aside?: number;
  readonly joins: number;
}

/** A tray upside down over something. */
export interface LidTray {
  readonly wall: Section;
  readonly sections: readonly Section[];
  readonly template: PieceTemplate;
  readonly fits: readonly StyleFit[];
  readonly smaller: readonly SmallerPair[];
  /** How deep it may be, for the option that says so. */
  readonly depth: (option: string) => StyleDepth;
  /** The lid in its place. */
  readonly part: (size: SizeOf, over: OverWhat) => Part;
  readonly stacks: readonly Stack[];
}

/** The lid that goes over something with a light tug. */
export function lidTray(
  brief: Brief,
  plain: Omit<Tray, 'wall' | 'floor' | 'floorRole'>,
  under: Under,
  depth: LidDepth,
): LidTray {
  const paper = paperFor(brief.papers, plain.paper);
  const card = paper.thickness;
  const between = addLayers(
    evenLayers(plus(under.card, card)),
    under.outside,
    insideLayers(plain, card),
  );
  const floor = sectionsOver(brief, plain.id, {
    inner: under.floor,
    layers: between,
    gap: paper.gaps.lid,
  });
  const target = lidWallTarget(under.wall.target, depth);
  const isFull = depth === 'full';
  const wall: Section = {
    // How deep the lid is matters less than the room.
    ...section(brief, isFull ? under.wall.id : `${plain.id} wall`, {
      least: target,
      target,
      weight: 0.25,
    }),
    least: largest(leastWall, minus(target, depthWindow)),
  };
  const tray: Tray = { ...plain, wall: wall.id, floor, floorRole: 'lid' };
  return {
    wall,
    sections: [...(isFull ? [] : [wall]), ...floor.sections],
    template: trayTemplate(tray),
    fits: fitsOver('lid', {
      outer: { piece: plain.id, floor },
      inner: { piece: under.piece, floor: under.floor },
      layers: between,
      gap: paper.gaps.lid,
    }),
    smaller: isFull ? [] : [{ less: wall.id, more: under.wall.id, by: zero }],
    depth: (option) => depthOf(option, wall.id, { least: leastWall, most: under.wall.target }),
    part: (size, { top, aside = 0, joins }) =>
      overturned({
        id: plain.id,
        root: trayFloor(tray),
        at: vector(aside, 0, top + toMillimetres(card) / 2),
        joins,
        opens: vector(0, 0, top + toMillimetres(size(wall.id)) + 20),
      }),
    stacks: trayStacks(tray, { id: plain.id }),
  };
}
