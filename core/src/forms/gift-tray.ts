import { wallFor } from '../gaps/index.ts';
import type { Section } from '../marks/index.ts';
import { vector, type Cavity, type Part } from '../fold/index.ts';
import type { Extents } from '../gift/index.ts';
import { largest, toMillimetres, zero, type Length } from '../length/index.ts';
import { paperFor, type Papers } from '../paper/index.ts';
import type { Cutout } from '../piece/index.ts';
import type { PieceTemplate, SizeOf, StyleAnswer, StyleBrief } from './brief.ts';
import { boxRoom, sitting } from './placing.ts';
import { trayInside } from './tray-inside.ts';
import {
  addLayers,
  evenLayers,
  floorSections,
  leastWall,
  section,
  type FloorSections,
  type Layers,
  wideEnoughForTabs,
} from './sections.ts';
import {
  insideLayers,
  outsideLayers,
  trayFloor,
  trayStacks,
  trayTemplate,
  type Tray,
} from './tray.ts';

/** What is folded or put together when, counted over the whole box. */
const stages = { gift: 3 } as const;

type Brief = Pick<StyleBrief<unknown>, 'inside' | 'kit' | 'mayBeOblong'> & {
  readonly papers: Papers;
};

/** A tray that holds the gift. */
export interface GiftTray {
  readonly tray: Tray & { readonly floor: FloorSections };
  readonly card: Length;
  readonly wall: Section;
  readonly sections: readonly Section[];
  /** Card that its tabs lay on the outside of its walls. */
  readonly outside: Layers;
  readonly inside: (size: SizeOf) => Extents;
  readonly room: (size: SizeOf) => Cavity;
  /** The tray as the part that the others are put on. */
  readonly part: Part;
}

/** The inside of a box as the room that its gift has. */
export function roomOf({ across, deep, high }: Extents): Cavity {
  return boxRoom(toMillimetres(across), toMillimetres(deep), toMillimetres(high));
}

/** A tray that something goes over: all that is glued lies inside, so that nothing rubs on it. */
export const smoothTray = { id: 'tray', paper: 0, tabsOn: 'sides', tabsLie: 'inside' } as const;

/** The tray that the gift with its room needs; more card may lie inside its walls than its own tabs. */
export function giftTray(
  asked: Brief,
  plain: Omit<Tray, 'wall' | 'floor' | 'floorRole'>,
  linedWith: Layers = evenLayers(zero),
): GiftTray {
  const brief = wideEnoughForTabs(asked, plain.tabsOn === 'sides' ? 'across' : 'deep');
  const card = paperFor(brief.papers, plain.paper).thickness;
  const layers = addLayers(insideLayers(plain, card), linedWith);
  const floor = floorSections(brief, plain.id, card, layers);
  const needed = (depth: Length) => largest(wallFor(depth, card), leastWall);
  const { high } = brief.inside;
  const wall = section(brief, `${plain.id} wall`, {
    least: needed(high.least),
    target: needed(high.target),
  });
  const inside = (size: SizeOf) => trayInside({ floor, wall, card, layers }, size);
  const tray = { ...plain, wall: wall.id, floor, floorRole: 'floor' } as const;
  return {
    tray,
    card,
    wall,
    sections: [wall, ...floor.sections],
    outside: outsideLayers(plain, card),
    inside,
    room: (size) => roomOf(inside(size)),
    part: sitting({
      id: plain.id,
      root: trayFloor(tray),
      at: vector(0, 0, -toMillimetres(card) / 2),
    }),
  };
}

/** The same piece with more cut out of it. */
export function withCutouts(
  piece: PieceTemplate,
  cutouts: (size: SizeOf) => readonly Cutout[],
): PieceTemplate {
  return {
    ...piece,
    draw: (size) => {
      const grid = piece.draw(size);
      return { ...grid, cutouts: [...grid.cutouts, ...cutouts(size)] };
    },
  };
}

/** The box that one open tray makes, with what is cut out of it. */
export function openTray(
  gift: GiftTray,
  cutouts: (size: SizeOf) => readonly Cutout[],
): StyleAnswer {
  return {
    ok: true,
    frame: {
      sections: gift.sections,
      pieces: [withCutouts(trayTemplate(gift.tray), cutouts)],
      fits: [],
      smaller: [],
      settle: (size) => ({
        clearInside: gift.inside(size),
        assembly: {
          parts: [gift.part],
          stacks: [...trayStacks(gift.tray, gift.part)],
          cavity: gift.room(size),
          giftEnters: stages.gift,
        },
      }),
    },
  };
}
