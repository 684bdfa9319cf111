import { defineStyle } from './define-style.ts';
import { answerWithFlap, flapOptions, usualFlap } from './flap-style.ts';

/** A tray with a hinged lid whose flap tucks in behind the front. */
export const mailer = defineStyle({
  id: 'mailer',
  name: 'Tuck-flap mailer',
  about: 'One piece: a tray with a hinged lid that tucks in, with ears',
  papers: ['Box'],
  options: flapOptions,
  usual: usualFlap,
  traits: () => ({ opensFromTop: true, showsGift: false }),
  answer: answerWithFlap({ id: 'mailer', name: 'Mailer', corners: 'tabs' }),
});
