import type { ScoreStep, Step } from './step.ts';

/** Scores of one piece that are measured along the same edges: one ruler shows all their marks. */
export interface ScoreStrip {
  /** Smallest reading first; never empty. */
  readonly steps: readonly [ScoreStep, ...ScoreStep[]];
}

/** What two scores must share to stand on one ruler. */
function rulerOf({ make, passes }: ScoreStep): string {
  const edges = passes.map(({ edge, part }) => (part ? `${edge} part` : edge));
  return [make, ...edges.sort()].join(' ');
}

/** The scores of a piece as rulers, in the order in which its first scores are made. */
export function scoreStrips(steps: readonly Step[], piece: string): readonly ScoreStrip[] {
  const strips = new Map<string, [ScoreStep, ...ScoreStep[]]>();
  for (const step of steps) {
    if (step.kind !== 'score' || step.piece !== piece) continue;
    const ruler = rulerOf(step);
    const strip = strips.get(ruler);
    if (strip) strip.push(step);
    else strips.set(ruler, [step]);
  }
  return [...strips.values()].map((all) => ({ steps: all }));
}
