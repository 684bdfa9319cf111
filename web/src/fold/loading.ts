/** Whether this browser can draw in space. */
export function hasWebGL(): boolean {
  return document.createElement('canvas').getContext('webgl2') !== null;
}

/** Resolves once the browser has nothing else to do, and after a second at the latest. */
export function whenIdle(): Promise<void> {
  return new Promise((resolve) => {
    if (typeof window.requestIdleCallback === 'function')
      window.requestIdleCallback(() => resolve(), { timeout: 1000 });
    else window.setTimeout(resolve, 200);
  });
}
