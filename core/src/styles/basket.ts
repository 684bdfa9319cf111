import { handleGap } from '../gaps/index.ts';
import { z } from 'zod';
import { vector, type Cavity, type GridSpot, type Part, type Stack } from '../fold/index.ts';
import type { Extents } from '../gift/index.ts';
import {
  columnScore,
  depthOf,
  drawGrid,
  giftTray,
  giftTube,
  handleWidth,
  marksWindow,
  openEnd,
  overturned,
  panels,
  roomOf,
  section,
  type FloorSections,
  type StyleDepth,
  type StyleSection,
  smoothTray,
  standOnGluedFlaps,
  trayStacks,
  trayTemplate,
  tubeAside,
  valley,
  wideEnoughForTabs,
  withCutouts,
  type PieceTemplate,
  type SizeOf,
  type StyleAnswer,
  type StyleBrief,
} from '../forms/index.ts';
import {
  half,
  largest,
  millimetres,
  minus,
  plus,
  smallest,
  times,
  toMillimetres,
  type Length,
} from '../length/index.ts';
import type { Section, SmallerPair } from '../marks/index.ts';
import { paperFor } from '../paper/index.ts';
import type { Cutout, Spot } from '../piece/index.ts';
import { defineStyle } from './define-style.ts';
import { howDeep, oneOf, seamOption, usualSeam } from './options.ts';

const options = z.object({
  body: oneOf('Basket', ['tray', 'tube']).default('tray'),
  handle: oneOf('Handle', ['strip', 'wire']),
  /** From the table to the top of the handle. */
  handleHeight: howDeep(
    { title: 'Handle’s height', measures: 'from the table to the top of the handle' },
    ['usual'],
  ).default('usual'),
  seam: seamOption,
});
type Brief = StyleBrief<z.infer<typeof options>>;

/** What the handle is put on. */
interface Body {
  readonly floor: FloorSections;
  readonly card: Length;
  readonly wall: Section;
  readonly sections: readonly StyleSection[];
  readonly smaller: readonly SmallerPair[];
  readonly depths: readonly StyleDepth[];
  readonly template: PieceTemplate;
  /** Middles of the two walls that a wire goes through, near their upper edges, so far below them. */
  readonly wireThrough: (size: SizeOf, down: Length) => readonly Spot[];
  /** How wide those walls are. */
  readonly wireWall: string;
  /** The right and the left wall. */
  readonly sides: readonly [GridSpot, GridSpot];
  readonly part: (size: SizeOf) => Part;
  readonly stacks: (size: SizeOf) => readonly Stack[];
  /** How far in millimetres its walls stand to the right of its room. */
  readonly aside: number;
  readonly inside: (size: SizeOf) => Extents;
  readonly room: (size: SizeOf) => Cavity;
  /** What is folded or put together when, counted over the whole box. */
  readonly stages: {
    readonly handleBends: number;
    readonly handle: number;
    readonly gift: number;
  };
}

function trayBody(brief: Brief): Body {
  const gift = giftTray(brief, { ...smoothTray, name: 'Basket' });
  const { tray, wall, card } = gift;
  const { floor } = tray;
  return {
    floor,
    card,
    wall,
    sections: gift.sections,
    smaller: [],
    depths: [],
    template: trayTemplate(tray),
    wireThrough: (size, down) => {
      const high = size(wall.id);
      const far = plus(high, size(floor.across), high);
      const y = plus(high, half(size(floor.deep)));
      return [
        { x: down, y },
        { x: minus(far, down), y },
      ];
    },
    wireWall: floor.deep,
    sides: [
      { column: 2.5, row: 1.5 },
      { column: 0.5, row: 1.5 },
    ],
    part: () => gift.part,
    stacks: () => trayStacks(tray, gift.part),
    aside: 0,
    inside: gift.inside,
    room: gift.room,
    stages: { handleBends: 3, handle: 4, gift: 5 },
  };
}

/** Half a card lies under the room of an open tube, in the flaps of its bottom. */
const tubeEnds = { bottom: 1, top: 0 };

function tubeBody(asked: Brief): Body {
  const brief = wideEnoughForTabs(asked, 'across');
  const tube = giftTube(brief, 'tube', tubeEnds);
  const { floor, seamDepth } = tube.panels;
  const { finished, bottom } = standOnGluedFlaps(brief, tube, {
    id: 'tube',
    name: 'Basket',
    top: openEnd,
    ends: tubeEnds,
    coverPaper: undefined,
  });
  return {
    floor,
    card: tube.card,
    wall: tube.wall,
    sections: [...tube.sections, bottom.flaps],
    smaller: bottom.smaller,
    depths: [seamDepth],
    template: finished.template,
    // Through the front and the back: a seam lies behind one of the sides.
    wireThrough: (size, down) => {
      const [across, deep] = [size(floor.across), size(floor.deep)];
      const front = plus(deep, half(across));
      return [
        { x: front, y: down },
        { x: plus(front, across, deep), y: down },
      ];
    },
    wireWall: floor.across,
    sides: [
      { column: panels.right + 0.5, row: 0.5 },
      { column: panels.left + 0.5, row: 0.5 },
    ],
    part: (size) => finished.part(size, 4),
    stacks: finished.stacks,
    aside: tubeAside(tube.panels),
    inside: finished.inside,
    room: (size) => roomOf(finished.inside(size)),
    stages: { handleBends: 5, handle: 6, gift: 7 },
  };
}

/** A handle that rises less over the wall takes no finger. */
const leastRise = millimetres(20);

