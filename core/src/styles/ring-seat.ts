import { z } from 'zod';
import { clearDepth, wallFor } from '../gaps/index.ts';
import { vector, type GridSpot, type Part, type Stack } from '../fold/index.ts';
import type { Section, SmallerPair } from '../marks/index.ts';
import {
  addLayers,
  builtInSeat,
  cutOpening,
  depthOf,
  evenLayers,
  fitsOver,
  floorSections,
  leastWall,
  lidTray,
  noPunchFor,
  depthWindow,
  overturned,
  punchedOpening,
  section,
  seatLayers,
  sectionsOver,
  sitting,
  tabLayers,
  trayFloor,
  trayStacks,
  trayTemplate,
  withCutouts,
  type FloorSections,
  type PieceTemplate,
  type RoundOpening,
  type SizeOf,
  type StyleAnswer,
  type StyleBrief,
  type StyleDepth,
  type StyleFit,
  type Tray,
} from '../forms/index.ts';
import {
  formatWithUnit,
  half,
  largest,
  millimetres,
  minus,
  plus,
  roundUp,
  times,
  toMillimetres,
  zero,
  type Length,
} from '../length/index.ts';
import { paperFor } from '../paper/index.ts';
import { defineStyle } from './define-style.ts';
import { howDeep, oneOf } from './options.ts';

/** What is folded or put together when, counted over the whole box. */
const stages = { seat: 4, gift: 5, lid: 6 } as const;

const options = z.object({
  seat: howDeep({ title: 'Seat', measures: 'the seat’s wall, from its edge to its fold' }, [
    'low',
    'middle',
    'high',
  ]),
  lidDepth: howDeep({ title: 'Lid', measures: 'the lid’s wall, from its edge to its fold' }, [
    'shallow',
    'half',
    'full',
  ]),
  opening: oneOf('Opening', ['cut', 'punched']),
  margin: howDeep({ title: 'Card round the opening', measures: 'from the opening to the fold' }, [
    'usual',
  ]).default('usual'),
  seatMade: oneOf('Seat made', ['by itself', 'with the base']).default('by itself'),
});
type Brief = StyleBrief<z.infer<typeof options>>;

/** Card left round the opening, so that the seat stays stiff. */
const usualMargin = millimetres(9);
const marginLimits = { least: millimetres(4), most: millimetres(60) } as const;

/** How high the seat is, as a share of the room. */
const shares = { low: 0.35, middle: 0.55, high: 0.8 } as const;

const tabs = { tabsOn: 'sides', tabsLie: 'inside' } as const;

/** What a seat is made for. */
interface Seating {
  readonly brief: Brief;
  /** The card of the base. */
  readonly card: Length;
  readonly wall: Section;
  /** How long the sides of the seat must be. */
  readonly panel: { readonly least: Length; readonly target: Length };
  /** How high it is to stand. */
  readonly high: Length;
  readonly opening: RoundOpening;
}

/** A base with a seat in it, however that is made. */
interface Seated {
  readonly floor: FloorSections;
  readonly base: PieceTemplate;
  /** What is made beside the base. */
  readonly more: readonly PieceTemplate[];
  readonly sections: readonly Section[];
  readonly fits: readonly StyleFit[];
  readonly smaller: readonly SmallerPair[];
  readonly depth: StyleDepth;
  readonly margin: (size: SizeOf) => Length;
  /** The middle of the base's floor. */
  readonly root: GridSpot;
  readonly parts: (size: SizeOf, top: number) => readonly Part[];
  readonly stacks: (size: SizeOf) => readonly Stack[];
}

/** A tray upside down in the base. */
function byItself({ brief, card, wall, panel, high, opening }: Seating): Seated {
  const { thickness: own, gaps } = paperFor(brief.papers, 2);
  const wide = { ...brief, inside: { ...brief.inside, across: panel, deep: panel } };
  const floor = floorSections(wide, 'seat', own, tabLayers(tabs.tabsOn, own));
  const layers = addLayers(evenLayers(plus(card, own)), tabLayers(tabs.tabsOn, card));
  const baseFloor = sectionsOver(brief, 'base', { inner: floor, layers, gap: gaps.liner });
  const seatWall = {
    ...section(brief, 'seat wall', { least: high, target: high, weight: 0.2 }),
    least: largest(millimetres(6), minus(high, depthWindow)),
  };
  const base: Tray = {
    id: 'base',
    name: 'Base',
    paper: 0,
    wall: wall.id,
    floor: baseFloor,
    floorRole: 'floor',
    ...tabs,
  };
  const seat: Tray = {
    id: 'seat',
    name: 'Seat',
    paper: 2,
    wall: seatWall.id,
    floor,
    floorRole: 'lid',
    ...tabs,
  };
  const pierced = withCutouts(trayTemplate(seat), (size) => {
    const middle = (side: Length) => plus(size(seatWall.id), half(side));
    return [opening.cutout({ x: middle(size(floor.across)), y: middle(size(floor.deep)) })];
  });
  return {
    floor: baseFloor,
    base: trayTemplate(base),
    more: [pierced],
    sections: [seatWall, ...floor.sections],
    fits: fitsOver('liner', {
      outer: { piece: 'base', floor: baseFloor },
      inner: { piece: 'seat', floor },
      layers,
      gap: gaps.liner,
    }),
    smaller: [{ less: seatWall.id, more: wall.id, by: times(card, 2) }],
    depth: depthOf('seat', seatWall.id, {
      least: leastWall,
      most: minus(wall.target, times(card, 2)),
    }),
    margin: (size) => minus(half(size(floor.across)), opening.radius),
    root: trayFloor(base),
    parts: (size, top) => [
      overturned({
        id: 'seat',
        // A corner of the panel, beside the opening.
        root: { column: 1.02, row: 1.02 },
        at: vector(
          0.48 * toMillimetres(size(floor.across)),
          0.48 * toMillimetres(size(floor.deep)),
          toMillimetres(size(seatWall.id)) + 0.01,
        ),
        joins: stages.seat,
        opens: vector(0, 0, top + 10),
      }),
    ],
    stacks: () => [...trayStacks(base, { id: 'base' }), ...trayStacks(seat, { id: 'seat' })],
  };
}

