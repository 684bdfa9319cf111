import { z } from 'zod';
import { clearDepth, wallFor } from '../gaps/index.ts';
import { vector, type Cavity } from '../fold/index.ts';
import {
  addLayers,
  depthOf,
  evenLayers,
  fitsOver,
  floorSections,
  leastWall,
  lidTray,
  depthWindow,
  overturned,
  section,
  sectionsOver,
  sitting,
  tabLayers,
  trayFloor,
  trayStacks,
  trayTemplate,
  type PieceTemplate,
  type StyleAnswer,
  type StyleBrief,
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
  const seatCard = paperFor(brief.papers, 2).thickness;
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
  const panel = {
    least: plus(wanted.least, times(margin, 2)),
    target: plus(wanted.target, times(margin, 2)),
  };
  const wide = { ...brief, inside: { across: panel, deep: panel, high } };
  const tabs = { tabsOn: 'sides', tabsLie: 'inside' } as const;
  const seatTabs = tabLayers(tabs.tabsOn, seatCard);
  const seatFloor = floorSections(wide, 'seat', seatCard, seatTabs);
  const between = addLayers(evenLayers(plus(card, seatCard)), tabLayers(tabs.tabsOn, card));
  const gap = paperFor(brief.papers, 2).gaps.liner;
  const baseFloor = sectionsOver(brief, 'base', { inner: seatFloor, layers: between, gap });
  const needed = (depth: typeof high.least) => largest(wallFor(depth, card), leastWall);
  const wall = section(brief, 'base wall', {
    least: needed(high.least),
    target: needed(high.target),
  });
  const seatTarget =
    typeof height === 'number' ? height : largest(times(high.target, shares[height]), leastWall);
  const seatWall = {
    ...section(brief, 'seat wall', { least: seatTarget, target: seatTarget, weight: 0.2 }),
    least: largest(millimetres(6), minus(seatTarget, depthWindow)),
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
    floor: seatFloor,
    floorRole: 'lid',
    ...tabs,
  };
  const plain = trayTemplate(seat);
  // The runs of a circle that is cut stand outside the room, not across it; a punch makes a true one.
  const flat = Math.cos(Math.PI / runs);
  const opening = punched === undefined ? wanted.target : nanometres(Math.floor(punched * flat));
  const radius =
    punched === undefined ? nanometres(Math.ceil(opening / 2 / flat) + 1) : half(punched);
  const pierced: PieceTemplate = {
    ...plain,
    draw: (size) => {
      const grid = plain.draw(size);
      const middle = (floor: typeof opening) => plus(size(seatWall.id), half(floor));
      return {
        ...grid,
        cutouts: [
          ...grid.cutouts,
          {
            shape: 'hole',
            use: punched === undefined ? 'seat' : 'punched seat',
            centre: {
              x: middle(size(seatFloor.across)),
              y: middle(size(seatFloor.deep)),
            },
            radius,
          },
        ],
      };
    },
  };
  const lid = lidTray(
    brief,
    { id: 'lid', name: 'Lid', paper: 1, ...tabs },
    { piece: 'base', floor: baseFloor, wall, card, outside: evenLayers(zero) },
    brief.options.lidDepth,
  );
  return {
    ok: true,
    frame: {
      sections: [wall, seatWall, ...seatFloor.sections, ...baseFloor.sections, ...lid.sections],
      pieces: [trayTemplate(base), lid.template, pierced],
      fits: [
        ...lid.fits,
        ...fitsOver('liner', {
          outer: { piece: 'base', floor: baseFloor },
          inner: { piece: 'seat', floor: seatFloor },
          layers: between,
          gap,
        }),
      ],
      smaller: [...lid.smaller, { less: seatWall.id, more: wall.id, by: times(card, 2) }],
      depths: [
        lid.depth('lidDepth'),
        depthOf('seat', seatWall.id, {
          least: leastWall,
          most: minus(wall.target, times(card, 2)),
        }),
        {
          option: 'margin',
          ...marginLimits,
          comes: (size) => minus(half(size(seatFloor.across)), radius),
        },
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
                root: trayFloor(base),
                at: vector(0, 0, -toMillimetres(card) / 2),
              }),
              overturned({
                id: 'seat',
                // A corner of the panel, beside the opening.
                root: { column: 1.02, row: 1.02 },
                at: vector(
                  0.48 * toMillimetres(size(seatFloor.across)),
                  0.48 * toMillimetres(size(seatFloor.deep)),
                  toMillimetres(size(seatWall.id)) + 0.01,
                ),
                joins: stages.seat,
                opens: vector(0, 0, top + 10),
              }),
              lid.part(size, { top, joins: stages.lid }),
            ],
            stacks: [
              ...trayStacks(base, { id: 'base' }),
              ...trayStacks(seat, { id: 'seat' }),
              ...lid.stacks,
            ],
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
  usual: { seat: 'middle', lidDepth: 'half', opening: 'cut', margin: 'usual' },
  traits: () => ({ opensFromTop: true, showsGift: false }),
  answer,
});
