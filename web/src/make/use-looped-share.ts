import { usePreferredReducedMotion, useRafFn } from '@vueuse/core';
import { shallowRef, watch } from 'vue';

/** Milliseconds that something rests at its end before it begins again. */
const rests = 1200;

/**
 * How far something has gone that is shown over and over, 0–1; more than half done and still where motion is
 * unwanted. It begins anew whenever `of` changes.
 */
export function useLoopedShare(options: {
  readonly milliseconds: () => number;
  readonly of: () => unknown;
}) {
  const still = 0.6;
  const motion = usePreferredReducedMotion();
  const share = shallowRef(still);
  let begun: number | undefined;
  useRafFn(({ timestamp }) => {
    if (motion.value === 'reduce') return;
    begun ??= timestamp;
    const takes = options.milliseconds();
    share.value = Math.min(1, ((timestamp - begun) % (takes + rests)) / takes);
  });
  watch(options.of, () => {
    begun = undefined;
    share.value = still;
  });
  return share;
}
