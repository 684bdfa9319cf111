import { z } from 'zod';
import { wallFor } from '../gaps/index.ts';
import type { Section } from '../marks/index.ts';
import { vector } from '../fold/index.ts';
import {
  diamondInside,
  diamondLayers,
  diamondPart,
  diamondStacks,
  diamondTemplate,
  floorSections,
  leastWall,
  lidWallTarget,
  markFor,
  depthWindow,
  roomOf,
  section,
  sectionsOver,
  slant,
  type Diamond,
  type FloorSections,
  type StyleAnswer,
  type StyleBrief,
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
import { howDeep } from './options.ts';

/** What is folded or put together when, counted over the whole box. */
const stages = { gift: 3, lid: 4 } as const;

const options = z.object({
  lid: howDeep({ title: 'Lid', measures: 'how high the lid’s wall is' }, [
    'none',
    'shallow',
    'full',
  ]),
});

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

function answer(brief: StyleBrief<z.infer<typeof options>>): StyleAnswer {
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
  const lidCard = cardOf(1);
  const isLidded = brief.options.lid !== 'none';
  const between = diamondLayers({ wide }, lidCard);
  const layers = {
    across: plus(between.across, card, lidCard),
    deep: plus(between.deep, card, lidCard),
  };
  const gap = paperFor(brief.papers, 1).gaps.lid;
  const lidFloor = sectionsOver(brief, 'lid', { inner: floor, layers, gap });
  const asked = brief.options.lid;
  const lidDepth = lidWallTarget(wall.target, asked === 'none' ? 'shallow' : asked);
  const lidWall: Section = {
    ...section(brief, 'lid band', { least: lidDepth, target: lidDepth, weight: 0.25 }),
    least: largest(leastWall, minus(lidDepth, depthWindow)),
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
  const fits = (['across', 'deep'] as const).map((direction): StyleFit => ({
    kind: 'lid',
    outer: 'lid',
    inner: 'base',
    direction,
    outerSection: lidFloor[direction],
    innerSection: floor[direction],
    layers: layers[direction],
    gap,
    opens: slant,
  }));
  return {
    ok: true,
    frame: {
      sections: [
        markFor(wall, bandMark),
        ...marksOf(floor, brief.kit),
        ...(isLidded ? [markFor(lidWall, bandMark), ...marksOf(lidFloor, brief.kit)] : []),
      ],
      pieces: [diamondTemplate(base, cardOf), ...(isLidded ? [diamondTemplate(lid, cardOf)] : [])],
      fits: isLidded ? fits : [],
      depths: isLidded
        ? [
            {
              option: 'lid',
              least: leastWall,
              most: largest(leastWall, wall.target),
              comes: (size) => nanometres(Math.round(size(lidWall.id) / slant)),
              sets: { section: lidWall.id, to: bandMark },
            },
          ]
        : [],
      smaller: [
        // The folded corners meet where a wall is as high as its floor is long: in marks, a band of two of them.
        { less: wall.id, more: wide ? floor.across : floor.deep, moreTimes: 2, by: zero },
        ...(isLidded ? [{ less: lidWall.id, more: wall.id, by: zero }] : []),
      ],
      settle: (size) => {
        const inside = diamondInside(base, size, card);
        const top = toMillimetres(inside.high) + toMillimetres(card) / 2;
        return {
          clearInside: inside,
          assembly: {
            parts: [
              diamondPart(base, size, { at: vector(0, 0, -toMillimetres(card) / 2), joins: 0 }),
              ...(isLidded
                ? [
                    diamondPart(lid, size, {
                      at: vector(0, 0, top + toMillimetres(lidCard) / 2),
                      joins: stages.lid,
                      opens: vector(0, 0, 2 * top),
                    }),
                  ]
                : []),
            ],
            stacks: [...diamondStacks(base, size), ...(isLidded ? diamondStacks(lid, size) : [])],
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
  usual: { lid: 'shallow' },
  traits: ({ lid }) => ({ opensFromTop: true, showsGift: lid === 'none' }),
  answer,
});
