import { z } from 'zod';
import { giftTray, openTray, type StyleAnswer, type StyleBrief } from '../forms/index.ts';
import { half, millimetres, plus, smallest, times, type Length } from '../length/index.ts';
import type { Cutout } from '../piece/index.ts';
import { defineStyle } from './define-style.ts';
import { oneOf } from './options.ts';

const options = z.object({
  grips: oneOf('Grips', ['finger holes', 'none']),
  tabsLie: oneOf('Tabs lie', ['inside', 'outside']),
});

/** A hole for a finger in the middle of both side walls. */
function fingerHoles(wall: Length, across: Length, deep: Length): readonly Cutout[] {
  return [half(wall), plus(wall, across, half(wall))].map((x) => ({
    shape: 'hole',
    use: 'finger hole',
    centre: { x, y: plus(wall, half(deep)) },
    radius: smallest(millimetres(9), times(wall, 0.28), times(deep, 0.2)),
  }));
}

/** Puts it round the gift, or says why it can’t be. */
export function answer(brief: StyleBrief<z.infer<typeof options>>): StyleAnswer {
  const { grips, tabsLie } = brief.options;
  const gift = giftTray(brief, { id: 'tray', name: 'Tray', paper: 0, tabsOn: 'sides', tabsLie });
  const { wall, tray } = gift;
  return openTray(gift, (size) =>
    grips === 'none'
      ? []
      : fingerHoles(size(wall.id), size(tray.floor.across), size(tray.floor.deep)),
  );
}

/** An open tray with holes to carry it by. */
export const carryTray = defineStyle({
  id: 'carry-tray',
  name: 'Carry tray',
  about: 'An open tray with finger holes in its sides',
  papers: ['Tray'],
  options,
  usual: { grips: 'finger holes', tabsLie: 'inside' },
  traits: () => ({ opensFromTop: true, showsGift: true }),
});
