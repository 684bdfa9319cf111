import { z } from 'zod';
import { flapBox, type StyleAnswer, type StyleBrief } from '../forms/index.ts';
import { oneOf, tuckOption, usualTuck, whether } from './options.ts';

/** What can be chosen of a box in one piece whose lid tucks in. */
export const flapOptions = z.object({
  flap: oneOf('Flap', ['rounded', 'square']),
  ears: oneOf('Ears', ['plain', 'locking']),
  thumbNotch: whether('Thumb notch'),
  tuck: tuckOption,
});
export type FlapOptions = z.infer<typeof flapOptions>;

export const usualFlap: FlapOptions = {
  flap: 'rounded',
  ears: 'plain',
  thumbNotch: false,
  tuck: usualTuck,
};

type FlapPiece = Pick<Parameters<typeof flapBox>[1], 'id' | 'name' | 'corners'>;

/** Answers with such a box, its corners held by tabs or left whole and folded. */
export function answerWithFlap(brief: StyleBrief<FlapOptions>, piece: FlapPiece): StyleAnswer {
  return {
    ok: true,
    frame: flapBox(brief, {
      ...piece,
      roundedFlap: brief.options.flap === 'rounded',
      lockingEars: brief.options.ears === 'locking',
      thumbNotch: brief.options.thumbNotch,
    }),
  };
}
