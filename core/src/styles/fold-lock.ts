import type { StyleAnswer, StyleBrief } from '../forms/index.ts';
import { defineStyle } from './define-style.ts';
import { answerWithFlap, flapOptions, usualFlap, type FlapOptions } from './flap-style.ts';

/** Puts it round the gift. */
export function answer(brief: StyleBrief<FlapOptions>): StyleAnswer {
  return answerWithFlap(brief, { id: 'wrap', name: 'Wrap', corners: 'webs' });
}

/** A strip of five panels whose corners fold flat: it holds with no glue. */
export const foldLock = defineStyle({
  id: 'fold-lock',
  name: 'Fold-lock wrap',
  about: 'Five panels in a strip with corners folded, not slit: no glue',
  papers: ['Wrap'],
  options: flapOptions,
  usual: usualFlap,
  traits: () => ({ opensFromTop: true, showsGift: false }),
});
