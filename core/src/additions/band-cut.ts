import { add, scale, type Part, type Vector } from '../fold/index.ts';
import { panels, type Worn } from '../forms/index.ts';
import {
  half,
  largest,
  millimetres,
  minus,
  nanometres,
  plus,
  roundDown,
  roundUp,
  smallest,
  times,
  zero,
  type Length,
} from '../length/index.ts';
import { countOffMarks } from '../make/index.ts';
import type { Paper } from '../paper/index.ts';
import { gridPositions } from '../piece/index.ts';
import { widthForTape, type Kit } from '../tools/index.ts';
import type { DressBrief } from './addition.ts';
import { frontOfThreeSides, hookedStrip, oneStrip, twoStrips } from './band-strips.ts';
import { axesRound, type Reach, type RoundAxes, type RoundOf, type WayRound } from './round-box.ts';

/** How the ends of a band hold: one is glued on the other, or slits in them hook into each other. */
export const bandClosings = ['seam', 'hooks'] as const;

/** A band that is to be cut. */
export interface BandToCut {
  readonly id: string;
  readonly paper: Paper;
  readonly width: Length;
  readonly closing: (typeof bandClosings)[number];
}

/** The pieces of a band, with the column of its strip that comes to the front, or on top. */
export interface BandPieces {
  readonly worn: Worn;
  readonly seen: number;
}

/** The pieces of a band about the middle, before it is laid round the box: as the box stands, or turned to the left. */
interface StandingBand extends BandPieces {
  readonly stands: 'as the box' | 'turned';
}

/** Why a band can’t be cut with ends that hook: its strip would be longer than the sheet, or its back too narrow. */
export interface UnhookedBand {
  readonly why: 'longer than its sheet' | 'too narrow for tips';
  /** How long its strip would be. */
  readonly long: Length;
}

export type CutBand =
  ({ readonly ok: true } & BandPieces) | ({ readonly ok: false } & UnhookedBand);

type StandingAnswer =
  ({ readonly ok: true } & StandingBand) | ({ readonly ok: false } & UnhookedBand);

/** What a band goes round, and which way. */
export interface RoundWhat {
  readonly of: RoundOf;
  readonly way: WayRound;
}

type CutBrief = Pick<DressBrief, 'step' | 'kit' | 'firstPaper'>;

/** How loosely a band goes round: so much room to slide, both sides together. */
export const bandRoom = {
  least: millimetres(0.4),
  most: millimetres(1.8),
} as const;

/** How far something reaches, rounded up. */
export function lengthOf({ from, to }: Reach): Length {
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

/** A part of a band as it stands, laid along these axes about a place. */
function laidAlong(part: Part, { right, back, along }: RoundAxes, middle: Vector): Part {
  const turned = ({ x, y, z }: Vector) =>
    add(add(scale(right, x), scale(back, y)), scale(along, z));
  return {
    ...part,
    right: turned(part.right),
    up: turned(part.up),
    at: add(turned(part.at), middle),
  };
}

/** The axes of a band whose right side comes to the back. */
function turnedLeft({ right, back, along }: RoundAxes): RoundAxes {
  return { right: back, back: scale(right, -1), along };
}

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
    const off = countOffMarks(places, whole, kit);
    return { strip, off, whole };
  });
  return judged.sort((a, b) => a.off - b.off || a.whole - b.whole)[0]?.strip;
}

/** The steps that an end of a strip may be longer by, for its scores to come on the grooves. */
const longerBy = [0, 1, 2, 3];

/** What is shorter beyond its slit does not hold. */
const leastTip = millimetres(6);

/** A side that is thinner than this is no place for a seam: the box’s back, or its underside, is. */
const thin = millimetres(10);

/** All that the strips of a band are chosen from. */
interface StripChoices {
  /** Every pair of panels, with one of them wider by a card where two layers lie there. */
  readonly pairs: (double: 'across' | 'deep') => readonly Pick<Strip, 'across' | 'deep'>[];
  /** How long an end may be that is so long at the least, on a panel that is so wide. */
  readonly ends: (least: Length, most: Length) => readonly Length[];
  readonly fitsSheet: (strip: Strip) => boolean;
  /** Whether the sides are too thin for a seam, and the back is wider. */
  readonly isThin: boolean;
  readonly named: { id: string; paper: number; card: Length; width: Length };
}

function stripChoices(
  { id, paper, width }: BandToCut,
  { of }: RoundWhat,
  { step, firstPaper }: CutBrief,
): StripChoices {
  const card = paper.thickness;
  const longest = largest(paper.sheet.width, paper.sheet.height);
  return {
    pairs: (double) => {
      const cards = (way: 'across' | 'deep') => (way === double ? times(card, 2) : card);
      return panelsOver(plus(lengthOf(of.right), cards('across')), step).flatMap((across) =>
        panelsOver(plus(lengthOf(of.back), cards('deep')), step).map((deep) => ({ across, deep })),
      );
    },
    ends: (least, most) => {
      // It lies inside, where the panel is narrower by the card of both its folds.
      const room = minus(most, card);
      const longer = longerBy.map((steps) => plus(roundUp(least, step), times(step, steps)));
      const within = longer.filter((end) => end <= room);
      return within.length > 0 ? within : [roundDown(room, step)];
    },
    isThin: lengthOf(of.back) < smallest(thin, lengthOf(of.right)),
    fitsSheet: ({ sections }) => plus(...sections) <= longest,
    named: { id: `${id} band`, paper: firstPaper, card, width },
  };
}

