import { openDB, type IDBPDatabase } from 'idb';

/** What this browser keeps: what the server held when it was heard of last, changes that wait for it, and ticks. */
const drawers = ['held', 'changes', 'progress'] as const;
export type DrawerName = (typeof drawers)[number];

type Key = readonly [string, ...string[]];

interface Entry {
  readonly key: Key;
  readonly value: unknown;
}

/** Values by their keys, in drawers; whoever takes one out checks what it is. */
export interface BrowserStore {
  /** Whether they outlive the page. */
  readonly isLasting: boolean;
  readonly read: (drawer: DrawerName, key: Key) => Promise<unknown>;
  /** All whose keys begin so. */
  readonly list: (drawer: DrawerName, begin?: string) => Promise<readonly Entry[]>;
  readonly write: (drawer: DrawerName, key: Key, value: unknown) => Promise<void>;
  /** Makes a new value out of the one that stands, with nobody in between. */
  readonly update: (
    drawer: DrawerName,
    key: Key,
    make: (before: unknown) => unknown,
  ) => Promise<void>;
  readonly remove: (drawer: DrawerName, key: Key) => Promise<void>;
}

interface Row {
  readonly key: Key;
  readonly value: unknown;
}

function isRow(value: unknown): value is Row {
  return typeof value === 'object' && value !== null && 'key' in value && Array.isArray(value.key);
}

function inDatabase(opening: Promise<IDBPDatabase>): BrowserStore {
  return {
    isLasting: true,
    read: async (drawer, key) => {
      const row: unknown = await (await opening).get(drawer, [...key]);
      return isRow(row) ? row.value : undefined;
    },
    list: async (drawer, begin) => {
      const rows: readonly unknown[] = await (await opening).getAll(drawer);
      return rows.filter(isRow).filter(({ key }) => begin === undefined || key[0] === begin);
    },
    write: async (drawer, key, value) => {
      await (await opening).put(drawer, { key: [...key], value });
    },
    update: async (drawer, key, make) => {
      const { store, done } = (await opening).transaction(drawer, 'readwrite');
      const row: unknown = await store.get([...key]);
      await store.put({ key: [...key], value: make(isRow(row) ? row.value : undefined) });
      await done;
    },
    remove: async (drawer, key) => {
      await (await opening).delete(drawer, [...key]);
    },
  };
}

/** One that is forgotten with the page: what a browser gets that lets nothing be kept. */
export function storeInMemory(): BrowserStore {
  const rows = new Map<string, Row>();
  const name = (drawer: DrawerName, key: Key) => JSON.stringify([drawer, ...key]);
  const inDrawer = (drawer: DrawerName) =>
    [...rows].filter(([each]) => each.startsWith(`["${drawer}"`)).map(([, row]) => row);
  return {
    isLasting: false,
    read: (drawer, key) => Promise.resolve(rows.get(name(drawer, key))?.value),
    list: (drawer, begin) =>
      Promise.resolve(
        inDrawer(drawer).filter(({ key }) => begin === undefined || key[0] === begin),
      ),
    write: (drawer, key, value) => {
      rows.set(name(drawer, key), { key, value: structuredClone(value) });
      return Promise.resolve();
    },
    update: (drawer, key, make) => {
      const value = structuredClone(make(rows.get(name(drawer, key))?.value));
      rows.set(name(drawer, key), { key, value });
      return Promise.resolve();
    },
    remove: (drawer, key) => {
      rows.delete(name(drawer, key));
      return Promise.resolve();
    },
  };
}

async function open(): Promise<BrowserStore> {
  if (!('indexedDB' in globalThis)) return storeInMemory();
  try {
    const database = await openDB('rangoli', 1, {
      upgrade: (made) => {
        for (const drawer of drawers) made.createObjectStore(drawer, { keyPath: 'key' });
      },
    });
    return inDatabase(Promise.resolve(database));
  } catch {
    return storeInMemory();
  }
}

let opening: Promise<BrowserStore> | undefined;

/** The page's store in this browser's database, or one in memory where the browser has none to give; opened once. */
export function openBrowserStore(): Promise<BrowserStore> {
  opening ??= open();
  return opening;
}
