import { z } from 'zod';
import { scale, type FoldingBox, type Part } from '../fold/index.ts';
import type { Refusal } from '../forms/index.ts';
import {
  formatWithUnit,
  inchFraction,
  largest,
  lengthBetween,
  millimetres,
  roundDown,
  times,
  toMillimetres,
  type Length,
} from '../length/index.ts';
import { paperSchema } from '../paper/index.ts';
import type { Addition, DressBrief, Undressed } from './addition.ts';
import { bandClosings, cutBand, lengthOf, type BandToCut, type UnhookedBand } from './band-cut.ts';
import { slitForRibbon } from './band-slits.ts';
import { axesRound, roundOf, type RoundAnswer, type WayRound } from './round-box.ts';
import { lidParts } from './lids.ts';
import { noRoomTaken } from './room-taken.ts';
import { cardUnderLid, roundUnderLid, type UnderLidAnswer } from './under-lid.ts';
import { outsideBox } from './worn-box.ts';

/** How wide a band may be. */
export const bandLimits = { least: millimetres(8), most: millimetres(300) } as const;

/** A strip of card round the closed box. */
export const bandSchema = z.object({
  addition: z.literal('band'),
  id: z.string().min(1).max(40),
  /** Round the closed box, or round the walls of its base, with the lid over it. */
  round: z.enum(['walls', 'across', 'deep', 'under lid']),
  width: lengthBetween(bandLimits.least, bandLimits.most),
  /** How its ends hold. */
  closing: z.enum(bandClosings).default('seam'),
  paper: paperSchema,
});
export type BandChoice = z.infer<typeof bandSchema>;

/** How a band may go. */
export const bandWays: readonly BandChoice['round'][] = bandSchema.shape.round.options;

type BandWay = BandChoice['round'];

const roundSaid: Readonly<Record<BandWay, string>> = {
  walls: 'round its walls',
  across: 'over its top from left to right',
  deep: 'over its top from front to back',
  'under lid': 'round its base, under the lid',
};

/** What a box is called that way, in which a band is as wide as it may be. */
const longSaid: Readonly<Record<BandWay, string>> = {
  walls: 'high',
  across: 'deep',
  deep: 'wide',
  'under lid': 'high there',
};

/** What a band goes round, or why it can’t. */
type BandAnswer = RoundAnswer | UnderLidAnswer;

/** A box that a band is to go round, with what of it is seen from outside ready to fold. */
interface ToGoRound {
  readonly bare: Undressed;
  readonly outside: FoldingBox;
}

function bandRound({ bare, outside }: ToGoRound, way: BandWay, width: number): BandAnswer {
  if (way === 'under lid') return roundUnderLid(bare, width);
  const answer = roundOf(outside, way, width);
  if (answer.ok || way !== 'walls') return answer;
  // The upper half of a box may slant, or have holes that stay open, where its walls below hold a band.
  const below = roundOf(outside, way, width, { at: 'foot' });
  return below.ok ? below : answer;
}

function whyNot(
  choice: BandChoice,
  answer: Exclude<BandAnswer, { readonly ok: true }>,
  { unit }: DressBrief,
): string {
  const said = roundSaid[choice.round];
  switch (answer.why) {
    case 'too short': {
      const nearly = unit === 'inch' ? inchFraction(1, 32) : millimetres(0.1);
      const long = formatWithUnit(roundDown(lengthOf(answer.along), nearly), unit);
      return `The band is ${formatWithUnit(choice.width, unit)} wide, and the box is only ${long} ${longSaid[choice.round]}.`;
    }
    case 'handle':
      return `The handle is in the way of a band ${said}.`;
    case 'opening':
      return `A band ${said} would lie over ${answer.covers}.`;
    case 'no lid':
      return 'This box has no lid that comes off, with walls on all four sides under it, for a band to go there.';
    case 'hidden':
      return 'The lid comes down over all of a band round the base.';
    case 'not square':
      return `A band finds no hold ${said}: something stands out there, or the sides slant.`;
  }
}

/** How wide a narrower band may be that finds a hold this way; undefined where none does. */
function narrowerRound(
  { round, width }: BandChoice,
  box: ToGoRound,
  { step }: DressBrief,
): Length | undefined {
  return [0.75, 0.5, 0.375, 0.25]
    .map((share) => roundDown(times(width, share), step))
    .find((each) => each >= bandLimits.least && bandRound(box, round, toMillimetres(each)).ok);
}

