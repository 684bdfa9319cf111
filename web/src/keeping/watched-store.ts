import type { BrowserStore, DrawerName } from './browser-store.ts';

/** How well what is changed in this browser is kept until the server has it. */
export type Safety =
  | 'kept'
  /** The browser keeps nothing beyond the page, as in a private window. */
  | 'page only'
  /** The last change could not be kept: the browser has no room, or fails. */
  | 'no room';

/**
 * A store that never fails its callers: where the browser has no room, copies of what the server holds make way
 * for what it does not have yet; what still can't be kept is told.
 */
export function watchedStore(
  store: BrowserStore,
  onSafety: (safety: 'kept' | 'no room') => void,
): BrowserStore {
  /** Tries something once more after room was made. */
  async function insist(drawer: DrawerName, act: () => Promise<void>): Promise<void> {
    try {
      await act();
      if (drawer !== 'held') onSafety('kept');
      return;
    } catch {
      // A copy that can't be kept is read from the server again.
      if (drawer === 'held') return;
    }
    try {
      for (const { key } of await store.list('held')) await store.remove('held', key);
      await act();
      onSafety('kept');
    } catch {
      onSafety('no room');
    }
  }

  async function orNothing<Outcome>(reading: Promise<Outcome>, nothing: Outcome): Promise<Outcome> {
    try {
      return await reading;
    } catch {
      return nothing;
    }
  }

  return {
    isLasting: store.isLasting,
    read: (drawer, key) => orNothing(store.read(drawer, key), undefined),
    list: (drawer, begin) => orNothing(store.list(drawer, begin), []),
    write: (drawer, key, value) => insist(drawer, () => store.write(drawer, key, value)),
    update: (drawer, key, make) => insist(drawer, () => store.update(drawer, key, make)),
    remove: (drawer, key) => orNothing(store.remove(drawer, key), undefined),
  };
}
