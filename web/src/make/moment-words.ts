import { countInWords, markWords, ordinalInWords, type Kit, type StepWords } from '@rangoli/core';
import type { Moment } from './use-moments.ts';

/** The large figure of a moment, and what stands beside it: `3 1/8 in`, `second of two · one small mark after 3`. */
export function figureOfMoment(
  moment: Moment | undefined,
  said: StepWords,
  kit: Kit,
): { readonly figure: string; readonly aside: string } {
  if (moment?.kind !== 'mark') return { figure: said.figure, aside: '' };
  const { figure, words } = markWords(moment.mark, moment.operation, kit);
  const place =
    moment.of === 1 ? '' : `${ordinalInWords(moment.nth)} of ${countInWords(moment.of)}`;
  return { figure, aside: [place, words].filter((each) => each !== '').join(' · ') };
}

/** What leads on to the next thing of a step: a mark, or a cut; from the last one back to the first. */
export function nextInWords(moment: Moment | undefined, place: 'within' | 'last'): string {
  const thing = moment?.kind === 'cut' ? 'cut' : 'mark';
  return place === 'within' ? `Next ${thing}` : `First ${thing}`;
}
