import { z } from 'zod';
import type { Section } from '../marks/index.ts';
import { add, vector, type Part } from '../fold/index.ts';
import {
  apothemOf,
  archHandle,
  leastWall,
  lidWallTarget,
  manySidedRoom,
  manySidedStacks,
  depthWindow,
  marksWindow,
  overlappingStacks,
  overlappingTabs,
  panelStrip,
  plate,
  plateSize,
  reachInRing,
  ringFloors,
  ringSections,
  depthOf,
  seamDepth,
  section,
  sideForReach,
  sideTangent,
  stripPart,
  towardsSeam,
  type ManySided,
  type StyleAnswer,
  type StyleBrief,
} from '../forms/index.ts';
import type { Extents } from '../gift/index.ts';
import {
  largest,
  millimetres,
  minus,
  plus,
  times,
  toMillimetres,
  zero,
  type Length,
} from '../length/index.ts';
import { paperFor } from '../paper/index.ts';
import { defineStyle } from './define-style.ts';
import { howDeep, howMany, oneOf, seamOption, usualSeam } from './options.ts';

/** What is folded or put together when, counted over the whole box: later by every tab but one that is folded by itself. */
function stagesOf({ bottom, sides }: Brief['options']) {
  const later = bottom === 'plate' ? 0 : sides - 1;
  return {
    standsUp: 2 + later,
    plate: 3 + later,
    handle: { bends: 3 + later, joins: 4 + later },
    gift: 4 + later,
    giftPastHandle: 5 + later,
    lid: 5 + later,
    lidPlate: 5 + later,
  };
}

/** A handle leaves room for a hand. */
const usualHandle = 'usual';

/** A lid is as deep as its name says. */
const usualLidDepth = 'as named';

const options = z.object({
  sides: howMany('Sides', 3, 12),
  top: oneOf('Top', ['open', 'handle', 'shallow lid', 'half lid']),
  lidDepth: howDeep(
    { title: 'Lid’s depth', measures: 'the lid’s wall, from its fold to its edge' },
    [usualLidDepth],
  ).default(usualLidDepth),
  handleHeight: howDeep(
    { title: 'Handle’s height', measures: 'from the table to its first fold' },
    [usualHandle],
  ).default(usualHandle),
  seam: seamOption,
  bottom: oneOf('Bottom', ringFloors).default('plate'),
});
type Brief = StyleBrief<z.infer<typeof options>>;

/** Narrower panels have too little for glue: under a handle, or on tabs that hold one another. */
function leastSide({ top, bottom, sides }: Brief['options']): Length {
  const underHandle = top === 'handle' ? millimetres(7) : zero;
  if (bottom === 'plate') return underHandle;
  const toMiddle = millimetres(7);
  return largest(underHandle, millimetres(10), times(toMiddle, 2 * sideTangent(sides)));
}

const oddHandle: StyleAnswer = {
  ok: false,
  refusal: {
    field: 'style.options.sides',
    message:
      'A handle is glued to two panels that face each other, and with an odd number of sides none do.',
  },
};

/** More tabs over one another make a lump in the middle of the floor. */
const mostOverlapping = 8;

const tooManyTabs: StyleAnswer = {
  ok: false,
  refusal: {
    field: 'style.options.bottom',
    message:
      'Tabs that overlap lie over one another in the middle of the floor: more than eight make a lump there, and this cup has a tab on every side.',
  },
};

