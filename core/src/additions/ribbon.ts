import { z } from 'zod';
import {
  ribbonWaySchema,
  type FoldingBox,
  type Part,
  type Ribbon,
  type RibbonWay,
} from '../fold/index.ts';
import type { Refusal } from '../forms/index.ts';
import { extentsOf, type Gift } from '../gift/index.ts';
import {
  inchFraction,
  lengthBetween,
  millimetres,
  minus,
  nanometres,
  plus,
  roundUp,
  times,
  toMillimetres,
  zero,
  type Length,
  type Unit,
} from '../length/index.ts';
import { cutSizeOf, type CutoutUse } from '../piece/index.ts';
import { cutUnit } from '../tools/index.ts';
import type { Addition, DressBrief, Undressed } from './addition.ts';
import { slitsApart } from './band-slits.ts';
import { girth, overParts, roundStacked, throughHoles } from './girth.ts';
import { lidParts } from './lids.ts';
import { noRoomTaken } from './room-taken.ts';
import { hasHandleOver } from './round-box.ts';
import { outsideBox } from './worn-box.ts';

/** How wide a ribbon and its bow may be. */
export const ribbonLimits = {
  least: millimetres(2),
  most: millimetres(80),
  mostBow: millimetres(400),
} as const;

/** A ribbon round the closed box. */
export const ribbonChoiceSchema = z.object({
  addition: z.literal('ribbon'),
  id: z.string().min(1).max(40),
  way: ribbonWaySchema,
  width: lengthBetween(ribbonLimits.least, ribbonLimits.most),
  /** How wide its bow is to be; zero for none. */
  bow: lengthBetween(zero, ribbonLimits.mostBow),
});
export type RibbonChoice = z.infer<typeof ribbonChoiceSchema>;

export const ribbonWays: readonly RibbonWay[] = ribbonWaySchema.options;

/** So far the ends of a ribbon lie over each other that is stuck, or are turned in under a rim, each. */
const lapped = { over: millimetres(25), under: millimetres(15) } as const;

/** How long an end is left that is only knotted. */
const knotted = millimetres(70);

/** What a bow takes of its own width: two loops there and back, and two ends of more than half its width. */
const bowTimes = 3.2;

/** What the knot takes, in widths of the ribbon. */
const knotWidths = 5;

function bowOf({ width, bow }: RibbonChoice): Length {
  return plus(times(bow, bowTimes), times(width, knotWidths));
}

function isOverLid(way: RibbonWay): boolean {
  return way === 'lid across' || way === 'lid deep';
}

/** Whether a ribbon that has no bow is knotted: its ends don’t lie flat over each other. */
function isKnotted(way: RibbonWay): boolean {
  return way === 'holes' || way === 'notches' || way === 'band';
}

/** What a ribbon takes beyond what it goes round. */
function endsOf(choice: RibbonChoice): Length {
  const { way, width, bow } = choice;
  if (isOverLid(way)) return times(lapped.under, 2);
  if (bow > 0) return bowOf(choice);
  return isKnotted(way) ? plus(times(knotted, 2), times(width, knotWidths)) : lapped.over;
}

/** Nobody cuts a ribbon nearer than this. */
function cutStep(unit: Unit): Length {
  return unit === 'inch' ? inchFraction(1, 2) : millimetres(10);
}

/** The parts that are lifted off with the lid, and what they wear. */
function dressedLid(box: FoldingBox): ReadonlySet<string> {
  const ids = lidParts(box);
  const worn = box.parts.filter(({ part }) => part.worn && ids.has(part.worn.part));
  return new Set([...ids, ...worn.map(({ part }) => part.id)]);
}

/** What a ribbon is put on. */
interface Tied {
  readonly box: FoldingBox;
  readonly worn: Undressed['worn'];
  readonly gift: Gift;
}

/** The part of a box whose piece has cutouts for that. */
function partWith({ pieces, parts }: Tied['worn'], wanted: CutoutUse): Part | undefined {
  const cut = pieces.find(({ grid }) => grid.cutouts.some(({ use }) => use === wanted));
  return parts.find(({ piece }) => piece === cut?.id);
}

/** How long a ribbon is that goes round the gift and the insert that it lies on, through its notches, in millimetres. */
function roundGift({ worn, gift }: Tied): number | undefined {
  const piece = worn.pieces.find(({ grid }) =>
    grid.cutouts.some(({ use }) => use === 'elastic notch'),
  );
  if (!piece) return undefined;
  const [notch] = piece.grid.cutouts.filter(({ use }) => use === 'elastic notch');
  const deep = notch?.shape === 'notch' ? notch.radius : zero;
  const wide = toMillimetres(minus(cutSizeOf(piece.grid).width, deep, deep));
  const { across, high } = extentsOf(gift);
  return roundStacked([
    { wide, high: 0 },
    { wide: toMillimetres(across), high: toMillimetres(high) },
  ]);
}

