import { stackGap } from '../gaps/index.ts';
import { z } from 'zod';
import type { Section } from '../marks/index.ts';
import { vector, type Stack } from '../fold/index.ts';
import {
  addLayers,
  atFront,
  columnScore,
  drawGrid,
  evenLayers,
  fitsOver,
  giftTray,
  lidTray,
  marksWindow,
  sectionsOver,
  smoothTray,
  trayStacks,
  trayTemplate,
  valley,
  type PieceTemplate,
  type StyleAnswer,
  type StyleBrief,
} from '../forms/index.ts';
import { half, minus, plus, times, toMillimetres, zero, type Length } from '../length/index.ts';
import { paperFor } from '../paper/index.ts';
import { defineStyle } from './define-style.ts';
import { howDeep, howMany } from './options.ts';

/** What is folded or put together when, counted over the whole box. */
const stages = { gift: 3, wraps: 4, stands: 5, cap: 6 } as const;

const options = z.object({
  trays: howMany('Trays', 2, 4),
  capDepth: howDeep({ title: 'Cap', measures: 'the cap’s wall, from its edge to its fold' }, [
    'shallow',
    'half',
    'full',
  ]),
});

/** The panels on which the trays are glued, from the lowest tray to the topmost. */
const levels = [
  { panel: 3, wall: [1.5, 0.5] },
  { panel: 2, wall: [0.5, 1.5] },
  { panel: 1, wall: [1.5, 2.5] },
  { panel: 0, wall: [2.5, 1.5] },
] as const;

/** Puts it round the gift, or says why it can’t be. */
export function answer(brief: StyleBrief<z.infer<typeof options>>): StyleAnswer {
  const { trays, capDepth } = brief.options;
  const { thickness: card, gaps } = paperFor(brief.papers, 1);
  const inner = giftTray(brief, {
    ...smoothTray,
    name: 'Tray',
    copies: trays,
  });
  const { floor } = inner.tray;
  const between = evenLayers(plus(inner.card, card));
  const panels = sectionsOver(brief, 'wrapper', { inner: floor, layers: between, gap: gaps.liner });
  const floors = times(half(inner.card), trays);
  const high: Section = {
    id: 'wrapper high',
    least: times(inner.wall.least, trays),
    target: plus(times(inner.wall.target, trays), floors, stackGap.target),
    most: plus(times(inner.wall.most, trays), floors, marksWindow(brief)),
    weight: 0,
  };
  const cap = lidTray(
    brief,
    { id: 'cap', name: 'Cap', paper: 2, tabsOn: 'sides', tabsLie: 'inside' },
    { piece: 'wrapper', floor: panels, wall: high, card, outside: addLayers(evenLayers(zero)) },
    capDepth,
  );
  const across = [panels.deep, panels.across, panels.deep, panels.across];
  const wrapper: PieceTemplate = {
    id: 'wrapper',
    name: 'Wrapper',
    paper: 1,
    copies: 1,
    across,
    down: [high.id],
    draw: (size) =>
      drawGrid({
        columns: across.map(size),
        rows: [size(high.id)],
        picture: ['wwww'],
        lines: [1, 2, 3].map((line) => columnScore(line, 0, 1, valley(90, stages.wraps))),
      }),
  };
  return {
    ok: true,
    frame: {
      sections: [...inner.sections, ...panels.sections, high, ...cap.sections],
      pieces: [trayTemplate(inner.tray), wrapper, cap.template],
      fits: [
        ...fitsOver('liner', {
          outer: { piece: 'wrapper', floor: panels },
          inner: { piece: 'tray', floor },
          layers: between,
          gap: gaps.liner,
        }),
        {
          kind: 'liner',
          outer: 'wrapper',
          inner: 'tray',
          direction: 'high',
          outerSection: high.id,
          innerSection: inner.wall.id,
          innerTimes: trays,
          layers: floors,
          gap: stackGap,
        },
        ...cap.fits,
      ],
      smaller: cap.smaller,
      depths: [cap.depth('capDepth')],
      settle: (size) => {
        const clearInside = inner.inside(size);
        const step = toMillimetres(plus(size(inner.wall.id), half(inner.card)));
        const foot = -toMillimetres(inner.card);
        const used = levels.slice(0, trays);
        const trayParts = used.map((_, level) => ({
          ...inner.part,
          id: level === 0 ? 'tray' : `tray ${level + 1}`,
          at: vector(0, 0, inner.part.at.z + level * step),
          joins: level === 0 ? 0 : stages.wraps,
        }));
        const top = foot + toMillimetres(size(high.id));
        // The trays stand in the middle, so each panel is off its tray by half of what the marks leave.
        const off = (panel: string, own: string, layers: Length) =>
          Math.max(0, toMillimetres(minus(size(panel), size(own), layers)) / 2);
        const bows = Math.max(
          off(panels.across, floor.across, between.across),
          off(panels.deep, floor.deep, between.deep),
        );
        return {
          clearInside,
          assembly: {
            parts: [
              ...trayParts,
              atFront({
                id: 'wrapper',
                root: { column: 1.5, row: 0.5 },
                at: vector(0, -toMillimetres(size(panels.deep)) / 2, (foot + top) / 2),
                joins: stages.stands,
                opens: vector(0, -40, 0),
              }),
              cap.part(size, { top, joins: stages.cap }),
            ],
            stacks: [
              ...trayParts.flatMap((part) => trayStacks(inner.tray, part)),
              ...used.map(({ panel, wall: [column, row] }, level): Stack => ({
                face: { part: trayParts[level]?.id ?? 'tray', spot: { column, row } },
                on: { part: 'wrapper', spot: { column: panel + 0.5, row: 0.5 } },
                side: 'inside',
                holds: 'glue',
                bows,
              })),
              ...cap.stacks,
            ],
            cavity: inner.room(size),
            giftEnters: stages.gift,
          },
        };
      },
    },
  };
}

/** Trays on the panels of a wrapper, each a step lower, that close into a tower. */
export const tower = defineStyle({
  id: 'tower',
  name: 'Drawer tower',
  about: 'A wrapper with a tray on each panel, one step lower than the last, under a cap',
  papers: ['Trays', 'Wrapper', 'Cap'],
  options,
  usual: { trays: 4, capDepth: 'shallow' },
  traits: () => ({ opensFromTop: false, showsGift: false }),
});
