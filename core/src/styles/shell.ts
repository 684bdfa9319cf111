import { z } from 'zod';
import type { Section } from '../marks/index.ts';
import { vector } from '../fold/index.ts';
import {
  columnScore,
  columnSlit,
  drawGrid,
  fitsOver,
  giftTray,
  lies,
  depthWindow,
  marksWindow,
  rowScore,
  section,
  sectionsOver,
  sitting,
  smoothTray,
  tabTaper,
  trayStacks,
  trayTemplate,
  trimmedCorners,
  valley,
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
  zero,
  type Length,
} from '../length/index.ts';
import { paperFor } from '../paper/index.ts';
import type { Cutout, Taper } from '../piece/index.ts';
import { defineStyle } from './define-style.ts';
import { whether } from './options.ts';

const options = z.object({ thumbNotch: whether('Thumb notch') });

/** Stages: tabs, the lower shell's sides and front, the upper's; then the tray, the gift, and closing. */
const stages = { tabs: 0, sides: 1, fronts: 2, tray: 4, gift: 5, close: 6 } as const;

/** Two shells with a spine between, from the upper front down to the lower front. */
function cover(
  ids: {
    readonly wall: string;
    readonly across: string;
    readonly deep: string;
    readonly spine: string;
  },
  { thumbNotch }: { readonly thumbNotch: boolean },
): PieceTemplate {
  const across = [ids.wall, ids.across, ids.wall];
  const down = [ids.wall, ids.deep, ids.spine, ids.deep, ids.wall];
  return {
    id: 'cover',
    name: 'Cover',
    paper: 1,
    copies: 1,
    across,
    down,
    draw: (size) => {
      const rows = down.map(size);
      return drawGrid({
        columns: across.map(size),
        rows,
        picture: ['twt', 'wlw', '.w.', 'wfw', 'twt'],
        lines: [
          ...[1, 2].flatMap((line) => [
            columnSlit(line, 0, 1),
            columnScore(line, 1, 2, valley(90, stages.sides)),
            columnScore(line, 3, 4, valley(90, stages.sides)),
            columnSlit(line, 4, 5),
          ]),
          ...[1, 4].flatMap((line) => [
            rowScore(line, 0, 1, valley(90, stages.tabs)),
            rowScore(line, 1, 2, valley(90, stages.fronts)),
            rowScore(line, 2, 3, valley(90, stages.tabs)),
          ]),
          rowScore(3, 1, 2, valley(90, stages.fronts)),
          rowScore(2, 1, 2, valley(90, stages.close)),
        ],
        tapers: [0, 2].flatMap((column) =>
          [0, 4].map((row): Taper => ({
            cell: { column, row },
            hinge: row === 0 ? 'bottom' : 'top',
            inset: tabTaper(size(ids.wall)),
          })),
        ),
        cutouts: frontCutouts({ thumbNotch, size, ids, rows }),
      });
    },
  };
}

function notchRadius(
  size: SizeOf,
  ids: { readonly wall: string; readonly across: string },
): Length {
  return smallest(millimetres(8), times(size(ids.across), 1 / 6), times(size(ids.wall), 0.4));
}

function frontCutouts({
  thumbNotch,
  size,
  ids,
  rows,
}: {
  readonly thumbNotch: boolean;
  readonly size: SizeOf;
  readonly ids: { readonly wall: string; readonly across: string };
  readonly rows: readonly Length[];
}): readonly Cutout[] {
  const wall = size(ids.wall);
  const across = size(ids.across);
  const whole = plus(zero, ...rows);
  const radius = thumbNotch ? notchRadius(size, ids) : zero;
  const most = minus(half(across), radius, millimetres(0.8));
  const trims = trimmedCorners({
    onSides: true,
    origin: zero,
    wall,
    across,
    deep: minus(whole, times(wall, 2)),
    most,
  });
  if (!thumbNotch) return trims;
  const centre = { x: plus(wall, half(across)), y: whole };
  return [...trims, { shape: 'notch', use: 'thumb notch', centre, radius, edge: 'bottom' }];
}

