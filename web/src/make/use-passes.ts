import { quarterTurnsTo, type FenceSide, type ScoreStep } from '@rangoli/core';
import { useIntervalFn, usePreferredReducedMotion } from '@vueuse/core';
import { ref, watch } from 'vue';

const quarters = { none: 0, quarter: 1, half: 2, 'three quarters': 3 } as const;

/** Milliseconds that each side of a piece is shown. */
const shownFor = 2600;

/**
 * Which side of a piece is at the fence: all of a setting's one after the other, until one of them is
 * chosen. `turns` counts quarter turns in all, so that the piece is always turned on and never back.
 */
export function usePasses(step: () => ScoreStep, fence: () => FenceSide) {
  const motion = usePreferredReducedMotion();
  const pass = ref(0);
  const turns = ref(0);

  function show(to: number): void {
    const next = step().passes[to];
    if (!next) return;
    turns.value +=
      to === pass.value + 1
        ? quarters[next.turn]
        : (quarterTurnsTo(next.edge, fence()) - (turns.value % 4) + 4) % 4;
    pass.value = to;
  }

  const cycle = useIntervalFn(() => {
    if (motion.value !== 'reduce') show((pass.value + 1) % step().passes.length);
  }, shownFor);

  function choose(to: number): void {
    cycle.pause();
    show(to);
  }

  watch(
    step,
    ({ passes }) => {
      const [first] = passes;
      pass.value = 0;
      turns.value = first ? quarterTurnsTo(first.edge, fence()) : 0;
      if (passes.length > 1) cycle.resume();
      else cycle.pause();
    },
    { immediate: true },
  );

  return { pass, turns, choose };
}
