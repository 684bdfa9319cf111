import { z } from 'zod';
import { add, scale, type FoldingBox, type Part, type Vector } from '../fold/index.ts';
import type { Refusal, Worn } from '../forms/index.ts';
import {
  formatWithUnit,
  half,
  inchFraction,
  largest,
  lengthBetween,
  millimetres,
  minus,
  nanometres,
  plus,
  roundDown,
  roundUp,
  smallest,
  times,
  toMillimetres,
  type Length,
} from '../length/index.ts';
import { readLines } from '../make/index.ts';
import { paperSchema } from '../paper/index.ts';
import { gridPositions } from '../piece/index.ts';
import { widthForTape, type Kit } from '../tools/index.ts';
import type { Addition, DressBrief, Undressed } from './addition.ts';
import {
  axesRound,
  roundOf,
  waysRound,
  type Reach,
  type RoundOf,
  type WayRound,
} from './round-box.ts';
import { oneStrip, twoStrips } from './band-strips.ts';
import { noRoomTaken } from './room-taken.ts';
import { outsideBox } from './worn-box.ts';

/** How wide a band may be. */
export const bandLimits = { least: millimetres(8), most: millimetres(300) } as const;

/** A strip of card round the closed box. */
export const bandSchema = z.object({
  addition: z.literal('band'),
  id: z.string().min(1).max(40),
  round: z.enum(['walls', 'across', 'deep']),
  width: lengthBetween(bandLimits.least, bandLimits.most),
  paper: paperSchema,
});
export type BandChoice = z.infer<typeof bandSchema>;

/** How loosely a band goes round: so much room to slide, both sides together. */
export const bandRoom = {
  least: millimetres(0.4),
  most: millimetres(1.8),
} as const;

function lengthOf({ from, to }: Reach): Length {
  return nanometres(Math.ceil((to - from) * 1e6));
}

/** Lengths that a panel over so much of the box may have, on what cuts are made by: the closest first. */
function panelsOver(needed: Length, step: Length): readonly Length[] {
  const closest = roundUp(plus(needed, bandRoom.least), step);
  const looser = plus(closest, step);
  return minus(looser, needed) <= bandRoom.most ? [closest, looser] : [closest];
}

/** How wide the seam is at the least: as wide as the maker’s tape, where the panel beside it lets it. */
function seamFor(beside: Length, kit: Kit): Length {
  const wanted = largest(
    millimetres(12),
    smallest(widthForTape(kit.adhesives) ?? millimetres(12), millimetres(16)),
  );
  return largest(millimetres(4), smallest(wanted, times(beside, 0.8)));
}

const roundSaid: Readonly<Record<WayRound, string>> = {
  walls: 'round its walls',
  across: 'over its top from left to right',
  deep: 'over its top from front to back',
};

/** What a box is called that way, in which a band is as wide as it may be. */
const longSaid: Readonly<Record<WayRound, string>> = {
  walls: 'high',
  across: 'deep',
  deep: 'wide',
};

function whyNot(
  choice: BandChoice,
  answer: Exclude<ReturnType<typeof roundOf>, { readonly ok: true }>,
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
    case 'not square':
      return `A band finds no hold ${said}: something stands out there, or the sides slant.`;
  }
}

