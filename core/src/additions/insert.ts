import { z } from 'zod';
import type { Refusal } from '../forms/index.ts';
import { apart, type Gift } from '../gift/index.ts';
import {
  formatWithUnit,
  lengthBetween,
  millimetres,
  nanometres,
  plus,
  roundDown,
  zero,
  type Length,
} from '../length/index.ts';
import { paperSchema } from '../paper/index.ts';
import type { Addition, DressBrief, Undressed } from './addition.ts';
import { flatInsert } from './flat-insert.ts';
import { platform } from './platform.ts';
import { noRoomTaken, type RoomTaken } from './room-taken.ts';

/** How high the upper side of a platform may be over the floor. */
export const platformLimits = { least: millimetres(8), most: millimetres(300) } as const;

/** Card in the box that holds the gift. */
export const insertSchema = z.object({
  addition: z.literal('insert'),
  id: z.string().min(1).max(40),
  holds: z.discriminatedUnion('by', [
    /** A raised floor, which the gift lies on. */
    z.object({
      by: z.literal('a platform'),
      raised: lengthBetween(platformLimits.least, platformLimits.most),
    }),
    /** A raised card that the things stand through, an opening for each. */
    z.object({
      by: z.literal('openings'),
      raised: lengthBetween(platformLimits.least, platformLimits.most),
    }),
    /** A card on the floor, with notches for an elastic or a ribbon round gift and card. */
    z.object({ by: z.literal('notches') }),
    /** A card on the floor, with two slits that the ends of a flat gift go through. */
    z.object({ by: z.literal('slits') }),
  ]),
  paper: paperSchema,
});
export type InsertChoice = z.infer<typeof insertSchema>;

/** So much card is left round an opening, and so much more is a slit long than what goes through it. */
const beside = { opening: millimetres(4), slit: millimetres(6) } as const;

/** So far apart an insert holds things that stand through it. */
const between = millimetres(7);

/** The room that it takes round the gift, under it and over it. */
function room({ holds, paper: { thickness } }: InsertChoice): RoomTaken {
  switch (holds.by) {
    case 'a platform':
      return { ...noRoomTaken, under: holds.raised };
    case 'openings':
      return { ...noRoomTaken, around: plus(beside.opening, thickness) };
    case 'notches':
      return { ...noRoomTaken, under: thickness };
    case 'slits':
      return { ...noRoomTaken, around: beside.slit, under: thickness };
  }
}

/** Things that stand through an insert are so far apart; others as they are. */
function apartBy({ holds }: InsertChoice): Length {
  return holds.by === 'openings' ? between : zero;
}

/** The insert with its part in the box; undefined where the box has no floor for it. */
function made(
  choice: InsertChoice,
  bare: Undressed,
  brief: Pick<DressBrief, 'step' | 'kit' | 'gift' | 'inner' | 'firstPaper'>,
) {
  const { id, holds, paper } = choice;
  const own = room(choice);
  const { inner, step, kit, firstPaper } = brief;
  const outside: RoomTaken = {
    around: plus(inner.around, own.around),
    under: plus(inner.under, own.under),
    over: inner.over,
  };
  const gift: Gift = apart(brief.gift, apartBy(choice));
  const common = { id, card: paper.thickness, gift, outside, step, kit, firstPaper };
  return holds.by === 'a platform' || holds.by === 'openings'
    ? platform(bare, { ...common, raised: holds.raised, isOpen: holds.by === 'openings' })
    : flatInsert(bare, { ...common, by: holds.by });
}

/** A card that would be higher than the things that stand through it. */
function tooHigh(
  { holds }: InsertChoice,
  { drawn }: Undressed,
  { field, unit, step }: DressBrief,
): Refusal | undefined {
  if (holds.by !== 'openings') return undefined;
  const high = nanometres(Math.floor(drawn.assembly.cavity.high * 1e6));
  if (holds.raised <= high) return undefined;
  const nearest = roundDown(high, step);
  const isBetter = nearest >= platformLimits.least;
  const way = isBetter
    ? `${formatWithUnit(nearest, unit)} is the most that will do.`
    : 'Let the gift lie on a platform instead.';
  return {
    field: `${field}.holds.raised`,
    message: `An insert ${formatWithUnit(holds.raised, unit)} high would stand over the gift. ${way}`,
    ...(isBetter && { nearest }),
  };
}

/** A card with openings where strips stand between the things already. */
function crossesDividers(
  { holds }: InsertChoice,
  { worn }: Undressed,
  { field }: DressBrief,
): Refusal | undefined {
  if (holds.by !== 'openings') return undefined;
  if (worn.parts.every(({ lies }) => lies?.against !== 'things')) return undefined;
  return {
    field: `${field}.holds`,
    message:
      'The dividers stand where the insert would be. Take one of the two out, or let the gift lie on a platform.',
  };
}

function wear(choice: InsertChoice, bare: Undressed, brief: DressBrief) {
  const refusal = tooHigh(choice, bare, brief) ?? crossesDividers(choice, bare, brief);
  if (refusal) return { ok: false as const, refusal };
  const worn = made(choice, bare, brief) ?? { pieces: [], parts: [], stacks: [] };
  return { ok: true as const, worn };
}

/** An insert. */
export const insert: Addition<InsertChoice> = {
  room,
  apart: apartBy,
  // A liner or a stiffener lies under it, whenever it was put in.
  goesRound: 'within all',
  takes: () => [],
  leftOff: ({ id }, { drawn }) =>
    drawn.pieces.some((piece) => piece.id.startsWith(`${id} `))
      ? []
      : [{ id, why: 'no such face' }],
  wear,
};
