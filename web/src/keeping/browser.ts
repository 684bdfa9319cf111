import { openBrowserStore, type BrowserStore } from './browser-store.ts';
import { joinWindows, type Windows } from './windows.ts';

/** What this page has of its browser: a store that outlives it, and the other windows. */
export interface Browser {
  readonly openStore: () => Promise<BrowserStore>;
  readonly joinWindows: () => Windows;
}

let current: Browser = { openStore: openBrowserStore, joinWindows };

/** The browser that this page is in. */
export function thisBrowser(): Browser {
  return current;
}

/** Puts another browser in its place, from here on: for tests that open and kill windows. */
export function moveTo(browser: Browser): void {
  current = browser;
}
