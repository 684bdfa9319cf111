import { defineStyle } from './define-style.ts';
import { answerWithFlap, flapOptions, usualFlap } from './flap-style.ts';

/** A strip of five panels whose corners fold flat: it holds with no glue. */
export const foldLock = defineStyle({
  id: 'fold-lock',
  name: 'Fold-lock wrap',
  about: 'Five panels in a strip with corners folded, not slit: no glue',
  papers: ['Wrap'],
  options: flapOptions,
  usual: usualFlap,
  traits: () => ({ opensFromTop: true, showsGift: false }),
  answer: answerWithFlap({ id: 'wrap', name: 'Wrap', corners: 'webs' }),
});
