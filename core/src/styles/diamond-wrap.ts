import { z } from 'zod';
import { wallFor } from '../gaps/index.ts';
import type { Section, SmallerPair } from '../marks/index.ts';
import { vector, type Part, type Stack } from '../fold/index.ts';
import {
  diamondInside,
  diamondLayers,
  diamondPart,
  diamondStacks,
  diamondTemplate,
  evenLayers,
  floorSections,
  footprint,
  leastWall,
  lidTray,
  lidWallTarget,
  markFor,
  depthWindow,
  roomOf,
  section,
  sectionsOver,
  slant,
  type Diamond,
  type FloorSections,
  type PieceTemplate,
  type SizeOf,
  type StyleAnswer,
  type StyleBrief,
  type StyleDepth,
  type StyleFit,
} from '../forms/index.ts';
import {
  formatWithUnit,
  largest,
  minus,
  nanometres,
  plus,
  roundDown,
  roundUp,
  smallest,
  toMillimetres,
  zero,
  type Length,
} from '../length/index.ts';
import { paperFor } from '../paper/index.ts';
import type { Kit } from '../tools/index.ts';
import { defineStyle } from './define-style.ts';
import { howDeep, oneOf } from './options.ts';

/** What is folded or put together when, counted over the whole box. */
const stages = { gift: 3, lid: 4 } as const;

const options = z.object({
  lid: howDeep({ title: 'Lid', measures: 'how high the lid’s wall is' }, [
    'none',
    'shallow',
    'full',
  ]),
  lidForm: oneOf('Lid folded as', ['diamond', 'tray']).default('diamond'),
});
type Brief = StyleBrief<z.infer<typeof options>>;

/** The mark that makes a floor of this length, and the band that makes a wall. */
const floorMark = (length: Length) => nanometres(Math.ceil(length / slant));
const bandMark = (wall: Length) => nanometres(Math.ceil(wall * slant));

/** No mark stands nearer to the corner than the first one of a punch board's ruler. */
function marksOf(floor: FloorSections, { diagonalBoard }: Kit): readonly Section[] {
  const first = diagonalBoard?.least ?? zero;
  return floor.sections.map((each) => {
    const mark = markFor(each, floorMark);
    return {
      ...mark,
      least: largest(mark.least, first),
      target: largest(mark.target, first),
      most: largest(mark.most, first),
    };
  });
}

/** A lid over the base, whichever way it is folded. */
interface Lid {
  readonly sections: readonly Section[];
  readonly template: PieceTemplate;
  readonly fits: readonly StyleFit[];
  readonly smaller: readonly SmallerPair[];
  readonly depth: StyleDepth;
  readonly part: (size: SizeOf, top: number) => Part;
  readonly stacks: (size: SizeOf) => readonly Stack[];
}

/** The base that a lid goes over, in true lengths; its marks are by √2 shorter or longer. */
interface Under {
  readonly base: Diamond;
  readonly floor: FloorSections;
  readonly wall: Section;
  readonly card: Length;
}

/** How far the lid is to come down. */
function lidDepthOf({ options: { lid } }: Brief, wall: Section): Length {
  return lidWallTarget(wall.target, lid === 'none' ? 'shallow' : lid);
}

function diamondLid(brief: Brief, { base, floor, wall, card }: Under): Lid {
  const { thickness: own, gaps } = paperFor(brief.papers, 1);
  const between = diamondLayers(base, own);
  const layers = {
    across: plus(between.across, card, own),
    deep: plus(between.deep, card, own),
  };
  const lidFloor = sectionsOver(brief, 'lid', { inner: floor, layers, gap: gaps.lid });
  const depth = lidDepthOf(brief, wall);
  const lidWall: Section = {
    ...section(brief, 'lid band', { least: depth, target: depth, weight: 0.25 }),
    least: largest(leastWall, minus(depth, depthWindow)),
  };
  const lid: Diamond = {
    ...base,
    id: 'lid',
    name: 'Lid',
    paper: 1,
    floorRole: 'lid',
    first: lidFloor.deep,
    second: lidFloor.across,
    band: lidWall.id,
  };
  return {
    sections: [markFor(lidWall, bandMark), ...marksOf(lidFloor, brief.kit)],
    template: diamondTemplate(lid, (slot) => paperFor(brief.papers, slot).thickness),
    fits: footprint.map((direction) => ({
      kind: 'lid',
      outer: 'lid',
      inner: 'base',
      direction,
      outerSection: lidFloor[direction],
      innerSection: floor[direction],
      layers: layers[direction],
      gap: gaps.lid,
      opens: slant,
    })),
    smaller: [{ less: lidWall.id, more: wall.id, by: zero }],
    depth: {
      option: 'lid',
      least: leastWall,
      most: largest(leastWall, wall.target),
      comes: (size) => nanometres(Math.round(size(lidWall.id) / slant)),
      sets: { section: lidWall.id, to: bandMark },
    },
    part: (size, top) =>
      diamondPart(lid, size, {
        at: vector(0, 0, top + toMillimetres(own) / 2),
        joins: stages.lid,
        opens: vector(0, 0, 2 * top),
      }),
    stacks: (size) => diamondStacks(lid, size),
  };
}

