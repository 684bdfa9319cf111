import { z } from 'zod';
import { flapBox, type StyleAnswer, type StyleBrief } from '../forms/index.ts';
import { defineStyle } from './define-style.ts';
import { oneOf, whether } from './options.ts';

const options = z.object({
  flap: oneOf('Flap', ['rounded', 'square']),
  thumbNotch: whether('Thumb notch'),
});

function answer(brief: StyleBrief<z.infer<typeof options>>): StyleAnswer {
  const { flap, thumbNotch } = brief.options;
  return {
    ok: true,
    frame: flapBox(brief, {
      id: 'wrap',
      name: 'Wrap',
      corners: 'webs',
      roundedFlap: flap === 'rounded',
      thumbNotch,
    }),
  };
}

/** A strip of five panels whose corners fold flat: it holds with no glue. */
export const foldLock = defineStyle({
  id: 'fold-lock',
  name: 'Fold-lock wrap',
  about: 'Five panels in a strip with corners folded, not slit: no glue',
  papers: ['Wrap'],
  options,
  usual: { flap: 'rounded', thumbNotch: false },
  traits: () => ({ opensFromTop: true, showsGift: false }),
  answer,
});
