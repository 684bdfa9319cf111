import type { StyleAnswer, StyleBrief } from '../forms/index.ts';
import { answer as drawer } from './drawer.ts';
import { answer as lidded } from './lidded.ts';
import { answer as tallBox } from './tall-box.ts';
import { answer as tuckEnd } from './tuck-end.ts';
import { answer as overlapTop } from './overlap-top.ts';
import { answer as rolledRim } from './rolled-rim.ts';
import { answer as webCorner } from './web-corner.ts';
import { answer as mailer } from './mailer.ts';
import { answer as foldLock } from './fold-lock.ts';
import { answer as basket } from './basket.ts';
import { answer as carryTray } from './carry-tray.ts';
import { answer as diamondWrap } from './diamond-wrap.ts';
import { answer as manySided } from './many-sided.ts';
import { answer as petalTop } from './petal-top.ts';
import { answer as shell } from './shell.ts';
import { answer as sleeve } from './sleeve.ts';
import { answer as tower } from './tower.ts';
import { answer as ringSeat } from './ring-seat.ts';
import { answer as tentTop } from './tent-top.ts';
import { answer as hingedLid } from './hinged-lid.ts';
import { answer as pinchTop } from './pinch-top.ts';
import { answer as gatheredTop } from './gathered-top.ts';
import type { StyleChoice } from './registry.ts';

/** Puts the chosen style round the gift, or says why it can’t be. */
export function answerWith(
  choice: StyleChoice,
  brief: Omit<StyleBrief<unknown>, 'options'>,
): StyleAnswer {
  switch (choice.style) {
    case 'drawer':
      return drawer({ ...brief, options: choice.options });
    case 'lidded':
      return lidded({ ...brief, options: choice.options });
    case 'tall-box':
      return tallBox({ ...brief, options: choice.options });
    case 'tuck-end':
      return tuckEnd({ ...brief, options: choice.options });
    case 'overlap-top':
      return overlapTop({ ...brief, options: choice.options });
    case 'rolled-rim':
      return rolledRim({ ...brief, options: choice.options });
    case 'web-corner':
      return webCorner({ ...brief, options: choice.options });
    case 'mailer':
      return mailer({ ...brief, options: choice.options });
    case 'fold-lock':
      return foldLock({ ...brief, options: choice.options });
    case 'basket':
      return basket({ ...brief, options: choice.options });
    case 'carry-tray':
      return carryTray({ ...brief, options: choice.options });
    case 'diamond-wrap':
      return diamondWrap({ ...brief, options: choice.options });
    case 'many-sided':
      return manySided({ ...brief, options: choice.options });
    case 'petal-top':
      return petalTop({ ...brief, options: choice.options });
    case 'shell':
      return shell({ ...brief, options: choice.options });
    case 'sleeve':
      return sleeve({ ...brief, options: choice.options });
    case 'tower':
      return tower({ ...brief, options: choice.options });
    case 'ring-seat':
      return ringSeat({ ...brief, options: choice.options });
    case 'tent-top':
      return tentTop({ ...brief, options: choice.options });
    case 'hinged-lid':
      return hingedLid({ ...brief, options: choice.options });
    case 'pinch-top':
      return pinchTop({ ...brief, options: choice.options });
    case 'gathered-top':
      return gatheredTop({ ...brief, options: choice.options });
  }
}
