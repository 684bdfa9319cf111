import type { Print } from '../print/index.ts';
import type { Paper } from './paper.ts';

/** The two faces of a paper: the front is the printed one, or the better one. */
export type PaperFace = 'front' | 'back';

/** How a face of a paper looks: its colour, what is printed on it, and whether it is printed at all. */
export interface FaceLook {
  readonly colour: string;
  readonly isPrinted: boolean;
  readonly print?: Print;
}

/** The bare face of a card that is printed on the other one. */
const bare = '#f1ebdd';

/** How a face of a paper looks. A back that nobody has told of is bare card, or like the front. */
export function faceLook(
  { colour, print, front, back }: Pick<Paper, 'colour' | 'print' | 'front' | 'back'>,
  face: PaperFace,
): FaceLook {
  const isPrinted = face === 'front' ? print !== 'plain' : print === 'both faces';
  const shown = face === 'front' ? front : (back?.print ?? front);
  const usual = face === 'back' && print === 'one face' ? bare : colour;
  return {
    colour: face === 'back' ? (back?.colour ?? usual) : colour,
    isPrinted,
    ...(isPrinted && shown && { print: shown }),
  };
}