/** A panel of the base itself, or how high its walls would have to be for one. */
function withBase({
  brief,
  card,
  wall,
  panel,
  high,
  opening,
}: Seating): Seated | { readonly wallFrom: Length } {
  const wide = { ...brief, inside: { ...brief.inside, across: panel, deep: panel } };
  const floor = floorSections(wide, 'base', card, seatLayers(card));
  const base = {
    id: 'base',
    name: 'Base',
    paper: 0,
    wall: wall.id,
    floor,
    floorRole: 'floor',
    ...tabs,
  } as const;
  const seat = builtInSeat(brief, {
    base,
    card,
    panel,
    wall,
    high,
    opening: opening.cutout,
  });
  if ('wallFrom' in seat) return seat;
  return {
    floor,
    base: seat.template,
    more: [],
    sections: seat.sections,
    fits: [seat.fit],
    smaller: [],
    depth: seat.depth('seat'),
    margin: (size) => minus(half(size(seat.fit.innerSection)), opening.radius),
    root: seat.root,
    parts: () => [],
    stacks: seat.stacks,
  };
}

function tooLow({ gift, kit }: Brief, by: Length): StyleAnswer {
  const { step, unit } = kit.trimmer;
  const enough = formatWithUnit(roundUp(plus(gift.high, by), step), unit);
  return {
    ok: false,
    refusal: {
      field: 'style.options.seatMade',
      message: `Seat made with the base: it hangs on the back wall by a strip that is glued to it, and the wall is too low for that and for the tab under the seat. It takes a gift from ${enough} high.`,
    },
  };
}

/** Puts it round the gift, or says why it can’t be. */
export function answer(brief: Brief): StyleAnswer {
  if (!brief.round)
    return {
      ok: false,
      refusal: {
        field: 'gift.shape',
        message:
          'A ring seat holds one round thing that stands: a ball, a bottle or a standing round.',
      },
    };
  const card = paperFor(brief.papers, 0).thickness;
  const { high } = brief.inside;
  const opening = brief.options.opening === 'punched' ? punchedOpening(brief) : cutOpening(brief);
  if (!opening) return { ok: false, refusal: noPunchFor('opening', brief) };
  const { margin: asked, seat: height } = brief.options;
  const margin = asked === 'usual' ? usualMargin : asked;
  const needed = (depth: Length) => largest(wallFor(depth, card), leastWall);
  const wall = section(brief, 'base wall', {
    least: needed(high.least),
    target: needed(high.target),
  });
  const seating: Seating = {
    brief,
    card,
    wall,
    panel: {
      least: plus(opening.wide.least, times(margin, 2)),
      target: plus(opening.wide.target, times(margin, 2)),
    },
    high:
      typeof height === 'number' ? height : largest(times(high.target, shares[height]), leastWall),
    opening,
  };
  const seated = brief.options.seatMade === 'with the base' ? withBase(seating) : byItself(seating);
  if ('wallFrom' in seated) return tooLow(brief, minus(seated.wallFrom, wallFor(high.least, card)));
  const lid = lidTray(
    brief,
    { id: 'lid', name: 'Lid', paper: 1, ...tabs },
    { piece: 'base', floor: seated.floor, wall, card, outside: evenLayers(zero) },
    brief.options.lidDepth,
  );
  return {
    ok: true,
    frame: {
      sections: [wall, ...seated.sections, ...seated.floor.sections, ...lid.sections],
      pieces: [seated.base, lid.template, ...seated.more],
      fits: [...lid.fits, ...seated.fits],
      smaller: [...lid.smaller, ...seated.smaller],
      depths: [
        lid.depth('lidDepth'),
        seated.depth,
        { option: 'margin', ...marginLimits, comes: seated.margin },
      ],
      settle: (size) => {
        const clearHigh = clearDepth(size(wall.id), card);
        const top = toMillimetres(clearHigh);
        return {
          clearInside: { across: opening.clear, deep: opening.clear, high: clearHigh },
          assembly: {
            parts: [
              sitting({
                id: 'base',
                root: seated.root,
                at: vector(0, 0, -toMillimetres(card) / 2),
              }),
              ...seated.parts(size, top),
              lid.part(size, { top, joins: stages.lid }),
            ],
            stacks: [...seated.stacks(size), ...lid.stacks],
            cavity: opening.room(top),
            giftEnters: stages.gift,
          },
        };
      },
    },
  };
}

/** A lidded box with a seat inside whose round opening holds the gift upright. */
export const ringSeat = defineStyle({
  id: 'ring-seat',
  name: 'Ring-seat box',
  about: 'A lidded box with a seat whose round opening holds the gift',
  papers: ['Base', 'Lid', 'Seat'],
  options,
  usual: {
    seat: 'middle',
    lidDepth: 'half',
    opening: 'cut',
    margin: 'usual',
    seatMade: 'by itself',
  },
  traits: () => ({ opensFromTop: true, showsGift: false }),
});
