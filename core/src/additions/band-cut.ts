import { add, scale, type Part, type Vector } from '../fold/index.ts';
import { panels, type Worn } from '../forms/index.ts';
import {
  half,
  largest,
  millimetres,
  minus,
  nanometres,
  plus,
  roundUp,
  smallest,
  times,
  zero,
  type Length,
} from '../length/index.ts';
import { readLines } from '../make/index.ts';
import type { Paper } from '../paper/index.ts';
import { gridPositions } from '../piece/index.ts';
import { widthForTape, type Kit } from '../tools/index.ts';
import type { DressBrief } from './addition.ts';
import { frontOfThreeSides, hookedStrip, oneStrip, twoStrips } from './band-strips.ts';
import { axesRound, type Reach, type RoundOf, type WayRound } from './round-box.ts';

/** How the ends of a band hold: one is glued on the other, or slits in them hook into each other. */
export const bandClosings = ['seam', 'hooks'] as const;

/** A band that is to be cut. */
export interface BandToCut {
  readonly id: string;
  readonly paper: Paper;
  readonly width: Length;
  readonly closing: (typeof bandClosings)[number];
}

/** A band that can be cut, with the column of its strip that comes to the front, or on top. */
export interface WholeBand {
  readonly ok: true;
  readonly worn: Worn;
  readonly seen: number;
}

/** Why a band can’t be cut with ends that hook: its strip would be longer than the sheet, or its back too narrow. */
export interface UnhookedBand {
  readonly why: 'longer than its sheet' | 'too narrow for tips';
  /** How long its strip would be. */
  readonly long: Length;
}

export type CutBand = WholeBand | ({ readonly ok: false } & UnhookedBand);

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

/** What is shorter beyond its slit does not hold. */
const leastTip = millimetres(6);

/** All that the strips of a band are chosen from. */
interface StripChoices {
  /** Every pair of panels, with one of them wider by a card where two layers lie there. */
  readonly pairs: (double: 'across' | 'deep') => readonly Pick<Strip, 'across' | 'deep'>[];
  /** How long an end may be that is so long at the least. */
  readonly ends: (least: Length) => readonly Length[];
  readonly fitsSheet: (strip: Strip) => boolean;
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
    ends: (least) => longerBy.map((steps) => plus(roundUp(least, step), times(step, steps))),
    fitsSheet: ({ sections }) => plus(...sections) <= longest,
    named: { id: `${id} band`, paper: firstPaper, card, width },
  };
}

/** Strips over three sides that end behind, each with every length of both its ends. */
function endingBehind(
  { pairs, ends }: StripChoices,
  least: (across: Length) => Length,
): readonly Strip[] {
  return pairs('deep').flatMap(({ across, deep }): readonly Strip[] => {
    const behind = ends(least(across));
    return behind.flatMap((end) =>
      behind.map((other) => ({ across, deep, sections: [end, deep, across, deep, other] })),
    );
  });
}

/** A band whose ends hook into each other. */
function hookedBand(choices: StripChoices, { kit }: CutBrief): CutBand {
  const strips = endingBehind(choices, (across) => plus(half(across), seamFor(half(across), kit)));
  const hooked = bestOf(strips.filter(choices.fitsSheet), kit);
  const long = plus(...(bestOf(strips, kit)?.sections ?? []));
  if (!hooked) return { ok: false, why: 'longer than its sheet', long };
  const { across, deep, sections } = hooked;
  const [end = zero, , , , otherEnd = end] = sections;
  if (minus(plus(end, otherEnd), across) < times(leastTip, 2))
    return { ok: false, why: 'too narrow for tips', long };
  const worn = hookedStrip({ ...choices.named, across, deep, seam: end, otherSeam: otherEnd });
  return { ok: true, worn, seen: frontOfThreeSides };
}

/** A band whose ends are glued: of one strip where that is no longer than its sheet, else of two. */
function gluedBand(choices: StripChoices, way: WayRound, { step, kit }: CutBrief): CutBand {
  const { pairs, ends, fitsSheet, named } = choices;
  const whole = pairs('across').flatMap(({ across, deep }): readonly Strip[] =>
    ends(seamFor(deep, kit)).map((seam) => ({
      across,
      deep,
      sections: [deep, across, deep, across, seam],
    })),
  );
  const one = bestOf(whole.filter(fitsSheet), kit);
  if (one) {
    const { across, deep, sections } = one;
    const worn = oneStrip({ ...named, across, deep, seam: sections[4] ?? step });
    return { ok: true, worn, seen: panels.front };
  }
  const strips = endingBehind(choices, (across) => seamFor(half(across), kit));
  const { across, deep, sections } = bestOf(strips, kit) ?? {
    across: step,
    deep: step,
    sections: [],
  };
  const under = way === 'walls' ? 'Band back' : 'Band underside';
  const [seam = step, , , , otherSeam = seam] = sections;
  const worn = twoStrips({ ...named, across, deep, seam, otherSeam, under });
  return { ok: true, worn, seen: frontOfThreeSides };
}

/** How the strips of a band are cut and joined for what it goes round. */
function stripsFor(band: BandToCut, round: RoundWhat, brief: CutBrief): CutBand {
  const choices = stripChoices(band, round, brief);
  return band.closing === 'hooks'
    ? hookedBand(choices, brief)
    : gluedBand(choices, round.way, brief);
}

/** A band as pieces, laid round what it goes round: as its scores come best on the grooves. */
export function cutBand(band: BandToCut, round: RoundWhat, brief: CutBrief): CutBand {
  const { of, way } = round;
  const cut = stripsFor(band, round, brief);
  if (!cut.ok) return cut;
  const { pieces, parts, stacks } = cut.worn;
  const middle = ({ from, to }: Reach) => (from + to) / 2;
  const { right, back, along } = axesRound[way];
  const place = add(
    add(scale(right, middle(of.right)), scale(back, middle(of.back))),
    scale(along, middle(of.along)),
  );
  const laid = parts.map((part) => laidRound(part, way, place));
  return { ok: true, worn: { pieces, parts: laid, stacks }, seen: cut.seen };
}
