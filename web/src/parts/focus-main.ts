/** Puts the focus where the view begins, past the bar: who has only keys or ears goes on there. */
export function focusMain(): void {
  const main = document.querySelector('main');
  main?.setAttribute('tabindex', '-1');
  main?.focus({ preventScroll: true });
}

let stop = (): void => undefined;

/**
 * Puts the focus where a view begins that has just come. A view may say first that it is on its way, and be another a
 * moment later: the focus goes on to that, until the maker does something.
 */
export function focusNewView(): void {
  stop();
  focusMain();
  const seen = new MutationObserver(() => {
    if (document.activeElement === document.body) focusMain();
  });
  seen.observe(document.body, { childList: true, subtree: true });
  const ended = new AbortController();
  stop = () => {
    seen.disconnect();
    ended.abort();
  };
  for (const act of ['keydown', 'pointerdown'] as const)
    document.addEventListener(act, () => stop(), { capture: true, signal: ended.signal });
}
