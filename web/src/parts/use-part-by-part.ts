import { onScopeDispose, shallowRef, watch } from 'vue';
import { inTurn } from './in-turn.ts';

/**
 * How many of the parts of a view, or of the cards of a list, are there. They come so many a frame, so that who opens
 * it sees the first as soon as a slow tablet can show it, and no touch waits for all of them: where all is known before,
 * the first come in the frame after the view, and else as soon as they are. What is there stays, however few are wanted
 * later.
 */
export function usePartByPart(
  wanted: () => number,
  { atOnce = 1 }: { readonly atOnce?: number } = {},
) {
  const there = shallowRef(0);
  let leaveRow: (() => void) | undefined;

  function addNext(): void {
    leaveRow = undefined;
    there.value = Math.max(there.value, Math.min(wanted(), there.value + atOnce));
    waitForNext();
  }
  function waitForNext(): void {
    if (there.value < wanted()) leaveRow ??= inTurn(addNext);
  }

  waitForNext();
  watch(wanted, () => {
    if (there.value === 0 && !leaveRow) addNext();
    else waitForNext();
  });
  onScopeDispose(() => leaveRow?.());
  return there;
}
