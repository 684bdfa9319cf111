import { useEventListener } from '@vueuse/core';

/** Tells one press of a finger or a mouse button from the next, for as long as it is held. */
export function usePress(): () => number | undefined {
  let presses = 0;
  let held: { readonly press: number; readonly pointer: number } | undefined;
  const letGo = ({ pointerId }: PointerEvent) => {
    if (held?.pointer === pointerId) held = undefined;
  };
  // Before anything on the page answers to it; a second finger belongs to the press of the first.
  const first = { capture: true };
  useEventListener(
    'pointerdown',
    ({ pointerId }) => {
      held ??= { press: ++presses, pointer: pointerId };
    },
    first,
  );
  useEventListener('pointerup', letGo, first);
  useEventListener('pointercancel', letGo, first);
  // A button that is let go of in another window is never told.
  useEventListener('blur', () => (held = undefined));
  return () => held?.press;
}
