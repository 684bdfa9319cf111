import { defineStore } from 'pinia';
import { listenToChanges, type Change } from '../api/events.ts';
import type { ItemList } from '../api/items.ts';
import { Boxes } from '../keeping/boxes.ts';
import { Items, type ItemsParts } from '../keeping/items.ts';
import { thisBrowser } from '../keeping/browser.ts';
import { ProgressKeeper } from '../keeping/progress-keeper.ts';

/** Everything that this window has from the server and for it. */
export const useKeeping = defineStore('keeping', () => {
  const browser = thisBrowser();
  const windows = browser.joinWindows();
  const browserStore = browser.openStore();
  const boxes = browserStore.then((opened) => new Boxes(opened, windows));

  const leaving: (() => void)[] = [];
  const progress = browserStore.then((opened) => new ProgressKeeper(opened));

  const reading = new Map<ItemList, () => void>();

  async function hear({ what, id, revision }: Change): Promise<void> {
    if (what === 'boxes') (await boxes).refresh(id, revision);
    else if (what === 'progress') (await progress).refresh(id);
    else reading.get(what)?.();
    for (const listener of listeners) listener(what);
  }

  /** The line to the server stands again: what waits is sent, and what was missed is asked for. */
  async function goOn(): Promise<void> {
    const [kept, told] = await Promise.all([boxes, progress]);
    kept.keeper.flush();
    for (const id of kept.keeper.all().keys()) kept.refresh(id);
    told.flush({ keepalive: false });
    for (const id of told.lookedAt()) told.refresh(id);
    for (const read of reading.values()) read();
    for (const listener of listeners) listener('boxes');
  }

  const listeners = new Set<(what: Change['what']) => void>();

  /** Hears that something has changed on the server, until the function that is given back is called. */
  function onChange(listener: (what: Change['what']) => void): () => void {
    listeners.add(listener);
    return () => listeners.delete(listener);
  }

  /** Listens to the server, until the function that is given back is called. */
  function listen(): () => void {
    return listenToChanges({
      onChange: (change) => void hear(change),
      onOpen: () => void goOn(),
    });
  }

  /** The items of a list, as this window keeps them. */
  async function items<Value>(parts: ItemsParts<Value>): Promise<Items<Value>> {
    const kept = new Items(parts, await browserStore, windows);
    leaving.push(() => {
      kept.keeper.flush({ keepalive: true });
    });
    reading.set(parts.list, () => void kept.read());
    return kept;
  }

  /** Goes on sending what earlier visits have left. */
  async function takeUp(): Promise<void> {
    await Promise.all([(await boxes).takeUp(), (await progress).takeUp()]);
  }

  /** A last try as the page goes away; what it can't send waits in this browser. */
  async function flushOnLeave(): Promise<void> {
    (await boxes).keeper.flush({ keepalive: true });
    (await progress).flush({ keepalive: true });
    for (const flush of leaving) flush();
  }

  return { boxes, progress, items, takeUp, flushOnLeave, listen, onChange };
});
