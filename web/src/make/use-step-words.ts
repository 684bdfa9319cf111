import type { Passage, Step } from '@rangoli/core';
import { computed } from 'vue';
import type { PlannedJob, StepTold } from '../planner/tell-job.ts';
import type { MomentFigure } from './moment-words.ts';

/** All passages of a step in one, with what must be known before it. */
function passagesOf({ before, passages }: StepTold): readonly Passage[] {
  return before === undefined ? passages : [{ text: before }, ...passages];
}

/** A step as it is told at the table: with what must be known before it, and the figure of its moment. */
export function useStepWords(options: {
  readonly planned: () => PlannedJob | undefined;
  readonly step: () => Step | undefined;
  /** Which of its moments is at hand. */
  readonly at: () => number;
}) {
  const told = computed(() => {
    const step = options.step();
    return step && options.planned()?.told.get(step.id);
  });
  const words = computed(() => {
    if (!told.value) return undefined;
    const passages = passagesOf(told.value);
    return { ...told.value, passages, text: passages.map(({ text }) => text).join(' ') };
  });
  /** The figure of the moment: the mark at hand, or the setting of the cut. */
  const now = computed(
    (): MomentFigure | undefined =>
      told.value && (told.value.figures[options.at()] ?? { figure: told.value.figure, aside: '' }),
  );
  return { words, now };
}
