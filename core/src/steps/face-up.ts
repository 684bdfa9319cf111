import { millimetres } from '../length/index.ts';
import type { Paper } from '../paper/index.ts';
import type { FaceUp } from './step.ts';

/** Card under this thickness tears where it is scored as hard as other card. */
const thin = millimetres(0.2);

/** How a card lies to be scored, and how hard: foil and prints must not be scored on, thin card lightly. */
export function scoringOf({ finish, print, thickness }: Paper): {
  readonly face: FaceUp;
  readonly lightly?: true;
} {
  const face = finish === 'foil' ? 'foil down' : print === 'one face' ? 'print down' : 'inside up';
  return { face, ...(thickness < thin && { lightly: true }) };
}
