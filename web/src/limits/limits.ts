import type { FrontierPoint, Furthest, PlanRequest } from '@rangoli/core';
import { onScopeDispose, shallowRef, toRaw, watch, type Ref } from 'vue';

/** How large gifts may be for a kind of box on its sheets. */
export interface Limits {
  /** For gifts with the proportions of today's. */
  readonly alike: readonly FrontierPoint[];
  readonly square: readonly FrontierPoint[];
  /** How far today's gift could still grow each way. */
  readonly furthest: Furthest;
}

interface Answer {
  readonly turn: number;
  readonly limits: Limits;
}

/** The limits for a request, worked out by a worker; those of the request before while it works. */
export function useLimits(request: Readonly<Ref<PlanRequest | undefined>>) {
  const limits = shallowRef<Limits>();
  const isWorking = shallowRef(false);
  const worker = new Worker(new URL('./limits-worker.ts', import.meta.url), { type: 'module' });
  let turn = 0;
  let waiting: PlanRequest | undefined;

  function ask(wanted: PlanRequest): void {
    isWorking.value = true;
    turn++;
    worker.postMessage({ turn, request: structuredClone(toRaw(wanted)) });
  }

  worker.addEventListener('message', ({ data }: MessageEvent<Answer>) => {
    limits.value = data.limits;
    isWorking.value = false;
    // What was asked for meanwhile comes next; what lies between is of no use any more.
    if (waiting) ask(waiting);
    waiting = undefined;
  });
  watch(
    request,
    (wanted) => {
      if (!wanted) return;
      if (isWorking.value) waiting = wanted;
      else ask(wanted);
    },
    { immediate: true },
  );
  onScopeDispose(() => worker.terminate());
  return { limits, isWorking };
}
