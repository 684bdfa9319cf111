import { z } from 'zod';
import { wallFor, hingedSidesGap, hingedFrontGap, levelGap } from '../gaps/index.ts';
import type { Section } from '../marks/index.ts';
import { vector } from '../fold/index.ts';
import {
  depthOf,
  floorSections,
  leastWall,
  lidWallTarget,
  lies,
  depthWindow,
  roomOf,
  section,
  sectionsOver,
  sitting,
  tabLayers,
  wideEnoughForTabs,
  trayInside,
  type SizeOf,
  type StyleAnswer,
  type StyleBrief,
  drawHingedBox,
  hingedStages,
  type HingedBox,
} from '../forms/index.ts';
import {
  half,
  largest,
  millimetres,
  minus,
  plus,
  roundToGrid,
  roundUp,
  smallest,
  times,
  toMillimetres,
  zero,
  type Length,
} from '../length/index.ts';
import { paperFor } from '../paper/index.ts';
import { defineStyle } from './define-style.ts';
import { howDeep, oneOf, whether } from './options.ts';

const options = z.object({
  lidDepth: howDeep({ title: 'Lid', measures: 'the lid’s front wall, from its edge to its fold' }, [
    'shallow',
    'half',
    'full',
  ]),
  thumbNotch: whether('Thumb notch'),
  front: oneOf('Lid front', ['square', 'curved', 'lip']),
});
type Options = z.infer<typeof options>;

/** The step from the base's side walls out to the lid's, on the trimmer's marks: never too tight. */
function stepFor(over: Length, mark: Length): Length {
  const least = roundUp(half(plus(over, hingedSidesGap.least)), mark);
  return largest(least, roundToGrid(half(plus(over, hingedSidesGap.target)), mark));
}

/** How many sections the piece has across: the folds of the lid's side walls are counted on from there. */
const acrossSections = 3;

/** Where the folds of the lid's side walls are scored already, each from its own edge and from the left one. */
function lidSidesMade({ made }: StyleBrief<Options>) {
  const here = made.find(({ piece, way }) => piece === 'box' && way === 'across');
  const at = (mark: number) => here?.marks.find((each) => each.mark === mark)?.at;
  const [left, right] = [at(acrossSections), at(acrossSections + 1)];
  const fromRight = here && right !== undefined ? minus(here.cut, right) : undefined;
  return { left, right, furthestIn: largest(left ?? zero, fromRight ?? zero) };
}

