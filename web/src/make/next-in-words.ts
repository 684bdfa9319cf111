import type { Moment } from './moments.ts';

/** What leads on to the next thing of a step: a mark, or a cut; from the last one back to the first. */
export function nextInWords(moment: Moment | undefined, place: 'within' | 'last'): string {
  const thing = { cut: 'cut', mark: 'mark', assembly: 'move', punch: 'punch' }[
    moment?.kind ?? 'mark'
  ];
  return place === 'within' ? `Next ${thing}` : `First ${thing}`;
}
