import { handleGap } from '../gaps/index.ts';
import { z } from 'zod';
import { vector } from '../fold/index.ts';
import {
  columnScore,
  depthOf,
  drawGrid,
  giftTray,
  handleWidth,
  marksWindow,
  openTray,
  overturned,
  section,
  type StyleSection,
  smoothTray,
  trayStacks,
  trayTemplate,
  valley,
  type PieceTemplate,
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
import { paperFor } from '../paper/index.ts';
import type { Cutout } from '../piece/index.ts';
import { defineStyle } from './define-style.ts';
import { howDeep, oneOf } from './options.ts';

/** What is folded or put together when, counted over the whole box. */
const stages = { handleBends: 3, handle: 4, gift: 5 } as const;

const options = z.object({
  handle: oneOf('Handle', ['strip', 'wire']),
  /** From the table to the top of the handle. */
  handleHeight: howDeep(
    { title: 'Handle’s height', measures: 'from the table to the top of the handle' },
    ['usual'],
  ).default('usual'),
});

/** A handle that rises less over the wall takes no finger. */
const leastRise = millimetres(20);

/** Holes for a wire handle near the upper edges of the side walls. */
function wireHoles(wall: Length, across: Length, deep: Length): readonly Cutout[] {
  const down = smallest(millimetres(6), half(wall));
  return [down, plus(wall, across, wall, times(down, -1))].map((x) => ({
    shape: 'hole',
    use: 'wire',
    centre: { x, y: plus(wall, half(deep)) },
    radius: smallest(millimetres(1.5), times(wall, 1 / 6), times(deep, 1 / 8)),
  }));
}

function answer(brief: StyleBrief<z.infer<typeof options>>): StyleAnswer {
  const gift = giftTray(brief, {
    ...smoothTray,
    name: 'Basket',
  });
  const { tray, wall } = gift;
  const { floor } = tray;
  const plain = trayTemplate(tray);
  if (brief.options.handle === 'wire')
    return openTray(gift, (size) => wireHoles(size(wall.id), size(floor.across), size(floor.deep)));
  const { thickness: card } = paperFor(brief.papers, 1);
  const { across, deep } = floor.byDirection;
  const over = plus(gift.card, card);
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
  const handle: PieceTemplate = {
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
  };
  return {
    ok: true,
    frame: {
      sections: [...gift.sections, span, upright, width],
      pieces: [plain, handle],
      fits: [
        {
          kind: 'handle',
          outer: 'handle',
          inner: 'tray',
          direction: 'across',
          outerSection: span.id,
          innerSection: floor.across,
          layers: over,
          gap: handleGap,
        },
      ],
      smaller: [],
      depths: [
        depthOf('handleHeight', upright.id, {
          least: plus(wall.target, leastRise),
          most: plus(wall.target, millimetres(300)),
        }),
      ],
      settle: (size) => {
        const wallTop = toMillimetres(size(wall.id)) - toMillimetres(gift.card) / 2;
        // Each leg bows in by half of what the marks leave between it and its wall.
        const gap = minus(size(span.id), size(floor.across), over);
        const bows = Math.max(0, toMillimetres(gap) / 2);
        // Its ends come down to just over the table.
        const top = toMillimetres(size(upright.id)) - toMillimetres(gift.card);
        return {
          clearInside: gift.inside(size),
          assembly: {
            parts: [
              gift.part,
              // Folded in like any other piece, so that its print shows.
              overturned({
                id: 'handle',
                root: { column: 1.5, row: 0.5 },
                at: vector(0, 0, Math.max(top, wallTop + 1)),
                joins: stages.handle,
                opens: vector(0, 0, top),
              }),
            ],
            stacks: [
              ...trayStacks(tray, gift.part),
              // Upside down, drawn left lies on the right side wall: its inside on that wall's outside.
              ...[0, 2].map((column) => ({
                face: { part: 'handle', spot: { column: column === 0 ? 0.05 : 2.95, row: 0.5 } },
                on: { part: 'tray', spot: { column: 2.5 - column, row: 1.5 } },
                side: 'outside' as const,
                holds: 'glue' as const,
                bows,
              })),
            ],
            cavity: gift.room(size),
            giftEnters: stages.gift,
          },
        };
      },
    },
  };
}

/** An open tray with a handle over it. */
export const basket = defineStyle({
  id: 'basket',
  name: 'Basket',
  about: 'An open tray with a strip or a wire for a handle',
  papers: ['Basket', 'Handle'],
  options,
  usual: { handle: 'strip', handleHeight: 'usual' },
  traits: () => ({ opensFromTop: true, showsGift: true }),
  answer,
});
