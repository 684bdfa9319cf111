import { findWaysOut, type PlanRequest, type Problem, type WayOut } from '@rangoli/core';
import { onScopeDispose, shallowRef, toRaw, watch, type Ref } from 'vue';

/** So long nothing more is typed before ways out are looked for. */
const pause = 250;

/** A request that can't be planned, and why. */
export interface Refused {
  readonly request: PlanRequest;
  readonly problems: readonly Problem[];
}

/**
 * The ways out of a request that can't be planned, one by one as they are found. One is tried at a time, so that the
 * hand is never kept waiting by them, and none more when there are enough.
 */
export function useWaysOut(
  refused: Readonly<Ref<Refused>>,
  { enough = Infinity }: { readonly enough?: number } = {},
) {
  const ways = shallowRef<readonly WayOut[]>([]);
  const isLooking = shallowRef(false);
  let next: ReturnType<typeof setTimeout> | undefined;

  function lookOn(search: ReturnType<typeof findWaysOut>): void {
    const { value, done } = search.next();
    if (value) ways.value = [...ways.value, value];
    isLooking.value = done !== true && ways.value.length < enough;
    if (isLooking.value) next = setTimeout(() => lookOn(search), 0);
  }

  watch(
    refused,
    ({ request, problems }) => {
      clearTimeout(next);
      ways.value = [];
      isLooking.value = true;
      next = setTimeout(() => lookOn(findWaysOut(toRaw(request), problems)), pause);
    },
    { immediate: true },
  );
  onScopeDispose(() => clearTimeout(next));
  return { ways, isLooking };
}
