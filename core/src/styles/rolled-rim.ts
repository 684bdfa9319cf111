import { z } from 'zod';
import type { Section, SmallerPair } from '../marks/index.ts';
import {
  depthOf,
  giftTray,
  lidTray,
  depthWindow,
  section,
  trayStacks,
  trayTemplate,
  type StyleAnswer,
  type Depth,
  type StyleBrief,
} from '../forms/index.ts';
import {
  half,
  largest,
  millimetres,
  minus,
  plus,
  times,
  toMillimetres,
  type Length,
} from '../length/index.ts';
import { paperFor } from '../paper/index.ts';
import { defineStyle } from './define-style.ts';
import { howDeep } from './options.ts';

/** What is folded or put together when, counted over the whole box. */
const stages = { gift: 4, lid: 5 } as const;

const options = z.object({
  rimDepth: howDeep({ title: 'Rim', measures: 'from its edge to its fold' }, ['part', 'full']),
  lidDepth: howDeep({ title: 'Lid', measures: 'the lid’s wall, from fold to fold' }, [
    'shallow',
    'half',
    'full',
  ]),
  lidRimDepth: howDeep({ title: 'Lid’s rim', measures: 'from its edge to its fold' }, [
    'as the base’s',
    'part',
    'full',
  ]).default('as the base’s'),
});
type Brief = StyleBrief<z.infer<typeof options>>;

/** A shorter rim does not stay down. */
const leastRim = millimetres(4);

type RimDepth = Depth<'part' | 'full'>;

/** A rim ends above the floor by the card that lies there, and a little to spare. */
function rimUnder(
  brief: Brief,
  { id, option, asked }: { readonly id: string; readonly option: string; readonly asked: RimDepth },
  wall: Section,
  card: Length,
) {
  const stand = plus(times(card, 2), millimetres(0.3));
  const most = minus(wall.target, stand);
  const target = asked === 'full' ? most : largest(half(wall.target), millimetres(6));
  const rim: Section = {
    ...section(brief, id, { least: millimetres(5), target, weight: 0.1 }),
    least: largest(leastRim, minus(target, depthWindow)),
  };
  const smaller: SmallerPair = { less: id, more: wall.id, by: stand };
  return { rim, smaller, depth: depthOf(option, id, { least: leastRim, most }) };
}

/** Puts it round the gift, or says why it can’t be. */
export function answer(brief: Brief): StyleAnswer {
  const [baseCard, lidCard] = [0, 1].map((slot) => paperFor(brief.papers, slot).thickness);
  if (baseCard === undefined || lidCard === undefined) throw new Error('A paper is missing');
  const tabs = { tabsOn: 'sides', tabsLie: 'inside' } as const;
  const base = giftTray(brief, { id: 'base', name: 'Base', paper: 0, rim: 'base rim', ...tabs });
  const { lidDepth, rimDepth, lidRimDepth } = brief.options;
  const lid = lidTray(
    brief,
    { id: 'lid', name: 'Lid', paper: 1, rim: 'lid rim', ...tabs },
    {
      piece: 'base',
      floor: base.tray.floor,
      wall: base.wall,
      card: base.card,
      outside: base.outside,
    },
    lidDepth,
  );
  const baseRim = rimUnder(
    brief,
    { id: 'base rim', option: 'rimDepth', asked: rimDepth },
    base.wall,
    baseCard,
  );
  const lidRim = rimUnder(
    brief,
    {
      id: 'lid rim',
      option: 'lidRimDepth',
      asked:
        lidRimDepth === 'as the base’s' ? (rimDepth === 'full' ? 'full' : 'part') : lidRimDepth,
    },
    lid.wall,
    lidCard,
  );
  return {
    ok: true,
    frame: {
      sections: [...base.sections, ...lid.sections, baseRim.rim, lidRim.rim],
      pieces: [trayTemplate(base.tray), lid.template],
      fits: lid.fits,
      smaller: [...lid.smaller, baseRim.smaller, lidRim.smaller],
      depths: [lid.depth('lidDepth'), baseRim.depth, lidRim.depth],
      settle: (size) => {
        const clearInside = base.inside(size);
        // The fold of the rim stands half a card over the wall's own line.
        const top = toMillimetres(plus(clearInside.high, half(baseCard)));
        return {
          clearInside,
          assembly: {
            parts: [base.part, lid.part(size, { top, joins: stages.lid })],
            stacks: [...trayStacks(base.tray, base.part), ...lid.stacks],
            cavity: base.room(size),
            giftEnters: stages.gift,
          },
        };
      },
    },
  };
}

/** Walls of double card: each is turned in over the tabs. */
export const rolledRim = defineStyle({
  id: 'rolled-rim',
  name: 'Rolled-rim box',
  about: 'A lidded box with rims turned in: double walls, no raw edge',
  papers: ['Base', 'Lid'],
  options,
  usual: { rimDepth: 'full', lidDepth: 'shallow', lidRimDepth: 'as the base’s' },
  traits: () => ({ opensFromTop: true, showsGift: false }),
});
