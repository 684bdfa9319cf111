import { createPinia, setActivePinia, type Pinia } from 'pinia';
import { vi } from 'vitest';
import { storeInMemory, type BrowserStore } from '../keeping/browser-store.ts';
import { moveTo, type Browser } from '../keeping/browser.ts';
import type { Windows } from '../keeping/windows.ts';
import { FakeServer } from './fake-server.ts';

/** A browser that nobody has used, in place of the real one. */
export function newBrowser(): FakeBrowser {
  const browser = new FakeBrowser();
  browser.begin();
  return browser;
}

/** A browser with windows that are opened and killed, a store that outlives them, and a server far away. */
export class FakeBrowser implements Browser {
  readonly server = new FakeServer();
  readonly store: BrowserStore = { ...storeInMemory(), isLasting: true };
  readonly #alive = new Set<string>();
  #opened = 0;

  /** Puts itself in place of the real one, with a window to look at. */
  begin(): void {
    moveTo(this);
    vi.stubGlobal('fetch', this.server.fetch);
    localStorage.clear();
    sessionStorage.clear();
    this.openWindow();
  }

  openStore(): Promise<BrowserStore> {
    return Promise.resolve(this.store);
  }

  /** Opens a window and looks at it; what stores are used from here on are its own. */
  openWindow(): Pinia {
    const pinia = createPinia();
    setActivePinia(pinia);
    return pinia;
  }

  /** A window as its keeping joins the others. */
  joinWindows(): Windows {
    this.#opened += 1;
    const own = `window ${String(this.#opened)}`;
    this.#alive.add(own);
    return {
      own,
      others: () => Promise.resolve(new Set([...this.#alive].filter((each) => each !== own))),
    };
  }

  /** All windows are gone, in the midst of whatever they did. */
  killWindows(): void {
    vi.clearAllTimers();
    this.server.page += 1;
    this.#alive.clear();
    this.openWindow();
  }
}
