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
      id: 'mailer',
      name: 'Mailer',
      corners: 'tabs',
      roundedFlap: flap === 'rounded',
      thumbNotch,
    }),
  };
}

/** A tray with a hinged lid whose flap tucks in behind the front. */
export const mailer = defineStyle({
  id: 'mailer',
  name: 'Tuck-flap mailer',
  about: 'One piece: a tray with a hinged lid that tucks in, with ears',
  papers: ['Box'],
  options,
  usual: { flap: 'rounded', thumbNotch: false },
  traits: () => ({ opensFromTop: true, showsGift: false }),
  answer,
});
