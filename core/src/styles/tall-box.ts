import { z } from 'zod';
import { clearDepth, wallFor } from '../gaps/index.ts';
import {
  evenLayers,
  gluedEnd,
  bottomFlaps,
  leastWall,
  lidTray,
  openEnd,
  roomOf,
  section,
  tubeAside,
  tubeInside,
  tubePanels,
  tubePart,
  tubeStacks,
  tubeTemplate,
  type StyleAnswer,
  type StyleBrief,
  wideEnoughForTabs,
} from '../forms/index.ts';
import { largest, toMillimetres, zero, type Length } from '../length/index.ts';
import { paperFor } from '../paper/index.ts';
import { defineStyle } from './define-style.ts';
import { howDeep, seamOption, usualSeam, whether } from './options.ts';

/** What is folded or put together when, counted over the whole box. */
const stages = { stands: 4, gift: 5, cap: 6 } as const;

const options = z.object({
  capDepth: howDeep({ title: 'Cap', measures: 'the cap’s wall, from its edge to its fold' }, [
    'shallow',
    'half',
    'full',
  ]),
  thumbNotches: whether('Thumb notches in the cap'),
  seam: seamOption,
});

/** Puts it round the gift, or says why it can’t be. */
export function answer(asked: StyleBrief<z.infer<typeof options>>): StyleAnswer {
  const brief = wideEnoughForTabs(asked, 'across');
  const card = paperFor(brief.papers, 0).thickness;
  const walls = tubePanels(brief, 'tube', card);
  const { high } = brief.inside;
  const needed = (depth: Length) => largest(wallFor(depth, card), leastWall);
  const wall = section(brief, 'tube high', {
    least: needed(high.least),
    target: needed(high.target),
  });
  const bottom = bottomFlaps(brief, 'tube bottom', walls.floor);
  const tube = {
    id: 'tube',
    name: 'Tube',
    paper: 0,
    panels: walls,
    high: wall.id,
    top: openEnd,
    bottom: gluedEnd(bottom.flaps.id, walls.floor, 1),
  };
  const cap = lidTray(
    brief,
    {
      id: 'cap',
      name: 'Cap',
      paper: 1,
      tabsOn: 'sides',
      tabsLie: 'inside',
      ...(brief.options.thumbNotches && { thumb: 'front and back' }),
    },
    { piece: 'tube', floor: walls.floor, wall, card, outside: evenLayers(zero) },
    brief.options.capDepth,
  );
  return {
    ok: true,
    frame: {
      sections: [wall, ...walls.sections, bottom.flaps, ...cap.sections],
      pieces: [tubeTemplate(tube), cap.template],
      fits: cap.fits,
      smaller: [...bottom.smaller, ...cap.smaller],
      depths: [cap.depth('capDepth'), walls.seamDepth],
      settle: (size) => {
        const clearInside = {
          ...tubeInside(size, walls),
          high: clearDepth(size(wall.id), card),
        };
        const top = toMillimetres(clearInside.high);
        return {
          clearInside,
          assembly: {
            parts: [
              tubePart(tube, size, { lower: -toMillimetres(card) / 2, joins: stages.stands }),
              cap.part(size, { top, aside: tubeAside(walls), joins: stages.cap }),
            ],
            stacks: [...tubeStacks(tube, size), ...cap.stacks],
            cavity: roomOf(clearInside),
            giftEnters: stages.gift,
          },
        };
      },
    },
  };
}

/** A tube with a cap over it, for what stands. */
export const tallBox = defineStyle({
  id: 'tall-box',
  name: 'Tall box and cap',
  about: 'A tube with a cap over it, for what stands',
  papers: ['Tube', 'Cap'],
  options,
  usual: { capDepth: 'shallow', thumbNotches: false, seam: usualSeam },
  traits: () => ({ opensFromTop: true, showsGift: false }),
});
