import { mergeChanges } from '@rangoli/core';
import { z } from 'zod';
import type { BrowserStore } from './browser-store.ts';
import {
  Replica,
  type Held,
  type ReplicaParts,
  type Sent,
  type Standing,
  type Waiting,
} from './replica.ts';
import type { Windows } from './windows.ts';

export interface KeeperParts<Value> {
  /** What is kept: it names its place in the browser's store. */
  readonly name: string;
  readonly schema: z.ZodType<Value>;
  readonly store: BrowserStore;
  readonly windows: Windows;
  /** Brings two changes of one value together; field by field where nothing else is said. */
  readonly merge?: ReplicaParts<Value>['merge'];
  /** Something waits for the server, or does not any more, or stands otherwise. */
  readonly onWaiting: () => void;
  readonly send: (
    id: string,
    revision: number,
    value: Value,
    options: { readonly keepalive: boolean },
  ) => Promise<Sent<Value>>;
}

/** Hears of one kept value. */
export interface KeeperListener<Value> {
  readonly onStanding?: (standing: Standing<Value>) => void;
  readonly onValue?: (value: Value) => void;
}

/** A change that a window left behind which is not there any more. */
export interface Orphan<Value> {
  readonly id: string;
  readonly waiting: Waiting<Value>;
  readonly forget: () => Promise<void>;
}

function heldSchema<Value>(schema: z.ZodType<Value>) {
  return z.object({ revision: z.int().nonnegative(), value: schema });
}

/**
 * All values of one kind that this window works on, each with its own way to the server: whatever is opened
 * next, what was changed before goes on being sent under its own name. What waits is in the browser's store
 * from the moment of the change, for each window by itself.
 */
export class Keeper<Value> {
  readonly #parts: KeeperParts<Value>;
  readonly #replicas = new Map<string, Replica<Value>>();
  readonly #listeners = new Map<string, KeeperListener<Value>>();

  constructor(parts: KeeperParts<Value>) {
    this.#parts = parts;
  }

  /** What this window works on under this id. */
  replica(id: string): Replica<Value> | undefined {
    return this.#replicas.get(id);
  }

  /** All that this window works on. */
  all(): ReadonlyMap<string, Replica<Value>> {
    return this.#replicas;
  }

  /** Whoever listens hears of this value; the last one to ask does. */
  listen(id: string, listener: KeeperListener<Value> | undefined): void {
    if (listener) this.#listeners.set(id, listener);
    else this.#listeners.delete(id);
  }

  /** Begins to work on a value as it was read, or goes on with a change that was left waiting. */
  start(id: string, held: Held<Value>, orphan?: Orphan<Value>): Replica<Value> {
    const { schema, send, store, name, onWaiting } = this.#parts;
    const merge = this.#parts.merge ?? ((versions) => mergeChanges(schema, versions));
    const key = [name, id] as const;
    const own = [...key, this.#parts.windows.own] as const;
    const replica = new Replica<Value>(
      held,
      {
        merge,
        send: (revision, value, options) => send(id, revision, value, options),
        keep: (waiting) => {
          if (waiting) void store.write('changes', own, waiting);
          else void store.remove('changes', own).then(() => this.#takeUpNext(id));
          onWaiting();
        },
        onStanding: (standing) => {
          this.#listeners.get(id)?.onStanding?.(standing);
          onWaiting();
        },
        onValue: (value) => this.#listeners.get(id)?.onValue?.(value),
        onHeld: (now) => void store.write('held', key, now),
      },
      orphan?.waiting,
    );
    this.#replicas.set(id, replica);
    void store.write('held', key, held);
    replica.begin();
    if (orphan) void this.#forgetTaken(id, orphan);
    return replica;
  }

  /** Works on it no more, where nothing of it waits. */
  rest(id: string): void {
    if (this.#replicas.get(id)?.isWaiting === false) this.#replicas.delete(id);
  }

  /** Forgets it altogether, after it was deleted. */
  async forget(id: string): Promise<void> {
    this.#replicas.delete(id);
    await this.#parts.store.remove('held', [this.#parts.name, id]);
  }

  /** As the server held it when it was heard of last. */
  async lastHeld(id: string): Promise<Held<Value> | undefined> {
    const kept = await this.#parts.store.read('held', [this.#parts.name, id]);
    const parsed = heldSchema(this.#parts.schema).safeParse(kept);
    return parsed.success ? parsed.data : undefined;
  }

  /** Everything that this browser knows, as it stands here. */
  async known(): Promise<ReadonlyMap<string, Value>> {
    const { name, schema, store } = this.#parts;
    const held = heldSchema(schema);
    const known = new Map<string, Value>();
    for (const {
      key: [, id],
      value,
    } of await store.list('held', name)) {
      const parsed = held.safeParse(value);
      if (id !== undefined && parsed.success) known.set(id, parsed.data.value);
    }
    for (const { id, waiting } of await this.orphans()) known.set(id, waiting.mine);
    for (const [id, replica] of this.#replicas) known.set(id, replica.value);
    return known;
  }

  /** Changes of windows that are not there any more; of one value, or of all. */
  async orphans(id?: string): Promise<readonly Orphan<Value>[]> {
    const { name, schema, store, windows } = this.#parts;
    const entries = (await store.list('changes', name)).filter(
      ({ key: [, of, window] }) => window !== windows.own && (id === undefined || of === id),
    );
    if (entries.length === 0) return [];
    const alive = await windows.others();
    const held = heldSchema(schema);
    const waitingSchema = z.object({ base: held, mine: schema, sent: z.array(schema) });
    return entries.flatMap(({ key, value }) => {
      const [, of = '', window = ''] = key;
      const parsed = waitingSchema.safeParse(value);
      if (alive.has(window) || !parsed.success) return [];
      return [{ id: of, waiting: parsed.data, forget: () => store.remove('changes', key) }];
    });
  }

  /** Goes on with what one more window has left of a value, once nothing of it waits here. */
  async #takeUpNext(id: string): Promise<void> {
    const [orphan] = await this.orphans(id);
    if (orphan && this.#replicas.get(id)?.takeUp(orphan.waiting) === true)
      await this.#forgetTaken(id, orphan);
  }

  /**
   * Forgets what another window left, once it is kept under this one's name or waits no more: in a browser
   * without room the row that is there already is the only one.
   */
  async #forgetTaken(id: string, orphan: Orphan<Value>): Promise<void> {
    const { name, store, windows } = this.#parts;
    const kept = await store.read('changes', [name, id, windows.own]);
    if (kept !== undefined || this.#replicas.get(id)?.isWaiting !== true) await orphan.forget();
  }

  /** Sends everything that waits. */
  flush(options: { readonly keepalive: boolean } = { keepalive: false }): void {
    for (const replica of this.#replicas.values()) void replica.flush(options);
  }
}
