import { defineStore } from 'pinia';
import { Boxes } from '../keeping/boxes.ts';
import { Items, type ItemsParts } from '../keeping/items.ts';
import { openBrowserStore } from '../keeping/browser-store.ts';
import { ProgressKeeper } from '../keeping/progress-keeper.ts';
import { joinWindows } from '../keeping/windows.ts';

/** Everything that this window has from the server and for it. */
export const useKeeping = defineStore('keeping', () => {
  const windows = joinWindows();
  const browserStore = openBrowserStore();
  const boxes = browserStore.then((opened) => new Boxes(opened, windows));

  const leaving: (() => void)[] = [];
  const progress = browserStore.then((opened) => new ProgressKeeper(opened));

  /** The items of a list, as this window keeps them. */
  async function items<Value>(parts: ItemsParts<Value>): Promise<Items<Value>> {
    const kept = new Items(parts, await browserStore, windows);
    leaving.push(() => {
      kept.keeper.flush({ keepalive: true });
    });
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

  return { boxes, progress, items, takeUp, flushOnLeave };
});