/** Holes for a wire handle near the upper edges of two walls. */
function wireHoles({ wall, wireWall, wireThrough }: Body, size: SizeOf): readonly Cutout[] {
  const high = size(wall.id);
  const down = smallest(millimetres(6), half(high));
  return wireThrough(size, down).map((centre) => ({
    shape: 'hole',
    use: 'wire',
    centre,
    radius: smallest(millimetres(1.5), times(high, 1 / 6), times(size(wireWall), 1 / 8)),
  }));
}

/** A strip over the body, glued outside its right and its left wall. */
interface Strip {
  readonly sections: readonly StyleSection[];
  readonly template: PieceTemplate;
  readonly over: Length;
  readonly span: string;
  readonly upright: string;
}

function handleStrip(
  brief: Brief,
  { card: under, wall, floor, stages }: Pick<Body, 'card' | 'wall' | 'floor' | 'stages'>,
): Strip {
  const { thickness: card } = paperFor(brief.papers, 1);
  const { across, deep } = floor.byDirection;
  const over = plus(under, card);
  const span = {
    id: 'handle span',
    least: across.least,
    target: plus(across.target, over, handleGap.target),
    most: plus(across.most, over, marksWindow(brief)),
    weight: 0,
  };
  // It rises over the gift by about the width of a hand's three fingers.
  const rise = plus(wall.target, largest(times(across.target, 0.6), millimetres(35)));
  const upright: StyleSection = {
    ...section(brief, 'handle upright', { least: rise, target: rise, weight: 0.1 }),
    // Where its sheet is too short for more, a hand has less room.
    scant: plus(wall.target, leastRise),
  };
  const width = handleWidth(brief, { panel: deep.least, share: 0.5 });
  return {
    sections: [span, upright, width],
    over,
    span: span.id,
    upright: upright.id,
    template: {
      id: 'handle',
      name: 'Handle',
      paper: 1,
      copies: 1,
      across: [upright.id, span.id, upright.id],
      down: [width.id],
      draw: (size) =>
        drawGrid({
          columns: [upright.id, span.id, upright.id].map(size),
          rows: [size(width.id)],
          picture: ['eae'],
          lines: [1, 2].map((line) => columnScore(line, 0, 1, valley(90, stages.handleBends))),
        }),
    },
  };
}

/** Puts it round the gift, or says why it can’t be. */
export function answer(brief: Brief): StyleAnswer {
  const body = brief.options.body === 'tube' ? tubeBody(brief) : trayBody(brief);
  const { template, floor, wall, stages } = body;
  const assembly = (size: SizeOf) => ({
    parts: [body.part(size)],
    stacks: [...body.stacks(size)],
    cavity: body.room(size),
    giftEnters: stages.gift,
  });
  const bare = {
    sections: body.sections,
    smaller: body.smaller,
    depths: body.depths,
  };
  if (brief.options.handle === 'wire')
    return {
      ok: true,
      frame: {
        ...bare,
        pieces: [withCutouts(template, (size) => wireHoles(body, size))],
        fits: [],
        settle: (size) => ({ clearInside: body.inside(size), assembly: assembly(size) }),
      },
    };
  const strip = handleStrip(brief, body);
  return {
    ok: true,
    frame: {
      ...bare,
      sections: [...body.sections, ...strip.sections],
      pieces: [template, strip.template],
      fits: [
        {
          kind: 'handle',
          outer: 'handle',
          inner: template.id,
          direction: 'across',
          outerSection: strip.span,
          innerSection: floor.across,
          layers: strip.over,
          gap: handleGap,
        },
      ],
      depths: [
        ...body.depths,
        depthOf('handleHeight', strip.upright, {
          least: plus(wall.target, leastRise),
          most: plus(wall.target, millimetres(300)),
        }),
      ],
      settle: (size) => {
        const wallTop = toMillimetres(size(wall.id)) - toMillimetres(body.card) / 2;
        // Each leg bows in by half of what the marks leave between it and its wall.
        const gap = minus(size(strip.span), size(floor.across), strip.over);
        const bows = Math.max(0, toMillimetres(gap) / 2);
        // Its ends come down to just over the table.
        const top = toMillimetres(size(strip.upright)) - toMillimetres(body.card);
        const bare = assembly(size);
        return {
          clearInside: body.inside(size),
          assembly: {
            ...bare,
            parts: [
              ...bare.parts,
              // Folded in like any other piece, so that its print shows.
              overturned({
                id: 'handle',
                root: { column: 1.5, row: 0.5 },
                at: vector(body.aside, 0, Math.max(top, wallTop + 1)),
                joins: stages.handle,
                opens: vector(0, 0, top),
              }),
            ],
            stacks: [
              ...bare.stacks,
              // Upside down, drawn left lies on the right side wall: its inside on that wall's outside.
              ...body.sides.map((spot, at) => ({
                face: { part: 'handle', spot: { column: at === 0 ? 0.05 : 2.95, row: 0.5 } },
                on: { part: template.id, spot },
                side: 'outside' as const,
                holds: 'glue' as const,
                bows,
              })),
            ],
          },
        };
      },
    },
  };
}

/** An open tray or tube with a handle over it. */
export const basket = defineStyle({
  id: 'basket',
  name: 'Basket',
  about: 'An open tray or tube with a strip or a wire for a handle',
  papers: ['Basket', 'Handle'],
  options,
  usual: { body: 'tray', handle: 'strip', handleHeight: 'usual', seam: usualSeam },
  traits: () => ({ opensFromTop: true, showsGift: true }),
});