/** Puts it round the gift, or says why it can’t be. */
export function answer(brief: Brief): StyleAnswer {
  const { sides, top, lidDepth, bottom } = brief.options;
  if (bottom !== 'plate' && sides > mostOverlapping) return tooManyTabs;
  const stages = stagesOf(brief.options);
  if (top === 'handle' && sides % 2 === 1) return oddHandle;
  const card = paperFor(brief.papers, 0).thickness;
  const lidPaper = paperFor(brief.papers, 1);
  const lidCard = lidPaper.thickness;
  const { across, deep, high } = brief.inside;
  const reach = (which: 'least' | 'target') =>
    reachInRing(across[which], deep[which], brief.round, sides);
  const sideOf = (which: 'least' | 'target') =>
    largest(sideForReach(reach(which), card, sides), leastSide(brief.options));
  const side = section(brief, 'cup side', { least: sideOf('least'), target: sideOf('target') });
  // The plate, where there is one, and half the tabs' card lie under the room.
  const under = times(card, bottom === 'plate' ? 1.5 : 0.5);
  const needed = (clear: Length) => largest(plus(clear, under), leastWall);
  const wall = section(brief, 'cup wall', {
    least: needed(high.least),
    target: needed(high.target),
  });
  const hasPlate = bottom === 'plate';
  const plated = ringSections(brief, 'cup', { sides, side, wall, card });
  const overlapping = overlappingTabs(brief, 'cup tab', side, sides);
  const cupSections = hasPlate ? plated : { ...plated, tab: overlapping.tab };
  const cup: ManySided = {
    id: 'cup',
    floor: bottom,
    name: hasPlate ? 'Ring' : 'Cup',
    paper: 0,
    sides,
    side: side.id,
    wall: wall.id,
    tab: 'cup tab',
    seam: 'cup seam',
    plateAcross: 'cup plate across',
    plateDeep: 'cup plate deep',
    plateRole: 'floor',
  };
  const isLidded = top === 'shallow lid' || top === 'half lid';
  const named = top === 'half lid' ? 'half' : 'shallow';
  const depth = lidWallTarget(wall.target, lidDepth === usualLidDepth ? named : lidDepth);
  const tan = sideTangent(sides);
  // From outside to outside: the cup's card, the lid's on both sides, and its seam on one.
  const layers = plus(card, times(lidCard, 2));
  const over = plus(layers, lidPaper.gaps.lid.target);
  const lidSide: Section = {
    id: 'lid side',
    least: side.least,
    target: plus(side.target, times(over, tan)),
    most: plus(side.most, times(over, tan), marksWindow(brief)),
    weight: 0,
  };
  const lidWall: Section = {
    ...section(brief, 'lid wall', { least: depth, target: depth, weight: 0.25 }),
    least: largest(leastWall, minus(depth, depthWindow)),
  };
  const lidSections = ringSections(brief, 'lid', {
    sides,
    side: lidSide,
    wall: lidWall,
    card: lidCard,
  });
  const lidShape: ManySided = {
    id: 'lid',
    floor: 'plate',
    name: 'Lid ring',
    paper: 1,
    sides,
    side: lidSide.id,
    wall: lidWall.id,
    tab: 'lid tab',
    seam: 'lid seam',
    plateAcross: 'lid plate across',
    plateDeep: 'lid plate deep',
    plateRole: 'lid',
  };
  const sectionsOf = (
    own: Section,
    { floor }: ManySided,
    rest: ReturnType<typeof ringSections>,
  ) => [
    own,
    rest.wall,
    rest.tab,
    rest.seam,
    ...(floor === 'plate' ? [rest.plateAcross, rest.plateDeep] : []),
  ];
  const handle =
    top === 'handle'
      ? archHandle(brief, { cup, side, wall, paper: 1, stages: stages.handle })
      : undefined;
  return {
    ok: true,
    frame: {
      sections: [
        ...sectionsOf(side, cup, cupSections),
        ...(handle?.sections ?? []),
        ...(isLidded ? sectionsOf(lidSide, lidShape, lidSections) : []),
      ],
      rough: [...(hasPlate ? cupSections.rough : []), ...(isLidded ? lidSections.rough : [])],
      pieces: [
        panelStrip(cup, card),
        ...(hasPlate ? [plate(cup, card, 'plate', 'Floor plate')] : []),
        ...(handle ? [handle.template] : []),
        ...(isLidded
          ? [panelStrip(lidShape, lidCard), plate(lidShape, lidCard, 'top', 'Lid plate')]
          : []),
      ],
      fits: isLidded
        ? [
            {
              kind: 'lid',
              outer: 'lid',
              inner: 'cup',
              direction: 'deep',
              outerSection: lidSide.id,
              innerSection: side.id,
              layers,
              gap: lidPaper.gaps.lid,
              opens: 1 / tan,
            },
          ]
        : handle
          ? [handle.fit]
          : [],
      depths: [
        seamDepth(cupSections.seam, side.least),
        ...(handle ? [handle.depth('handleHeight')] : []),
        ...(isLidded
          ? [depthOf('lidDepth', lidWall.id, { least: leastWall, most: wall.target })]
          : []),
      ],
      // A seam lies behind one panel.
      smaller: [
        { less: cupSections.seam.id, more: side.id, by: zero },
        ...(hasPlate ? [] : overlapping.smaller),
        ...(isLidded ? [{ less: lidSections.seam.id, more: lidSide.id, by: zero }] : []),
      ],
      settle: (size) => {
        const apothem = minus(apothemOf(size(side.id), sides), times(card, 1.5));
        const clearHigh = minus(size(wall.id), under);
        const spare = minus(
          apothem,
          reachInRing(brief.gift.across, brief.gift.deep, brief.round, sides),
        );
        const clearInside: Extents = {
          across: plus(brief.gift.across, times(spare, 2)),
          deep: plus(brief.gift.deep, times(spare, 2)),
          high: clearHigh,
        };
        const thick = toMillimetres(card);
        const top = toMillimetres(clearHigh);
        const lidThick = toMillimetres(lidCard);
        const plateAt = (
          id: string,
          shape: ManySided,
          z: number,
          joins: number,
          opens?: Part['at'],
        ): Part => {
          const own = paperFor(brief.papers, shape.paper).thickness;
          const corners = plateSize(shape, size(shape.side), own);
          const width = toMillimetres(size(shape.plateAcross));
          const height = toMillimetres(size(shape.plateDeep));
          // The figure stands in the lower left corner of its sheet, its middle over the box's.
          const front = toMillimetres(
            minus(apothemOf(size(shape.side), sides), times(own, 1.5), millimetres(0.5)),
          );
          const turned = shape.plateRole === 'lid' ? -1 : 1;
          return {
            id,
            piece: id,
            root: {
              column: toMillimetres(corners.across) / 2 / width,
              row: (height - front) / height,
            },
            right: vector(turned, 0, 0),
            up: vector(0, 1, 0),
            at: vector(0, 0, z),
            joins,
            ...(opens && { opens }),
          };
        };
        const lifted = vector(0, 0, top + 40);
        // Its seam lies inside the lid on one side, and the lid keeps as far from the cup there as elsewhere.
        const besideSeam = (part: Part): Part => ({
          ...part,
          at: add(part.at, towardsSeam(lidShape, lidThick / 2)),
        });
        return {
          clearInside,
          assembly: {
            parts: [
              stripPart(cup, size, {
                lower: -toMillimetres(under),
                joins: stages.standsUp,
                overturned: false,
              }),
              ...(hasPlate ? [plateAt('plate', cup, -thick / 2, stages.plate)] : []),
              ...(handle ? [handle.part(size)] : []),
              ...(isLidded
                ? [
                    besideSeam(
                      stripPart(lidShape, size, {
                        lower: top + 1.5 * lidThick,
                        joins: stages.lid,
                        overturned: true,
                        opens: lifted,
                      }),
                    ),
                    besideSeam(
                      plateAt('top', lidShape, top + lidThick / 2, stages.lidPlate, lifted),
                    ),
                  ]
                : []),
            ],
            stacks: [
              ...(hasPlate
                ? manySidedStacks(cup, 'plate', plateAt('plate', cup, 0, 0).root)
                : overlappingStacks(cup)),
              ...(handle?.stacks(size) ?? []),
              ...(isLidded
                ? manySidedStacks(lidShape, 'top', plateAt('top', lidShape, 0, 0).root)
                : []),
            ],
            cavity: manySidedRoom(sides, toMillimetres(apothem), top),
            giftEnters: handle ? stages.giftPastHandle : stages.gift,
          },
        };
      },
    },
  };
}

/** A cup of many panels with a flat floor. */
export const manySided = defineStyle({
  id: 'many-sided',
  name: 'Many-sided cup',
  about: 'Three to twelve panels round a flat floor: open, with a handle or a lid',
  papers: ['Cup', 'Lid or handle'],
  options,
  usual: {
    sides: 6,
    top: 'shallow lid',
    lidDepth: usualLidDepth,
    handleHeight: usualHandle,
    seam: usualSeam,
    bottom: 'plate',
  },
  traits: ({ top }) => ({ opensFromTop: true, showsGift: top === 'open' || top === 'handle' }),
});