/** How far a ribbon goes behind a band, from one of its slits to the other, in millimetres. */
function behindBand({ worn }: Tied): number | undefined {
  const part = partWith(worn, 'ribbon slit');
  return part && part.wraps !== 'under lid' ? toMillimetres(slitsApart) : undefined;
}

/** How long a ribbon is without its ends, in millimetres; undefined where it can’t go so. */
function lengthOf(tied: Tied, way: RibbonWay, width: number): number | undefined {
  const { box } = tied;
  switch (way) {
    case 'notches':
      return roundGift(tied);
    case 'band':
      return behindBand(tied);
    case 'walls':
      return girth(box, 'walls', width);
    case 'across':
    case 'deep':
      return hasHandleOver(box, way, width) ? undefined : girth(box, way, width);
    case 'crossed': {
      const both = (['across', 'deep'] as const).map((each) => lengthOf(tied, each, width));
      return both.includes(undefined)
        ? undefined
        : both.reduce<number>((sum, each) => sum + (each ?? 0), 0);
    }
    case 'lid across':
    case 'lid deep': {
      const parts = dressedLid(box);
      if (parts.size === 0) return undefined;
      return overParts(box, parts, way === 'lid across' ? 'across' : 'deep');
    }
    case 'holes': {
      const long = throughHoles(box);
      return long > 0 ? long : undefined;
    }
  }
}

const waySaid: Readonly<Record<RibbonWay, string>> = {
  walls: 'round the walls',
  across: 'round it from left to right',
  deep: 'round it from front to back',
  crossed: 'crossed',
  'lid across': 'over the lid from left to right',
  'lid deep': 'over the lid from front to back',
  holes: 'through its holes',
  notches: 'round the gift and its insert',
  band: 'through a band',
};

/** Why a ribbon can’t go so. */
function whyNot(way: RibbonWay): string {
  switch (way) {
    case 'holes':
      return 'This box has no holes for a ribbon.';
    case 'notches':
      return 'This box has no insert with notches for a ribbon.';
    case 'band':
      return 'This box has no band for a ribbon to go through, or its band is under the lid.';
    case 'lid across':
    case 'lid deep':
      return 'This box has no lid that comes off, for a ribbon to go over.';
    case 'walls':
    case 'across':
    case 'deep':
    case 'crossed':
      return 'The handle is in the way of a ribbon over the top.';
  }
}

function refused({ way, width }: RibbonChoice, tied: Tied, { field }: DressBrief): Refusal {
  const why = whyNot(way);
  const others = ribbonWays.filter(
    (each) => lengthOf(tied, each, toMillimetres(width)) !== undefined,
  );
  return {
    field: `${field}.way`,
    message: `${why} It would go ${others.map((each) => waySaid[each]).join(', or ')}.`,
  };
}

/** The piece that it is put through before that is in its place, and where it is tied then. */
function putThrough(way: RibbonWay, { worn }: Tied): Pick<Ribbon, 'through' | 'ties'> {
  if (way !== 'notches' && way !== 'band') return {};
  const part = partWith(worn, way === 'band' ? 'ribbon slit' : 'elastic notch');
  if (!part) return {};
  const ties = part.wraps === 'walls' || part.wraps === 'foot' ? 'at the front' : 'on top';
  return { through: part.piece, ties };
}

function wear(choice: RibbonChoice, bare: Undressed, brief: DressBrief) {
  const { id, way, width, bow } = choice;
  const tied: Tied = { box: outsideBox(bare), worn: bare.worn, gift: brief.gift };
  const long = lengthOf(tied, way, toMillimetres(width));
  if (long === undefined) return { ok: false as const, refusal: refused(choice, tied, brief) };
  const once = nanometres(Math.ceil(long * 1e6));
  const step = cutStep(cutUnit(brief.kit));
  const ribbon = {
    id,
    way,
    width,
    once,
    bow,
    cut: roundUp(plus(once, endsOf(choice)), step),
    ...(isOverLid(way) && bow > 0 && { bowCut: roundUp(bowOf(choice), step) }),
    ...putThrough(way, tied),
  };
  return {
    ok: true as const,
    worn: { pieces: [], parts: [], stacks: [], ribbons: [ribbon] },
  };
}

/** A ribbon: what to cut it at, and how it is put on. */
export const ribbon: Addition<RibbonChoice> = {
  room: () => noRoomTaken,
  goesRound: 'over all',
  takes: () => [],
  leftOff: () => [],
  wear,
};
