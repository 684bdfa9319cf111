import type { Section, SmallerPair } from '../marks/index.ts';
import type { Assembly, Part, Stack } from '../fold/index.ts';
import type { Extents } from '../gift/index.ts';
import { largest, minus, plus, times, toMillimetres, zero, type Length } from '../length/index.ts';
import { paperFor, type Papers } from '../paper/index.ts';
import type { Cutout } from '../piece/index.ts';
import type {
  PieceTemplate,
  SizeOf,
  StyleAnswer,
  StyleBrief,
  StyleDepth,
  StyleSection,
} from './brief.ts';
import { bottomCover, type BottomCover } from './bottom-cover.ts';
import { bottomFlaps, type BottomFlaps } from './flap-widths.ts';
import { roomOf } from './gift-tray.ts';
import { leastWall, section } from './sections.ts';
import {
  gluedEnd,
  tubePanels,
  tubePart,
  tubeStacks,
  tubeTemplate,
  tubeInside,
  type TubeEnd,
  type TubePanels,
} from './tube.ts';

type Brief = Pick<StyleBrief<unknown>, 'inside' | 'kit' | 'mayBeOblong'> & {
  readonly papers: Papers;
};

/** A tube round the gift before its ends are known. */
export interface GiftTube {
  readonly panels: TubePanels;
  readonly card: Length;
  readonly wall: Section;
  readonly sections: readonly Section[];
}

/** Half cards that lie under and over the clear height of a tube, beside the panels' own fold lines. */
export interface EndCards {
  readonly bottom: number;
  readonly top: number;
}

/**
 * The panels that go round the gift: so many half cards lie inside their fold lines at the two ends, and more
 * card may line them.
 */
export function giftTube(
  brief: Brief,
  id: string,
  ends: EndCards,
  {
    linedWith = zero,
    lowest = leastWall,
  }: { readonly linedWith?: Length; readonly lowest?: Length } = {},
): GiftTube {
  const card = paperFor(brief.papers, 0).thickness;
  const panels = tubePanels(brief, id, card, linedWith);
  const over = times(card, (ends.bottom + ends.top) / 2);
  const { high } = brief.inside;
  const needed = (clear: Length) => largest(plus(clear, over), lowest);
  const wall = section(brief, `${id} high`, {
    least: needed(high.least),
    target: needed(high.target),
  });
  return { panels, card, wall, sections: [wall, ...panels.sections] };
}

interface FinishedTube {
  readonly template: PieceTemplate;
  readonly stacks: (size: SizeOf) => readonly Stack[];
  readonly part: (size: SizeOf, joins: number) => Part;
  readonly inside: (size: SizeOf) => Extents;
}

/** The same tube with its ends. */
export function finishTube(
  { panels, card, wall }: GiftTube,
  plain: {
    readonly id: string;
    readonly name: string;
    readonly top: TubeEnd;
    readonly bottom: TubeEnd;
    readonly cutouts?: (size: SizeOf, top: Length) => readonly Cutout[];
  },
  ends: EndCards,
): FinishedTube {
  const tube = { ...plain, paper: 0, panels, high: wall.id };
  return {
    template: tubeTemplate(tube),
    stacks: (size) => tubeStacks(tube, size),
    part: (size, joins) =>
      tubePart(tube, size, { lower: (-toMillimetres(card) * ends.bottom) / 2, joins }),
    inside: (size) => ({
      ...tubeInside(size, panels),
      high: minus(size(wall.id), times(card, (ends.bottom + ends.top) / 2)),
    }),
  };
}

/** A tube over a bottom of glued flaps, with those and what hides them, where anything does. */
type StandingTube = Pick<WholeTube, 'finished' | 'cover'> & { readonly bottom: BottomFlaps };

/** The same tube with its top, over a bottom of glued flaps; `coverPaper` is of what hides those. */
export function standOnGluedFlaps(
  brief: StyleBrief<unknown>,
  tube: GiftTube,
  {
    ends,
    coverPaper,
    ...plain
  }: {
    readonly id: string;
    readonly name: string;
    readonly top: TubeEnd;
    readonly ends: EndCards;
    readonly coverPaper: number | undefined;
  },
): StandingTube {
  const { floor } = tube.panels;
  const bottom = bottomFlaps(brief, `${plain.id} bottom`, floor);
  const end = gluedEnd(bottom.flaps.id, floor, tubeStages.bottom);
  return {
    finished: finishTube(tube, { ...plain, bottom: end }, ends),
    bottom,
    cover:
      coverPaper === undefined
        ? undefined
        : bottomCover({
            under: plain.id,
            flaps: plain.top.rows.length + 1,
            floor,
            card: tube.card,
            paper: coverPaper,
            own: paperFor(brief.papers, coverPaper).thickness,
            joins: tubeStages.stands,
          }),
  };
}

/** Stages of a tube that is all there is of a box: its bottom, standing up, the gift, its top. */
export const tubeStages = { bottom: 1, stands: 4, gift: 5, top: 6 } as const;

/** A tube with what its ends add to it. */
interface WholeTube {
  readonly tube: GiftTube;
  readonly finished: FinishedTube;
  /** The flaps that it stands on. */
  readonly bottom?: BottomFlaps;
  /** What hides those, where anything does. */
  readonly cover?: BottomCover | undefined;
  /** The sections of its other ends, beside the tube's own. */
  readonly ends: readonly StyleSection[];
  readonly smaller?: readonly SmallerPair[];
  /** What of it may be asked for as a figure, beside its seam. */
  readonly depths?: readonly StyleDepth[];
  /** How the pleats of its top are closed, where it has any. */
  readonly closes?: (size: SizeOf) => NonNullable<Assembly['closes']>;
}

/** The box that one tube makes. */
export function tubeAnswer({
  tube,
  finished,
  bottom,
  cover,
  ends,
  smaller = [],
  depths = [],
  closes,
}: WholeTube): StyleAnswer {
  return {
    ok: true,
    frame: {
      sections: [
        ...tube.sections,
        ...ends,
        ...(bottom ? [bottom.flaps] : []),
        ...(cover?.sections ?? []),
      ],
      pieces: [finished.template, ...(cover ? [cover.template] : [])],
      fits: [],
      smaller: [...smaller, ...(bottom?.smaller ?? []), ...(cover?.smaller ?? [])],
      depths: [tube.panels.seamDepth, ...depths],
      settle: (size) => {
        const clearInside = finished.inside(size);
        return {
          clearInside,
          assembly: {
            parts: [finished.part(size, tubeStages.stands), ...(cover ? [cover.part] : [])],
            stacks: [...finished.stacks(size), ...(cover?.stacks ?? [])],
            cavity: roomOf(clearInside),
            giftEnters: tubeStages.gift,
            ...(closes && { closes: closes(size) }),
          },
        };
      },
    },
  };
}
