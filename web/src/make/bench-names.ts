import type { Bench } from '@rangoli/core';

/** What a stage of the job is called, by the tool that it needs. */
export const benchNames: Readonly<Record<Bench, string>> = {
  trimmer: 'Trimmer, blade in',
  'punch board': 'Punch board',
  board: 'Scoring board',
  tip: 'Trimmer, scoring tip in',
  ruler: 'Ruler and stylus',
  scissors: 'Scissors and punch',
  glue: 'Fold and glue',
};
