import {
  countInWords,
  markWords,
  momentFigure,
  ordinalInWords,
  type StepWords,
  type Telling,
} from '@rangoli/core';
import type { Moment } from './use-moments.ts';

function markOf({ mark, operation }: Extract<Moment, { kind: 'mark' }>, { kit }: Telling) {
  const { figure, words } = markWords(mark, operation, kit);
  return { figure, aside: words };
}

/** The large figure of a moment, and what stands beside it: `3 1/8 in`, `second of two · one small mark after 3`. */
export function figureOfMoment(
  moment: Moment | undefined,
  said: StepWords,
  telling: Telling,
): { readonly figure: string; readonly aside: string } {
  if (!moment || moment.kind === 'cut' || moment.of === 1)
    return moment?.kind === 'mark' ? markOf(moment, telling) : { figure: said.figure, aside: '' };
  const { figure, aside } =
    moment.kind === 'mark'
      ? markOf(moment, telling)
      : { figure: momentFigure(moment.operation, telling), aside: '' };
  const place = `${ordinalInWords(moment.nth)} of ${countInWords(moment.of)}`;
  return { figure, aside: aside === '' ? place : `${place} · ${aside}` };
}

/** What leads on to the next thing of a step: a mark, or a cut; from the last one back to the first. */
export function nextInWords(moment: Moment | undefined, place: 'within' | 'last'): string {
  const thing = { cut: 'cut', mark: 'mark', assembly: 'move', punch: 'punch' }[
    moment?.kind ?? 'mark'
  ];
  return place === 'within' ? `Next ${thing}` : `First ${thing}`;
}