/** Puts it round the gift, or says why it can’t be. */
export function answer(asked: StyleBrief<Options>): StyleAnswer {
  const brief = wideEnoughForTabs(asked, 'across');
  const card = paperFor(brief.papers, 0).thickness;
  const layers = tabLayers('sides', card);
  const floor = floorSections(brief, 'base', card, layers);
  const { high } = brief.inside;
  const needed = (depth: Length) => largest(wallFor(depth, card), leastWall);
  // The lid's side walls fold outside the base's.
  const scored = lidSidesMade(brief);
  const beyondLid = plus(scored.furthestIn, millimetres(0.3));
  const wall = section(brief, 'base wall', {
    least: largest(needed(high.least), beyondLid),
    target: largest(needed(high.target), beyondLid),
  });
  // Beside the base's walls and the lid's own card, its tabs lie behind its front.
  const over = times(card, 2);
  const step = stepFor(over, brief.kit.trimmer.step);
  // Scored already, they lie where they lie.
  const lidSides = (size: SizeOf): readonly [Length, Length] => [
    scored.left ?? minus(size(wall.id), step),
    scored.right ?? plus(size(wall.id), size(floor.across), step),
  ];
  const hasLip = brief.options.front === 'lip';
  const overFront = hasLip ? plus(over, card) : over;
  const lidFloor = sectionsOver(brief, 'lid', {
    inner: floor,
    layers: { across: over, deep: overFront },
    gap: hingedFrontGap,
  });
  // However deep it is, the folds of its sides lie outside the base's walls.
  const deepest = minus(wall.target, step);
  const { lidDepth } = brief.options;
  const target =
    lidDepth === 'full' ? deepest : smallest(lidWallTarget(wall.target, lidDepth), deepest);
  const lidWall: Section = {
    ...section(brief, 'lid wall', { least: target, target, weight: 0.2 }),
    least: largest(millimetres(4), minus(target, depthWindow)),
  };
  // A lid that lies on the walls has its hinge half a card over them, and never stands in the gift's room.
  const spine = section(brief, 'spine', {
    least: largest(wall.least, plus(high.least, card)),
    target: plus(wall.target, half(card)),
    weight: 0,
  });
  const lip = hasLip
    ? section(brief, 'lip', {
        least: millimetres(5),
        target: smallest(millimetres(12), times(target, 0.8)),
        weight: 0.1,
      })
    : undefined;
  const lidDeep: Section = { ...lidFloor.byDirection.deep, id: 'lid deep' };
  const ids: HingedBox = {
    wall: wall.id,
    across: floor.across,
    deep: floor.deep,
    lidSides,
    lidDeep: lidDeep.id,
    lidWall: lidWall.id,
    spine: spine.id,
    lip: lip?.id,
  };
  const lipRows = lip ? 1 : 0;
  const closes = { kind: 'hinge', outer: 'box', inner: 'box' } as const;
  return {
    ok: true,
    frame: {
      sections: [wall, ...floor.sections, lidDeep, lidWall, spine, ...(lip ? [lip] : [])],
      pieces: [
        {
          id: 'box',
          name: 'Box',
          paper: 0,
          copies: 1,
          across: [wall.id, floor.across, wall.id],
          alsoAcross: lidSides,
          down: [...(lip ? [lip.id] : []), lidWall.id, lidDeep.id, spine.id, floor.deep, wall.id],
          draw: (size) => drawHingedBox(ids, size, brief.options),
        },
      ],
      fits: [
        {
          ...closes,
          direction: 'deep',
          outerSection: lidDeep.id,
          innerSection: floor.deep,
          layers: overFront,
          gap: hingedFrontGap,
        },
        {
          kind: 'level',
          outer: 'box',
          inner: 'box',
          direction: 'high',
          outerSection: spine.id,
          innerSection: wall.id,
          layers: half(card),
          gap: levelGap,
        },
      ],
      settledFits: (size) => {
        const [left, right] = lidSides(size);
        // The spine holds the lid where it is, so each side goes over its own wall.
        const outward = [
          minus(size(wall.id), left),
          minus(right, size(wall.id), size(floor.across)),
        ] as const;
        return [
          {
            ...closes,
            direction: 'across',
            came: minus(times(smallest(...outward), 2), over),
            gap: hingedSidesGap,
          },
        ];
      },
      depths: [depthOf('lidDepth', lidWall.id, { least: leastWall, most: deepest })],
      smaller: [
        { less: wall.id, more: spine.id, by: zero },
        { less: lidWall.id, more: wall.id, by: step },
        ...(lip ? [{ less: lip.id, more: lidWall.id, by: millimetres(0.5) }] : []),
      ],
      settle: (size) => {
        const tray = trayInside({ floor, wall, card, layers }, size);
        const underLid = minus(size(spine.id), card);
        const inside = { ...tray, high: smallest(tray.high, underLid) };
        // So close to its hinge that there is card, however short a tab was cut.
        const close = (id: string) => Math.min(0.01, 0.5 / toMillimetres(size(id)));
        // A tab of the lid is no wider than its wall, and hangs at the inner edge of the side.
        const [left, right] = lidSides(size);
        const sides = [left, minus(plus(size(wall.id), size(floor.across), size(wall.id)), right)];
        const beside = Math.min(
          ...sides.map((side) => Math.min(0.05, (0.2 * size(lidWall.id)) / side)),
        );
        const [front, back, under] = [
          1 - close(lidWall.id),
          3 - close(spine.id),
          4 + close(wall.id),
        ];
        return {
          clearInside: inside,
          assembly: {
            parts: [
              sitting({
                id: 'box',
                root: { column: 2.5, row: lipRows + 3.5 },
                at: vector(0, 0, -toMillimetres(card) / 2),
              }),
            ],
            stacks: [
              ...[
                [1 - beside, front, 1.05, front],
                [4 + beside, front, 3.95, front],
                [1.5, back, 2.5, back],
                [3.5, back, 2.5, back],
                [1.5, under, 2.5, under],
                [3.5, under, 2.5, under],
              ].map(([x = 0, y = 0, onX = 0, onY = 0]) =>
                lies('box', { face: [x, y + lipRows], on: [onX, onY + lipRows], side: 'inside' }),
              ),
              ...(lip
                ? [
                    lies('box', { face: [2.1, 0.9], on: [2.1, 1.1], side: 'inside' }),
                    // It lies over the tabs behind the front too.
                    ...[1 - beside, 4 + beside].map((x) =>
                      lies('box', {
                        face: [2.1, 0.9],
                        on: [x, front + lipRows],
                        side: 'inside',
                        holds: 'rest',
                      }),
                    ),
                  ]
                : []),
            ],
            cavity: roomOf(inside),
            giftEnters: hingedStages.gift,
          },
        };
      },
    },
  };
}

/** Base and lid in one piece, joined by a spine. */
export const hingedLid = defineStyle({
  id: 'hinged-lid',
  name: 'Hinged-lid box',
  about: 'Base and lid in one piece, joined by a spine',
  papers: ['Box'],
  options,
  usual: { lidDepth: 'half', thumbNotch: false, front: 'square' },
  traits: () => ({ opensFromTop: true, showsGift: false }),
});
