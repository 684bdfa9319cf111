import { onScopeDispose, shallowRef, watch } from 'vue';
import { inTurn } from './in-turn.ts';

/**
 * How many of the parts of a view are there. What is ready when the view is opened is there at once; what becomes
 * ready later comes one part a frame, so that a slow tablet shows the first as soon as it can.
 */
export function usePartByPart(isReady: () => boolean, parts: number) {
  const there = shallowRef(isReady() ? parts : 0);
  let leaveRow: () => void = () => undefined;

  function addNext(): void {
    there.value++;
    if (there.value < parts) leaveRow = inTurn(addNext);
  }

  watch(isReady, (now) => {
    if (now && there.value === 0) addNext();
  });
  onScopeDispose(() => leaveRow());
  return there;
}
