import { z } from 'zod';
import {
  giftTray,
  lidTray,
  trayStacks,
  trayTemplate,
  type StyleAnswer,
  type StyleBrief,
} from '../forms/index.ts';
import { toMillimetres } from '../length/index.ts';
import { defineStyle } from './define-style.ts';
import { howDeep, oneOf, whether } from './options.ts';

/** What is folded or put together when, counted over the whole box. */
const stages = { gift: 3, lid: 4 } as const;

const options = z.object({
  lidDepth: howDeep({ title: 'Lid', measures: 'the lid’s wall, from its edge to its fold' }, [
    'shallow',
    'half',
    'full',
  ]),
  /** Tabs on the side walls lie behind the front and the back, so that the front shows no edge. */
  tabsOn: oneOf('Tabs on', ['sides', 'front and back']),
  tabsLie: oneOf('Tabs lie', ['inside', 'outside']),
  thumbNotches: whether('Thumb notches in the lid'),
});

/** Puts it round the gift, or says why it can’t be. */
export function answer(brief: StyleBrief<z.infer<typeof options>>): StyleAnswer {
  const { lidDepth, tabsOn, tabsLie, thumbNotches } = brief.options;
  const tabs = { tabsOn, tabsLie };
  const base = giftTray(brief, { id: 'base', name: 'Base', paper: 0, ...tabs });
  const lid = lidTray(
    brief,
    {
      id: 'lid',
      name: 'Lid',
      paper: 1,
      ...tabs,
      ...(thumbNotches && { thumb: 'front and back' }),
    },
    {
      piece: 'base',
      floor: base.tray.floor,
      wall: base.wall,
      card: base.card,
      outside: base.outside,
    },
    lidDepth,
  );
  return {
    ok: true,
    frame: {
      sections: [...base.sections, ...lid.sections],
      pieces: [trayTemplate(base.tray), lid.template],
      fits: lid.fits,
      smaller: lid.smaller,
      depths: [lid.depth('lidDepth')],
      settle: (size) => {
        const clearInside = base.inside(size);
        const top = toMillimetres(clearInside.high);
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

/** A tray and a larger tray over it. */
export const lidded = defineStyle({
  id: 'lidded',
  name: 'Lidded box',
  about: 'A tray with a larger tray over it',
  papers: ['Base', 'Lid'],
  options,
  usual: { lidDepth: 'shallow', tabsOn: 'sides', tabsLie: 'inside', thumbNotches: false },
  traits: () => ({ opensFromTop: true, showsGift: false }),
});
