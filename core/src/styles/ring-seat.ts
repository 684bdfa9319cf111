import { z } from 'zod';
import { clearDepth, wallFor } from '../gaps/index.ts';
import { vector, type Cavity, type GridSpot, type Part, type Stack } from '../fold/index.ts';
import type { Section, SmallerPair } from '../marks/index.ts';
import type { Cutout, Spot } from '../piece/index.ts';
import {
  addLayers,
  builtInSeat,
  depthOf,
  evenLayers,
  fitsOver,
  floorSections,
  leastWall,
  lidTray,
  depthWindow,
  overturned,
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
  type SizeOf,
  type StyleAnswer,
  type StyleBrief,
  type StyleDepth,
  type StyleFit,
  type Tray,
} from '../forms/index.ts';
import {
  formatWithUnit,
  hair,
  half,
  largest,
  millimetres,
  minus,
  nanometres,
  plus,
  times,
  toMillimetres,
  zero,
  type Length,
} from '../length/index.ts';
import { paperFor } from '../paper/index.ts';
import { roundPunches, type Kit } from '../tools/index.ts';
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

/** A punched circle is drawn with this many straight runs, none of which may stand in the room. */
const runs = 48;

function roundRoom(radius: number, high: number): Cavity {
  const floor = Array.from({ length: runs }, (_, i) => {
    const angle = ((2 * i) / runs) * Math.PI;
    return { x: radius * Math.cos(angle), y: radius * Math.sin(angle) };
  });
  return { floor, top: floor, bottom: 0, high };
}

/** How much wider than the room asked for an opening may be before the gift slips through. */
const slip = millimetres(1);

/** Smaller holes are for ribbon. */
const smallestOpening = millimetres(15);

/** The round punch for an opening between these widths; undefined where none makes one. */
function punchFor(least: Length, target: Length, { punches }: Kit): Length | undefined {
  return roundPunches(punches).find(
    (wide) => wide * Math.cos(Math.PI / runs) >= minus(least, hair) && wide <= plus(target, slip),
  );
}

/** How wide a round opening must be that leaves the room that is asked for both ways. */
function openingNeeded({ across, deep }: Brief['inside']): Brief['inside']['across'] {
  return {
    least: largest(across.least, deep.least),
    target: largest(across.target, deep.target),
  };
}

function noPunch({ inside, kit }: Brief): StyleAnswer {
  const { unit } = kit.trimmer;
  const { least, target } = openingNeeded(inside);
  const sizes = roundPunches(kit.punches)
    .filter((wide) => wide >= smallestOpening)
    .map((wide) => formatWithUnit(wide, unit));
  const come =
    sizes.length === 0 ? 'there is none in this kit' : `they come in ${sizes.join(', ')}`;
  return {
    ok: false,
    refusal: {
      field: 'style.options.opening',
      message: `No round punch makes an opening between ${formatWithUnit(least, unit)} and ${formatWithUnit(plus(target, slip), unit)}; ${come}.`,
    },
  };
}

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
  readonly radius: Length;
  readonly opening: (middle: Spot) => Cutout;
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
function byItself({ brief, card, wall, panel, high, radius, opening }: Seating): Seated {
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
    return [opening({ x: middle(size(floor.across)), y: middle(size(floor.deep)) })];
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
    margin: (size) => minus(half(size(floor.across)), radius),
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

/** A panel of the base itself; undefined where its walls are too low for one. */
function withBase({
  brief,
  card,
  wall,
  panel,
  high,
  radius,
  opening,
}: Seating): Seated | undefined {
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
  const seat = builtInSeat(brief, { base, card, panel, wall, high, opening });
  return (
    seat && {
      floor,
      base: seat.template,
      more: [],
      sections: seat.sections,
      fits: [seat.fit],
      smaller: [],
      depth: seat.depth('seat'),
      margin: (size) => minus(half(size(seat.fit.innerSection)), radius),
      root: seat.root,
      parts: () => [],
      stacks: seat.stacks,
    }
  );
}

const tooLow: StyleAnswer = {
  ok: false,
  refusal: {
    field: 'style.options.seatMade',
    message:
      'Seat made with the base: it hangs on the back wall by a strip that is glued to it, and this wall is too low for a strip and for the tongue under the seat.',
  },
};

function answer(brief: Brief): StyleAnswer {
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
  const needsOpening = openingNeeded(brief.inside);
  const punched =
    brief.options.opening === 'punched'
      ? punchFor(needsOpening.least, needsOpening.target, brief.kit)
      : undefined;
  if (brief.options.opening === 'punched' && punched === undefined) return noPunch(brief);
  const wanted = punched === undefined ? needsOpening : { least: punched, target: punched };
  const { margin: asked, seat: height } = brief.options;
  const margin = asked === 'usual' ? usualMargin : asked;
  const needed = (depth: Length) => largest(wallFor(depth, card), leastWall);
  const wall = section(brief, 'base wall', {
    least: needed(high.least),
    target: needed(high.target),
  });
  // The runs of a circle that is cut stand outside the room, not across it; a punch makes a true one.
  const flat = Math.cos(Math.PI / runs);
  const opening = punched === undefined ? wanted.target : nanometres(Math.floor(punched * flat));
  const radius =
    punched === undefined ? nanometres(Math.ceil(opening / 2 / flat) + 1) : half(punched);
  const seating: Seating = {
    brief,
    card,
    wall,
    panel: {
      least: plus(wanted.least, times(margin, 2)),
      target: plus(wanted.target, times(margin, 2)),
    },
    high:
      typeof height === 'number' ? height : largest(times(high.target, shares[height]), leastWall),
    radius,
    opening: (centre) => ({
      shape: 'hole',
      use: punched === undefined ? 'seat' : 'punched seat',
      centre,
      radius,
    }),
  };
  const seated = brief.options.seatMade === 'with the base' ? withBase(seating) : byItself(seating);
  if (!seated) return tooLow;
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
          clearInside: { across: opening, deep: opening, high: clearHigh },
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
            cavity: roundRoom(toMillimetres(opening) / 2 / flat, top),
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
  answer,
});
