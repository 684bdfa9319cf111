import type { MaybeComputedElementRef } from '@vueuse/core';
import { computed } from 'vue';
import { useObservedSize } from './use-observed-size.ts';

/** The fewest pixels that a drawing counts on, so that a frame without room leaves it small and not broken. */
const leastPixels = 40;

/** How much room a frame gives to its drawing, in pixels; a usual screen's before it is first measured. */
export function useFrameSize(frame: MaybeComputedElementRef) {
  const { width, height } = useObservedSize(frame, { width: 840, height: 440 });
  return {
    width: computed(() => Math.max(leastPixels, width.value)),
    height: computed(() => Math.max(leastPixels, height.value)),
  };
}
