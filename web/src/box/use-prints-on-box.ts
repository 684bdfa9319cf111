import type { PrintOnPiece } from '@rangoli/core';
import { refDebounced } from '@vueuse/core';
import { computed, type ComputedRef } from 'vue';
import { searcher } from '../planner/planner.ts';
import type { Planned } from '../planner/tell.ts';
import { useWorkedOut } from '../planner/use-worked-out.ts';

/** Milliseconds that a box has to rest before its prints are looked at: not while a measure is dragged. */
const untilAtRest = 180;

/** How prints with a way up come out on a box; none while that isn't known. */
export function usePrintsOnBox(
  shown: () => Planned | undefined,
): ComputedRef<readonly PrintOnPiece[]> {
  const atRest = refDebounced(computed(shown), untilAtRest);
  const { workedOut } = useWorkedOut(atRest, ({ plan, request }) =>
    searcher((tasks) => tasks.printsOnBox(plan, request)),
  );
  return computed(() => workedOut.value?.result ?? []);
}