/** Strips over three sides that end behind, each with every length of both its ends. */
function endingBehind(
  { pairs, ends }: StripChoices,
  reach: (across: Length) => { readonly least: Length; readonly most: Length },
): readonly Strip[] {
  return pairs('deep').flatMap(({ across, deep }): readonly Strip[] => {
    const { least, most } = reach(across);
    const behind = ends(least, most);
    return behind.flatMap((end) =>
      behind.map((other) => ({ across, deep, sections: [end, deep, across, deep, other] })),
    );
  });
}

/** A band whose ends hook into each other. */
function hookedBand(choices: StripChoices, { kit }: CutBrief): StandingAnswer {
  const strips = endingBehind(choices, (across) => ({
    least: plus(half(across), seamFor(half(across), kit)),
    most: across,
  }));
  const hooked = bestOf(strips.filter(choices.fitsSheet), kit);
  const long = plus(...(bestOf(strips, kit)?.sections ?? []));
  if (!hooked) return { ok: false, why: 'longer than its sheet', long };
  const { across, deep, sections } = hooked;
  const [end = zero, , , , otherEnd = end] = sections;
  if (minus(plus(end, otherEnd), across) < times(leastTip, 2))
    return { ok: false, why: 'too narrow for tips', long };
  const worn = hookedStrip({ ...choices.named, across, deep, seam: end, otherSeam: otherEnd });
  return { ok: true, worn, seen: frontOfThreeSides, stands: 'as the box' };
}

/** A band out of one strip whose ends are glued; undefined where it would be longer than its sheet. */
function glueOneStrip(choices: StripChoices, { kit }: CutBrief): StandingBand | undefined {
  const { pairs, ends, fitsSheet, named, isThin } = choices;
  // The seam lies inside a side, which is then two cards thick; of a thin box inside its back.
  const whole = pairs(isThin ? 'deep' : 'across').flatMap(({ across, deep }): readonly Strip[] => {
    const [beside, other] = isThin ? [across, deep] : [deep, across];
    return ends(seamFor(beside, kit), beside).map((seam) => ({
      across: other,
      deep: beside,
      sections: [beside, other, beside, other, seam],
    }));
  });
  const best = bestOf(whole.filter(fitsSheet), kit);
  if (!best) return undefined;
  const { across, deep, sections } = best;
  const worn = oneStrip({ ...named, across, deep, seam: sections[4] ?? zero });
  return isThin
    ? { worn, seen: panels.left, stands: 'turned' }
    : { worn, seen: panels.front, stands: 'as the box' };
}

/** A band whose ends are glued: of one strip where that is no longer than its sheet, else of two. */
function gluedBand(choices: StripChoices, way: WayRound, brief: CutBrief): StandingBand {
  const one = glueOneStrip(choices, brief);
  if (one) return one;
  const { step, kit } = brief;
  const strips = endingBehind(choices, (across) => ({
    least: seamFor(half(across), kit),
    most: half(across),
  }));
  const { across, deep, sections } = bestOf(strips, kit) ?? {
    across: step,
    deep: step,
    sections: [],
  };
  const under = way === 'walls' ? 'Band back' : 'Band underside';
  const [seam = step, , , , otherSeam = seam] = sections;
  const worn = twoStrips({ ...choices.named, across, deep, seam, otherSeam, under });
  return { worn, seen: frontOfThreeSides, stands: 'as the box' };
}

/** How the strips of a band are cut and joined for what it goes round. */
function stripsFor(band: BandToCut, round: RoundWhat, brief: CutBrief): StandingAnswer {
  const choices = stripChoices(band, round, brief);
  return band.closing === 'hooks'
    ? hookedBand(choices, brief)
    : { ok: true, ...gluedBand(choices, round.way, brief) };
}

/** A band as pieces, laid round what it goes round: as its scores come best on the grooves. */
export function cutBand(band: BandToCut, round: RoundWhat, brief: CutBrief): CutBand {
  const { of, way } = round;
  const cut = stripsFor(band, round, brief);
  if (!cut.ok) return cut;
  const { pieces, parts, stacks } = cut.worn;
  const middle = ({ from, to }: Reach) => (from + to) / 2;
  const axes = axesRound[way];
  const place = add(
    add(scale(axes.right, middle(of.right)), scale(axes.back, middle(of.back))),
    scale(axes.along, of.middle),
  );
  const own = cut.stands === 'turned' ? turnedLeft(axes) : axes;
  const laid = parts.map((part) => laidAlong(part, own, place));
  return { ok: true, worn: { pieces, parts: laid, stacks }, seen: cut.seen };
}
