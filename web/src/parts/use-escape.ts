import { onScopeDispose, watch } from 'vue';

/** What is open at present, the last one opened at the end, each by the way to close it. */
const open: (() => void)[] = [];

function take(close: () => void): void {
  const at = open.indexOf(close);
  if (at >= 0) open.splice(at, 1);
}

function onKey(event: KeyboardEvent): void {
  if (event.key !== 'Escape' || event.defaultPrevented) return;
  // A dialog over the page closes by itself, and what lies under it waits.
  if (event.target instanceof Element && event.target.closest('.p-dialog')) return;
  open.at(-1)?.();
}

/** Escape closes what is open, wherever the focus is; of several, the one that was opened last. */
export function useEscape(isOpen: () => boolean, close: () => void): void {
  watch(
    isOpen,
    (now, before) => {
      if (now === (before ?? false)) return;
      take(close);
      if (now) open.push(close);
      // The same listener again is no second one.
      if (open.length > 0) window.addEventListener('keydown', onKey);
      else window.removeEventListener('keydown', onKey);
    },
    { immediate: true },
  );
  onScopeDispose(() => take(close));
}
