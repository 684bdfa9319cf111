import { useDebounceFn } from '@vueuse/core';
import { defineStore } from 'pinia';
import { shallowRef } from 'vue';
import { listenToChanges, type Change } from '../api/events.ts';
import type { ItemList } from '../api/items.ts';
import { Boxes } from '../keeping/boxes.ts';
import { Items, type ItemsParts } from '../keeping/items.ts';
import { thisBrowser } from '../keeping/browser.ts';
import { onlyHere, type OnlyHere } from '../keeping/only-here.ts';
import { ProgressKeeper } from '../keeping/progress-keeper.ts';
import { watchedStore, type Safety } from '../keeping/watched-store.ts';

/** Milliseconds of rest after which it is counted what waits: what is on its way is not told. */
const untilCounted = 1500;

/** Everything that this window has from the server and for it. */
export const useKeeping = defineStore('keeping', () => {
  const browser = thisBrowser();
  const windows = browser.joinWindows();
  const safety = shallowRef<Safety>('kept');
  const browserStore = browser.openStore().then((opened) => {
    if (!opened.isLasting) safety.value = 'page only';
    return watchedStore(opened, (now) => {
      if (opened.isLasting) safety.value = now;
    });
  });

  /** What waits here for the server, a little after it has come to rest. */
  const waiting = shallowRef<readonly OnlyHere[]>([]);
  async function count(): Promise<void> {
    waiting.value = await onlyHere(await browserStore);
  }
  const countSoon = useDebounceFn(count, untilCounted);
  const onWaiting = () => void countSoon();

  const boxes = browserStore.then((store) => new Boxes({ store, windows, onWaiting }));
  const progress = browserStore.then((store) => new ProgressKeeper(store, onWaiting));
  const leaving: (() => void)[] = [];

  const reading = new Map<ItemList, () => void>();

  async function hear({ what, id, revision }: Change): Promise<void> {
    if (what === 'boxes') (await boxes).refresh(id, revision);
    else if (what === 'progress') (await progress).refresh(id);
    else reading.get(what)?.();
    for (const listener of listeners) listener(what);
  }

  /** Whether the server did not answer when the line to it was tried last. */
  const isAway = shallowRef(false);

  /** The line to the server stands again: what waits is sent, and what was missed is asked for. */
  async function goOn(): Promise<void> {
    isAway.value = false;
    const [kept, told] = await Promise.all([boxes, progress]);
    kept.keeper.flush();
    for (const id of kept.keeper.all().keys()) kept.refresh(id);
    told.flush({ keepalive: false });
    for (const id of told.lookedAt()) told.refresh(id);
    for (const read of reading.values()) read();
    for (const listener of listeners) listener('boxes');
    for (const listener of returns) listener();
  }

  const returns = new Set<() => void>();

  /** Hears that the server answers, for the first time or again, until the function that is given back is called. */
  function onReturn(listener: () => void): () => void {
    returns.add(listener);
    return () => returns.delete(listener);
  }

  const listeners = new Set<(what: Change['what']) => void>();

  /** Hears that something has changed on the server, until the function that is given back is called. */
  function onChange(listener: (what: Change['what']) => void): () => void {
    listeners.add(listener);
    return () => listeners.delete(listener);
  }

  /** Listens to the server, until the function that is given back is called. */
  function listen(onRefused: () => void): () => void {
    return listenToChanges({
      onRefused,
      onLost: () => {
        isAway.value = true;
      },
      onChange: (change) => void hear(change),
      onOpen: () => void goOn(),
    });
  }

  /** The items of a list, as this window keeps them. */
  async function items<Value>(parts: ItemsParts<Value>): Promise<Items<Value>> {
    const kept = new Items(parts, { store: await browserStore, windows, onWaiting });
    leaving.push(() => {
      kept.keeper.flush({ keepalive: true });
    });
    reading.set(parts.list, () => void kept.read());
    return kept;
  }

  /** Goes on sending what earlier visits have left. */
  async function takeUp(): Promise<void> {
    await Promise.all([(await boxes).takeUp(), (await progress).takeUp()]);
    await count();
  }

  /** Forgets everything that is here, as when this device is signed out; false while something of it waits. */
  async function forgetAll(): Promise<boolean> {
    await count();
    if (waiting.value.length > 0) return false;
    const store = await browserStore;
    for (const drawer of ['held', 'progress'] as const)
      for (const { key } of await store.list(drawer)) await store.remove(drawer, key);
    return true;
  }

  /** A last try as the page goes away; what it can't send waits in this browser. */
  async function flushOnLeave(): Promise<void> {
    (await boxes).keeper.flush({ keepalive: true });
    (await progress).flush({ keepalive: true });
    for (const flush of leaving) flush();
  }

  return {
    boxes,
    progress,
    isAway,
    safety,
    waiting,
    count,
    items,
    takeUp,
    goOn,
    forgetAll,
    flushOnLeave,
    listen,
    onChange,
    onReturn,
  };
});
