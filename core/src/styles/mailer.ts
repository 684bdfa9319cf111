import type { StyleAnswer, StyleBrief } from '../forms/index.ts';
import { defineStyle } from './define-style.ts';
import { answerWithFlap, flapOptions, usualFlap, type FlapOptions } from './flap-style.ts';

/** Puts it round the gift. */
export function answer(brief: StyleBrief<FlapOptions>): StyleAnswer {
  return answerWithFlap(brief, { id: 'mailer', name: 'Mailer', corners: 'tabs' });
}

/** A tray with a hinged lid whose flap tucks in behind the front. */
export const mailer = defineStyle({
  id: 'mailer',
  name: 'Tuck-flap mailer',
  about: 'One piece: a tray with a hinged lid that tucks in, with ears',
  papers: ['Box'],
  options: flapOptions,
  usual: usualFlap,
  traits: () => ({ opensFromTop: true, showsGift: false }),
});