/** Puts it round the gift, or says why it can’t be. */
export function answer(brief: StyleBrief<z.infer<typeof options>>): StyleAnswer {
  const { thickness: card, gaps } = paperFor(brief.papers, 1);
  const inner = giftTray(brief, {
    ...smoothTray,
    name: 'Inner tray',
  });
  const { floor } = inner.tray;
  // Beside the tray's own walls the cover has its card, and tabs behind its fronts.
  const both = plus(inner.card, card);
  const layers = { across: both, deep: plus(both, card) };
  const coverFloor = sectionsOver(brief, 'cover', { inner: floor, layers, gap: gaps.liner });
  const above = plus(half(inner.card), card);
  const spine: Section = {
    id: 'cover spine',
    least: inner.wall.least,
    target: plus(inner.wall.target, above, gaps.liner.target),
    most: plus(inner.wall.most, above, marksWindow(brief)),
    weight: 0,
  };
  // The shells' edges meet in the middle or leave a line of the tray to be seen.
  const target = largest(minus(half(spine.target), card, millimetres(0.4)), millimetres(4));
  const wall: Section = {
    ...section(brief, 'cover wall', { least: millimetres(3), target, weight: 0.3 }),
    least: largest(millimetres(3), minus(target, depthWindow)),
    most: largest(target, half(spine.most)),
  };
  const ids = {
    wall: wall.id,
    across: coverFloor.across,
    deep: coverFloor.deep,
    spine: spine.id,
  };
  return {
    ok: true,
    frame: {
      sections: [...inner.sections, ...coverFloor.sections, spine, wall],
      pieces: [trayTemplate(inner.tray), cover(ids, { thumbNotch: brief.options.thumbNotch })],
      fits: [
        ...fitsOver('liner', {
          outer: { piece: 'cover', floor: coverFloor },
          inner: { piece: 'tray', floor },
          layers,
          gap: gaps.liner,
        }),
        {
          kind: 'liner',
          outer: 'cover',
          inner: 'tray',
          direction: 'high',
          outerSection: spine.id,
          innerSection: inner.wall.id,
          layers: above,
          gap: gaps.liner,
        },
      ],
      // Two walls stand on one another in the closed box: together they are no higher than the spine.
      smaller: [{ less: wall.id, more: spine.id, moreTimes: 0.5, by: zero }],
      settle: (size) => {
        const clearInside = inner.inside(size);
        const thick = toMillimetres(card);
        const low = -toMillimetres(inner.card) - thick / 2;
        return {
          clearInside,
          assembly: {
            parts: [
              sitting({
                id: 'cover',
                root: { column: 1.5, row: 3.5 },
                // Tabs lie behind the front alone, so the tray stands half a card nearer the spine.
                at: vector(0, -thick / 2, low),
              }),
              { ...inner.part, joins: stages.tray },
            ],
            stacks: [
              ...trayStacks(inner.tray, inner.part),
              ...[0, 2].flatMap((column) => [
                lies('cover', { face: [column + 0.5, 0.99], on: [1.5, 0.99], side: 'inside' }),
                lies('cover', { face: [column + 0.5, 4.01], on: [1.5, 4.01], side: 'inside' }),
              ]),
            ],
            cavity: inner.room(size),
            giftEnters: stages.gift,
          },
        };
      },
    },
  };
}

/** Two shallow trays on a spine that close round an inner tray. */
export const shell = defineStyle({
  id: 'shell',
  name: 'Shell box',
  about: 'Two half-deep shells on a spine close round an inner tray',
  papers: ['Inner tray', 'Cover'],
  options,
  usual: { thumbNotch: true },
  traits: () => ({ opensFromTop: true, showsGift: false }),
});
