import type { Paper } from '../paper/index.ts';
import type { FaceUp } from './step.ts';

/** How a card lies to be scored: foil and prints must not be scored on. */
export function faceUpFor({ finish, print }: Paper): FaceUp {
  if (finish === 'foil') return 'foil down';
  return print === 'one face' ? 'print down' : 'inside up';
}
