import {
  noteBefore,
  sayStep,
  type Job,
  type Plan,
  type PlanRequest,
  type Step,
  type Telling,
} from '@rangoli/core';
import { computed } from 'vue';
import { figureOfMoment } from './moment-words.ts';
import type { Moment } from './use-moments.ts';

/** A step as it is told at the table: with what must be known before it, and the figure of its moment. */
export function useStepWords(options: {
  readonly job: () => Job | undefined;
  readonly shown: () => { readonly plan: Plan; readonly request: PlanRequest } | undefined;
  readonly step: () => Step | undefined;
  readonly moment: () => Moment | undefined;
}) {
  const telling = computed((): Telling | undefined => {
    const [job, shown] = [options.job(), options.shown()];
    return shown && job ? { job, box: shown.plan, kit: shown.request.kit } : undefined;
  });
  const words = computed(() => {
    const step = options.step();
    if (!step || !telling.value) return undefined;
    const said = sayStep(step, telling.value);
    const note = noteBefore(telling.value.job, step, telling.value.kit);
    if (note === undefined) return said;
    const passages = [{ text: note }, ...said.passages];
    return { ...said, text: `${note} ${said.text}`, passages };
  });
  /** The figure of the moment: the mark at hand, or the setting of the cut. */
  const now = computed(() =>
    words.value && telling.value
      ? figureOfMoment(options.moment(), words.value, telling.value)
      : undefined,
  );
  return { telling, words, now };
}
