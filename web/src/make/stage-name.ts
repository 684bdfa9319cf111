import type { Bench, Stage } from '@rangoli/core';

const benchNames: Readonly<Record<Bench, string>> = {
  trimmer: 'Trimmer, blade in',
  'punch board': 'Punch board',
  board: 'Scoring board',
  tip: 'Trimmer, scoring tip in',
  ruler: 'Ruler and stylus',
  scissors: 'Scissors and knife',
  punch: 'Punches',
  glue: 'Fold and glue',
};

/** What a stage of the job is called, by the tool that it needs. */
export function stageName({ bench, steps }: Stage): string {
  const isByHand = steps.every(
    (step) => step.kind === 'cut' && step.cuts.every(({ tool }) => tool === 'ruler'),
  );
  return bench === 'trimmer' && isByHand ? 'Ruler and knife' : benchNames[bench];
}