/** Why a band can’t go round the box so, with the ways in which it could. */
function refused(
  choice: BandChoice,
  box: FoldingBox,
  answer: Exclude<ReturnType<typeof roundOf>, { readonly ok: true }>,
  brief: DressBrief,
): Refusal {
  const { round, width } = choice;
  const why = whyNot(choice, answer, brief);
  const others = waysRound.filter(
    (way) => way !== round && roundOf(box, way, toMillimetres(width)).ok,
  );
  const elsewhere =
    others.length === 0 ? '' : ` It would go ${others.map((way) => roundSaid[way]).join(', or ')}.`;
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

/** A part of a band as it stands, laid round the box. */
function laidRound(part: Part, round: WayRound, middle: Vector): Part {
  const { right, back, along } = axesRound[round];
  const turned = ({ x, y, z }: Vector) =>
    add(add(scale(right, x), scale(back, y)), scale(along, z));
  return {
    ...part,
    right: turned(part.right),
    up: turned(part.up),
    at: add(turned(part.at), middle),
  };
}

/** So far beyond the box a band is drawn that is taken off, in millimetres. */
const beside = 12;

/** Lengths of a strip from edge to edge, with how long its panels are. */
interface Strip {
  readonly across: Length;
  readonly deep: Length;
  readonly sections: readonly Length[];
}

/** Of several strips the one that has the fewest scores off the grooves, from whichever edge, and then the shortest. */
function bestOf(strips: readonly Strip[], kit: Kit): Strip | undefined {
  const judged = strips.map((strip) => {
    const whole = plus(...strip.sections);
    const places = gridPositions(strip.sections).slice(1, -1);
    const off = readLines(places, whole, kit).filter(({ means }) => means === 'none').length;
    return { strip, off, whole };
  });
  return judged.sort((a, b) => a.off - b.off || a.whole - b.whole)[0]?.strip;
}

/** The steps that an end of a strip may be longer by, for its scores to come on the grooves. */
const longerBy = [0, 1, 2, 3];

/** How the strips of a band are cut and joined for what it goes round. */
function stripsFor(
  { id, round, paper }: BandChoice,
  of: RoundOf,
  width: Length,
  brief: DressBrief,
): Worn {
  const { step, kit, firstPaper } = brief;
  const card = paper.thickness;
  /** Every pair of panels, with one of them wider by a card where a seam lies inside. */
  const pairs = (seams: 'across' | 'deep') => {
    const cards = (way: 'across' | 'deep') => (way === seams ? times(card, 2) : card);
    return panelsOver(plus(lengthOf(of.right), cards('across')), step).flatMap((across) =>
      panelsOver(plus(lengthOf(of.back), cards('deep')), step).map((deep) => ({ across, deep })),
    );
  };
  const ends = (least: Length) =>
    longerBy.map((steps) => plus(roundUp(least, step), times(step, steps)));
  const named = { id: `${id} band`, paper: firstPaper, card, width };
  const longest = largest(paper.sheet.width, paper.sheet.height);
  const whole = pairs('across').flatMap(({ across, deep }): readonly Strip[] =>
    ends(seamFor(deep, kit)).map((seam) => ({
      across,
      deep,
      sections: [deep, across, deep, across, seam],
    })),
  );
  const one = bestOf(
    whole.filter(({ sections }) => plus(...sections) <= longest),
    kit,
  );
  if (one) {
    const { across, deep, sections } = one;
    return oneStrip({ ...named, across, deep, seam: sections[4] ?? step });
  }
  const parts = pairs('deep').flatMap(({ across, deep }): readonly Strip[] => {
    const tabs = ends(seamFor(half(across), kit));
    return tabs.flatMap((tab) =>
      tabs.map((other) => ({ across, deep, sections: [tab, deep, across, deep, other] })),
    );
  });
  const { across, deep, sections } = bestOf(parts, kit) ?? {
    across: step,
    deep: step,
    sections: [],
  };
  const under = round === 'walls' ? 'Band back' : 'Band underside';
  const [seam = step, , , , otherSeam = seam] = sections;
  return twoStrips({ ...named, across, deep, seam, otherSeam, under });
}

function wear(choice: BandChoice, bare: Undressed, brief: DressBrief) {
  const { round } = choice;
  const width = largest(brief.step, roundDown(choice.width, brief.step));
  const box = outsideBox(bare);
  const answer = roundOf(box, round, toMillimetres(width));
  if (!answer.ok) return { ok: false as const, refusal: refused(choice, box, answer, brief) };
  const { of } = answer;
  const { pieces, parts, stacks } = stripsFor(choice, of, width, brief);
  const middle = ({ from, to }: Reach) => (from + to) / 2;
  const { right, back, along } = axesRound[round];
  const place = add(
    add(scale(right, middle(of.right)), scale(back, middle(of.back))),
    scale(along, middle(of.along)),
  );
  const off = (of.along.to - of.along.from + toMillimetres(width)) / 2 + beside;
  const laid = parts.map((part): Part => ({
    ...laidRound({ ...part, joins: box.end }, round, place),
    // Out of the way of a lid, which is lifted.
    opens: scale(along, round === 'walls' ? off : -off),
    wraps: round,
  }));
  return { ok: true as const, worn: { pieces, parts: laid, stacks } };
}

/** A belly band. */
export const band: Addition<BandChoice> = {
  papers: ({ paper }) => [paper],
  withPaper: (choice, _, paper) => ({ ...choice, paper }),
  room: () => noRoomTaken,
  goesRound: 'over it',
  takes: () => [],
  leftOff: () => [],
  wear,
};
