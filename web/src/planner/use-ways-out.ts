import type { WayOut } from '@rangoli/core';
import { proxy } from 'comlink';
import { onScopeDispose, shallowRef, watch, type Ref } from 'vue';
import { searcher } from './planner.ts';
import type { Refused } from './tasks.ts';

/** So long nothing more is typed before ways out are looked for. */
const pause = 250;

/**
 * The ways out of a request that can't be planned, one by one as they are found; none more is looked for when
 * there are enough.
 */
export function useWaysOut(
  refused: Readonly<Ref<Refused | undefined>>,
  { enough = Infinity }: { readonly enough?: number } = {},
) {
  const ways = shallowRef<readonly WayOut[]>([]);
  const isLooking = shallowRef(false);
  let next: ReturnType<typeof setTimeout> | undefined;
  /** Of what was refused before, nothing more is looked for. */
  let turn = 0;

  async function lookFor(wanted: Refused, mine: number): Promise<void> {
    const tell = (way: WayOut | undefined): boolean => {
      if (mine !== turn) return false;
      if (way) ways.value = [...ways.value, way];
      return ways.value.length < enough;
    };
    try {
      await searcher((tasks) => tasks.lookForWaysOut(wanted, proxy(tell)));
    } finally {
      if (mine === turn) isLooking.value = false;
    }
  }

  function stop(): void {
    clearTimeout(next);
    turn++;
  }

  watch(
    refused,
    (wanted) => {
      stop();
      ways.value = [];
      isLooking.value = wanted !== undefined;
      const mine = turn;
      if (wanted) next = setTimeout(() => void lookFor(wanted, mine), pause);
    },
    { immediate: true },
  );
  onScopeDispose(stop);
  return { ways, isLooking };
}
