import {
  countInWords,
  markWords,
  momentFigure,
  ordinalInWords,
  type StepWords,
  type Telling,
} from '@rangoli/core';
import type { Moment } from './moments.ts';

function markOf({ mark, operation }: Extract<Moment, { kind: 'mark' }>, { kit }: Telling) {
  const { figure, words } = markWords(mark, operation, kit);
  return { figure, aside: words };
}

/** What a moment is told by in large: `3 1/8 in`, and beside it `second of two · one small mark after 3`. */
export interface MomentFigure {
  readonly figure: string;
  readonly aside: string;
}

/** The large figure of a moment, and what stands beside it. */
export function figureOfMoment(
  moment: Moment,
  said: Pick<StepWords, 'figure'>,
  telling: Telling,
): MomentFigure {
  if (moment.kind === 'cut' || moment.of === 1)
    return moment.kind === 'mark' ? markOf(moment, telling) : { figure: said.figure, aside: '' };
  const { figure, aside } =
    moment.kind === 'mark'
      ? markOf(moment, telling)
      : { figure: momentFigure(moment.operation, telling), aside: '' };
  const place = `${ordinalInWords(moment.nth)} of ${countInWords(moment.of)}`;
  return { figure, aside: aside === '' ? place : `${place} · ${aside}` };
}