/** Why a band can’t go round the box so, with the ways in which it could. */
function refused(
  choice: BandChoice,
  box: ToGoRound,
  answer: Exclude<BandAnswer, { readonly ok: true }>,
  brief: DressBrief,
): Refusal {
  const { round, width } = choice;
  const why = whyNot(choice, answer, brief);
  const others = bandWays.filter(
    (way) => way !== round && bandRound(box, way, toMillimetres(width)).ok,
  );
  const elsewhere =
    others.length === 0 ? '' : ` It would go ${others.map((way) => roundSaid[way]).join(', or ')}.`;
  if (answer.why === 'not square') {
    const narrower = narrowerRound(choice, box, brief);
    if (narrower !== undefined)
      return {
        field: `${brief.field}.width`,
        message: `${why} One ${formatWithUnit(narrower, brief.unit)} wide would hold.${elsewhere}`,
        nearest: narrower,
      };
  }
  if (answer.why !== 'too short') {
    const way = elsewhere === '' ? ' Take the band off.' : elsewhere;
    return { field: `${brief.field}.round`, message: `${why}${way}` };
  }
  const narrower = roundDown(times(lengthOf(answer.along), 0.5), brief.step);
  return {
    field: `${brief.field}.width`,
    message: `${why}${narrower >= bandLimits.least ? ' Make it narrower.' : ''}${elsewhere}`,
    ...(narrower >= bandLimits.least && { nearest: narrower }),
  };
}

/** Why the ends of a band can’t hook into each other. */
function unhooked(
  { paper }: BandChoice,
  { why, long }: UnhookedBand,
  { field, unit }: DressBrief,
): Refusal {
  const { name, sheet } = paper;
  const said =
    why === 'longer than its sheet'
      ? `A band with hooked ends is one strip, here ${formatWithUnit(long, unit)} long, and the longer side of a sheet of ${name} is ${formatWithUnit(largest(sheet.width, sheet.height), unit)}.`
      : 'The side that a band ends at is too narrow here for two ends that hook into each other.';
  return { field: `${field}.closing`, message: `${said} Let its ends be glued.` };
}

/** So far beyond the box a band is drawn that is taken off, in millimetres. */
const beside = 12;

function axesOfBand(round: BandWay): WayRound {
  return round === 'under lid' ? 'walls' : round;
}

/** When a band is slid on: last of all, or when the gift is in, before the lid. */
function joinsAt(round: BandWay, box: FoldingBox): number {
  if (round !== 'under lid') return box.end;
  const lids = lidParts(box);
  const joins = box.parts.flatMap(({ part }) => (lids.has(part.id) ? [part.joins] : []));
  return Math.max(box.assembly.giftEnters, Math.min(...joins) - 1);
}

/** How wide a band is cut: as wide as the marks make it. */
export function widthCut({ width }: BandChoice, step: Length): Length {
  return largest(step, roundDown(width, step));
}

function toCut(choice: BandChoice, { step }: Pick<DressBrief, 'step'>): BandToCut {
  const { id, paper, closing } = choice;
  return { id, paper, closing, width: widthCut(choice, step) };
}

function wear(choice: BandChoice, bare: Undressed, brief: DressBrief) {
  const { round } = choice;
  const { width } = toCut(choice, brief);
  const box: ToGoRound = { bare, outside: outsideBox(bare) };
  const answer = bandRound(box, round, toMillimetres(width));
  if (!answer.ok) return { ok: false as const, refusal: refused(choice, box, answer, brief) };
  const { of } = answer;
  const way = axesOfBand(round);
  const { along } = axesRound[way];
  const cut = cutBand(toCut(choice, brief), { of, way }, brief);
  if (!cut.ok) return { ok: false as const, refusal: unhooked(choice, cut, brief) };
  const slit =
    brief.threaded === undefined
      ? { ok: true as const, worn: cut.worn }
      : slitForRibbon(cut, brief.threaded, {
          ...brief,
          mayBeAsWide: (wider) => bandRound(box, round, toMillimetres(wider)).ok,
        });
  if (!slit.ok) return slit;
  const { pieces, parts, stacks } = slit.worn;
  const clear = round === 'walls' ? of.along.to - of.middle : of.middle - of.along.from;
  const off = clear + toMillimetres(width) / 2 + beside;
  const isAtFoot = of.middle < (of.along.from + of.along.to) / 2 - 1e-3;
  const joins = joinsAt(round, box.outside);
  const laid = parts.map((part): Part => ({
    ...part,
    joins,
    // Out of the way of a lid, which is lifted; one under the lid stays where it is.
    ...(round !== 'under lid' && { opens: scale(along, round === 'walls' ? off : -off) }),
    wraps: round === 'walls' && isAtFoot ? 'foot' : round,
  }));
  return { ok: true as const, worn: { pieces, parts: laid, stacks } };
}

/** A belly band. */
export const band: Addition<BandChoice> = {
  room: () => noRoomTaken,
  goesRound: 'over it',
  goesUnder: ({ round }) => round === 'under lid',
  laid: (choice, box, brief) =>
    choice.round === 'under lid' ? cardUnderLid(toCut(choice, brief), box, brief) : [],
  takes: () => [],
  leftOff: () => [],
  wear,
};
