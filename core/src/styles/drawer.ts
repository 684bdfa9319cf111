import { z } from 'zod';
import type { Section } from '../marks/index.ts';
import { vector } from '../fold/index.ts';
import {
  columnScore,
  drawGrid,
  giftTray,
  lies,
  marksWindow,
  rowScore,
  seamDepth,
  seamTaper,
  seamSection,
  section,
  sitting,
  smoothTray,
  trayStacks,
  trayTemplate,
  valley,
  type PieceTemplate,
  type StyleAnswer,
  type StyleBrief,
  type StyleFit,
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
  zero,
  type Length,
} from '../length/index.ts';
import { paperFor } from '../paper/index.ts';
import { defineStyle } from './define-style.ts';
import { howMany, oneOf, seamOption, usualSeam, whether } from './options.ts';

/** What is folded or put together when, counted over the whole box. */
const stages = { gift: 4, sleeve: 5 } as const;

const options = z.object({
  pull: oneOf('Pull', ['notch', 'ribbon', 'none']),
  trays: howMany('Trays side by side', 1, 2),
  stop: whether('Stop at the back'),
  seam: seamOption,
});

const sleeveStages = { tube: 0, stop: 1 } as const;

/** How much a stop is drawn in at each side, so that it swings up between the sides. */
const stopInset = (width: Length) => smallest(millimetres(2), times(width, 1 / 10));

/** A panel of the sleeve, sized by its gap over the tray alone. */
function sleevePanel(
  brief: StyleBrief<unknown>,
  id: string,
  {
    under,
    copies,
    over,
  }: { readonly under: Section; readonly copies: number; readonly over: Length },
): Section {
  return {
    id,
    least: largest(
      times(under.least, copies),
      minus(plus(times(under.least, copies), over), marksWindow(brief)),
    ),
    target: plus(times(under.target, copies), over),
    most: plus(times(under.most, copies), over, marksWindow(brief)),
    weight: 0,
  };
}

