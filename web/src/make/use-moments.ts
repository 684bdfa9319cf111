import type { Step } from '@rangoli/core';
import { computed, ref, watch } from 'vue';
import { momentsOf } from './moments.ts';

/** Which moment of a step is at hand; the first when the step changes. */
export function useMoments(step: () => Step | undefined) {
  const at = ref(0);
  const moments = computed(() => {
    const now = step();
    return now ? momentsOf(now) : [];
  });
  const moment = computed(() => moments.value[at.value]);
  const hasNext = computed(() => at.value + 1 < moments.value.length);

  watch(
    () => step()?.id,
    () => {
      at.value = 0;
    },
  );

  function choose(to: number): void {
    if (to >= 0 && to < moments.value.length) at.value = to;
  }

  return { at, moments, moment, hasNext, choose };
}
