let canDrawInSpace: boolean | undefined;

/** Whether this browser can draw in space: asked once, and what was got for the asking is given back. */
export function hasWebGL(): boolean {
  if (canDrawInSpace === undefined) {
    const context = document.createElement('canvas').getContext('webgl2');
    canDrawInSpace = context !== null;
    context?.getExtension('WEBGL_lose_context')?.loseContext();
  }
  return canDrawInSpace;
}

/** Resolves once the browser has nothing else to do, and after a second at the latest. */
export function whenIdle(): Promise<void> {
  return new Promise((resolve) => {
    if (typeof window.requestIdleCallback === 'function')
      window.requestIdleCallback(() => resolve(), { timeout: 1000 });
    else window.setTimeout(resolve, 200);
  });
}