/** Puts it round the gift, or says why it can’t be. */
export function answer(brief: StyleBrief<z.infer<typeof options>>): StyleAnswer {
  const { pull, trays, stop } = brief.options;
  const { thickness: card, gaps } = paperFor(brief.papers, 1);
  // The tray slides front to back; its front is the drawn bottom.
  const gift = giftTray(brief, {
    ...smoothTray,
    name: 'Tray',
    copies: trays,
    ...(pull === 'notch' && { thumb: 'front' }),
    ...(pull === 'ribbon' && { pull }),
  });
  const { tray, wall } = gift;
  const trayPiece = trayTemplate(tray);
  const { floor } = tray;
  // Round the trays stand their own walls, the sleeve, and its seam inside one side.
  const besides = plus(times(gift.card, trays), times(card, 2));
  const above = plus(half(gift.card), card);
  const { target } = gaps.drawer;
  const { across, deep } = floor.byDirection;
  const width = sleevePanel(brief, 'sleeve width', {
    under: across,
    copies: trays,
    over: plus(besides, target),
  });
  const height = sleevePanel(brief, 'sleeve height', {
    under: wall,
    copies: 1,
    over: plus(above, target),
  });
  // Inside its back fold the stop's own card takes some of the length.
  const behind = stop ? card : zero;
  const length = section(brief, 'sleeve length', {
    least: plus(deep.least, behind),
    target: plus(deep.target, behind),
    weight: 0.25,
  });
  const stopHigh = smallest(millimetres(12), times(wall.least, 0.6));
  const stopFlap: Section = {
    ...section(brief, 'sleeve stop', {
      least: times(stopHigh, 0.6),
      target: stopHigh,
      weight: 0.1,
    }),
    most: times(wall.least, 0.9),
  };
  const beside = seamSection(brief, 'sleeve seam', times(wall.least, 0.8));
  const seam = { ...beside, most: largest(wall.least, beside.target) };
  const slides = { kind: 'drawer', outer: 'sleeve', inner: 'tray', gap: gaps.drawer } as const;
  const fits: readonly StyleFit[] = [
    {
      ...slides,
      direction: 'across',
      outerSection: width.id,
      innerSection: floor.across,
      innerTimes: trays,
      layers: besides,
    },
    {
      ...slides,
      direction: 'high',
      outerSection: height.id,
      innerSection: wall.id,
      layers: above,
    },
  ];
  /** The row of the panels; the stop is drawn over it, at the back. */
  const row = stop ? 1 : 0;
  // Side, bottom, side, top, and the seam inside the first side.
  const panels = [height.id, width.id, height.id, width.id, seam.id];
  const sleeve: PieceTemplate = {
    id: 'sleeve',
    name: 'Sleeve',
    paper: 1,
    copies: 1,
    across: panels,
    down: stop ? [stopFlap.id, length.id] : [length.id],
    draw: (size) =>
      drawGrid({
        columns: panels.map(size),
        rows: stop ? [size(stopFlap.id), size(length.id)] : [size(length.id)],
        picture: stop ? ['.p...', 'wwwws'] : ['wwwws'],
        lines: [
          ...[1, 2, 3, 4].map((column) =>
            columnScore(column, row, row + 1, valley(90, sleeveStages.tube)),
          ),
          ...(stop ? [rowScore(1, 1, 2, valley(90, sleeveStages.stop))] : []),
        ],
        tapers: [
          seamTaper(row, size(length.id)),
          ...(stop
            ? [
                {
                  cell: { column: 1, row: 0 },
                  hinge: 'bottom',
                  inset: stopInset(size(width.id)),
                } as const,
              ]
            : []),
        ],
      }),
  };
  return {
    ok: true,
    frame: {
      sections: [...gift.sections, width, height, length, seam, ...(stop ? [stopFlap] : [])],
      pieces: [trayPiece, sleeve],
      fits,
      smaller: [],
      depths: [seamDepth(seam, times(wall.least, 0.8))],
      settle: (size) => {
        const apart = toMillimetres(plus(size(floor.across), gift.card));
        // The gift's tray is the first; a second one stands to its right.
        const parts = Array.from({ length: trays }, (_, i) => ({
          ...gift.part,
          id: i === 0 ? 'tray' : 'second tray',
          at: { ...gift.part.at, x: i * apart },
          joins: i,
        }));
        const thick = toMillimetres(card);
        const middle = ((trays - 1) * apart) / 2;
        // The stop stands behind the tray; without one both lie middle over middle.
        const back = toMillimetres(plus(size(floor.deep), gift.card, card)) / 2 + 0.2;
        const aside = stop ? back - toMillimetres(size(length.id)) / 2 : 0;
        return {
          clearInside: gift.inside(size),
          assembly: {
            parts: [
              ...parts,
              sitting({
                id: 'sleeve',
                root: { column: 1.5, row: row + 0.5 },
                at: vector(middle - thick / 2, aside, -toMillimetres(gift.card) - thick / 2),
                joins: stages.sleeve,
                opens: vector(0, toMillimetres(size(length.id)) + 20, 0),
              }),
            ],
            stacks: [
              ...parts.flatMap((part) => trayStacks(tray, part)),
              lies('sleeve', { face: [4.5, row + 0.5], on: [0.5, row + 0.5], side: 'inside' }),
            ],
            cavity: gift.room(size),
            giftEnters: stages.gift,
          },
        };
      },
    },
  };
}

/** A tray that slides in a sleeve. */
export const drawer = defineStyle({
  id: 'drawer',
  name: 'Drawer box',
  about: 'A tray that slides out of a sleeve',
  papers: ['Tray', 'Sleeve'],
  options,
  usual: { pull: 'notch', trays: 1, stop: false, seam: usualSeam },
  traits: () => ({ opensFromTop: false, showsGift: false }),
});
