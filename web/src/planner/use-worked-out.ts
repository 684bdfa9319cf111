import { computed, shallowRef, toRaw, toValue, watch, type MaybeRefOrGetter } from 'vue';

/** What came of a request. */
export interface WorkedOut<Request, Result> {
  readonly request: Request;
  readonly result: Result;
}

/**
 * Works out what comes of the newest request. While one is worked out, what came of the one before stays; of those
 * that come meanwhile only the last is taken up. Nothing, as long as nothing is asked for.
 */
export function useWorkedOut<Request extends object, Result>(
  request: MaybeRefOrGetter<Request | undefined>,
  work: (request: Request) => Promise<Result>,
) {
  const workedOut = shallowRef<WorkedOut<Request, Result>>();
  let asked: Request | undefined;
  /** Counts the times that nothing was asked for: what was asked before is of no use any more. */
  let turn = 0;
  let isBusy = false;

  async function takeUp(): Promise<void> {
    isBusy = true;
    try {
      while (asked && asked !== workedOut.value?.request) {
        const [mine, next] = [turn, asked];
        const result = await work(next);
        if (mine === turn) workedOut.value = { request: next, result };
      }
    } finally {
      isBusy = false;
    }
  }

  /** A worker takes no reactive object. */
  const wanted = computed(() => toRaw(toValue(request)));
  watch(
    wanted,
    (now) => {
      asked = now;
      if (now) {
        if (!isBusy) void takeUp();
        return;
      }
      turn++;
      workedOut.value = undefined;
    },
    { immediate: true, flush: 'sync' },
  );
  const isWorking = computed(() => wanted.value !== workedOut.value?.request);
  return { workedOut, isWorking };
}