/** A plain tray upside down: it is scored straight, over a base that stands √2 times its marks wide. */
function trayLid(brief: Brief, { floor, wall, card }: Under): Lid {
  const lid = lidTray(
    brief,
    { id: 'lid', name: 'Lid', paper: 1, tabsOn: 'sides', tabsLie: 'inside' },
    { piece: 'base', floor, wall, card, outside: evenLayers(zero) },
    lidDepthOf(brief, wall),
  );
  return {
    sections: lid.sections,
    template: lid.template,
    fits: lid.fits.map((fit) => ({ ...fit, innerTimes: slant })),
    smaller: [{ less: lid.wall.id, more: wall.id, moreTimes: 1 / slant, by: zero }],
    depth: lid.depth('lid'),
    part: (size, top) => lid.part(size, { top, joins: stages.lid }),
    stacks: () => lid.stacks,
  };
}

/** Puts it round the gift, or says why it can’t be. */
export function answer(brief: Brief): StyleAnswer {
  const cardOf = (slot: number) => paperFor(brief.papers, slot).thickness;
  const card = cardOf(0);
  const { across, deep, high } = brief.inside;
  const wide = across.target > deep.target;
  const floor = floorSections(brief, 'base', card, diamondLayers({ wide }, card));
  const board = brief.kit.diagonalBoard;
  const needed = (depth: Length) => largest(wallFor(depth, card), leastWall);
  const longest = wide ? floor.byDirection.across : floor.byDirection.deep;
  const wanted = section(brief, 'base band', {
    least: needed(high.least),
    target: needed(high.target),
  });
  // No higher than the floor is long: there the folded corners meet.
  const wall: Section = {
    ...wanted,
    target: largest(wanted.least, smallest(wanted.target, longest.target)),
    most: largest(wanted.least, smallest(wanted.most, longest.most)),
  };
  const base: Diamond = {
    id: 'base',
    name: 'Base',
    paper: 0,
    floorRole: 'floor',
    first: floor.deep,
    second: floor.across,
    band: wall.id,
    wide,
    ...(board && { punchBoard: 'diagonal' }),
  };
  const long = largest(across.least, deep.least);
  const { step, unit } = brief.kit.trimmer;
  if (leastWall > long) {
    const nearest = plus(wide ? brief.gift.across : brief.gift.deep, minus(leastWall, long));
    const enough = formatWithUnit(roundUp(nearest, step), unit);
    return {
      ok: false,
      refusal: {
        field: wide ? 'gift.across' : 'gift.deep',
        message: `The folded corners would meet: this wrap’s walls are ${formatWithUnit(leastWall, 'mm')} high at the least, and no higher than it is long. It takes a gift from ${enough} on.`,
        nearest,
      },
    };
  }
  if (wall.least > longest.target) {
    const nearest = minus(longest.target, minus(wall.least, brief.gift.high));
    return {
      ok: false,
      refusal: {
        field: 'gift.high',
        message:
          nearest > 0
            ? `The folded corners would meet: this wrap can be no higher than it is long. It takes one like this up to ${formatWithUnit(roundDown(nearest, step), unit)} high.`
            : 'The folded corners would meet: this wrap can be no higher than it is long.',
        ...(nearest > 0 && { nearest }),
      },
    };
  }
  const under = { base, floor, wall, card };
  const lid =
    brief.options.lid === 'none'
      ? undefined
      : brief.options.lidForm === 'tray'
        ? trayLid(brief, under)
        : diamondLid(brief, under);
  return {
    ok: true,
    frame: {
      sections: [markFor(wall, bandMark), ...marksOf(floor, brief.kit), ...(lid?.sections ?? [])],
      pieces: [diamondTemplate(base, cardOf), ...(lid ? [lid.template] : [])],
      fits: lid?.fits ?? [],
      depths: lid ? [lid.depth] : [],
      smaller: [
        // The folded corners meet where a wall is as high as its floor is long: in marks, a band of two of them.
        { less: wall.id, more: wide ? floor.across : floor.deep, moreTimes: 2, by: zero },
        ...(lid?.smaller ?? []),
      ],
      settle: (size) => {
        const inside = diamondInside(base, size, card);
        const top = toMillimetres(inside.high) + toMillimetres(card) / 2;
        return {
          clearInside: inside,
          assembly: {
            parts: [
              diamondPart(base, size, { at: vector(0, 0, -toMillimetres(card) / 2), joins: 0 }),
              ...(lid ? [lid.part(size, top)] : []),
            ],
            stacks: [...diamondStacks(base, size), ...(lid?.stacks(size) ?? [])],
            cavity: roomOf(inside),
            giftEnters: stages.gift,
          },
        };
      },
    },
  };
}

/** A square sheet folded round the gift on its diagonal. */
export const diamondWrap = defineStyle({
  id: 'diamond-wrap',
  name: 'Diamond wrap',
  about: 'A square sheet scored at 45°, its corners folded in',
  papers: ['Base', 'Lid'],
  options,
  punchBoard: 'diagonal',
  usual: { lid: 'shallow', lidForm: 'diamond' },
  traits: ({ lid }) => ({ opensFromTop: true, showsGift: lid === 'none' }),
});
