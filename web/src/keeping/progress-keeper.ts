import { mergeFacts, noFacts, progressFactsSchema, type ProgressFacts } from '@rangoli/core';
import { z } from 'zod';
import { ServerRefusal } from '../api/ask.ts';
import { addProgress, readProgress } from '../api/progress.ts';
import type { BrowserStore } from './browser-store.ts';

/** What is known of the making of a box, and whether the server knows all of it. */
export interface KnownProgress {
  readonly facts: ProgressFacts;
  readonly isSent: boolean;
  /** Whether the server did not answer when it was asked last. */
  readonly isAway: boolean;
}

const keptSchema = z.object({ facts: progressFactsSchema, isSent: z.boolean() });

/** Milliseconds between tries while the server is away: longer each time. */
const firstRetry = 1000;
const longestRetry = 15_000;

function isSame(a: ProgressFacts, b: ProgressFacts): boolean {
  return JSON.stringify(a) === JSON.stringify(b);
}

/**
 * What was told of the making of boxes: in this browser from the moment that it is told, and on the server as
 * soon as it answers. Facts only ever come together, so it does not matter who tells them when.
 */
export class ProgressKeeper {
  readonly #store: BrowserStore;
  readonly #onWaiting: () => void;
  readonly #known = new Map<string, KnownProgress>();
  readonly #timers = new Map<string, ReturnType<typeof setTimeout>>();
  readonly #retries = new Map<string, number>();
  readonly #listeners = new Map<string, (known: KnownProgress) => void>();
  readonly #talking = new Map<string, Promise<boolean>>();
  readonly #away = new Set<string>();

  /** `onWaiting` is called when something waits for the server, or does not any more. */
  constructor(store: BrowserStore, onWaiting: () => void) {
    this.#store = store;
    this.#onWaiting = onWaiting;
  }

  /** Whoever listens hears what becomes known of a box; the last one to ask does. */
  listen(id: string, listener: ((known: KnownProgress) => void) | undefined): void {
    if (listener) this.#listeners.set(id, listener);
    else this.#listeners.delete(id);
  }

  /** What this browser knows of a box; undefined where it knows nothing. */
  async known(id: string): Promise<KnownProgress | undefined> {
    const kept = keptSchema.safeParse(await this.#store.read('progress', [id]));
    if (!kept.success) return this.#known.get(id);
    return this.#learn(id, kept.data.facts, kept.data.isSent);
  }

  /** Takes what was told here. */
  tell(id: string, facts: ProgressFacts): void {
    this.#learn(id, facts, false);
    void this.#keep(id);
    void this.talk(id);
  }

  /** Tells the server what it does not know, and hears what others have told; false when it does not answer. */
  talk(
    id: string,
    { keepalive }: { readonly keepalive: boolean } = { keepalive: false },
  ): Promise<boolean> {
    clearTimeout(this.#timers.get(id));
    const underWay = this.#talking.get(id);
    if (underWay && !keepalive) return underWay;
    const talking = this.#exchange(id, keepalive);
    this.#talking.set(id, talking);
    return talking;
  }

  async #exchange(id: string, keepalive: boolean): Promise<boolean> {
    const before = this.#known.get(id);
    const isToTell = before !== undefined && !before.isSent;
    try {
      const all = isToTell
        ? await addProgress(id, before.facts, keepalive)
        : await readProgress(id);
      this.#talking.delete(id);
      this.#retries.delete(id);
      this.#away.delete(id);
      const now = this.#known.get(id)?.facts ?? noFacts();
      this.#learn(id, all, isSame(mergeFacts(all, now), all));
      await this.#keep(id, all);
      if (this.#known.get(id)?.isSent === false) void this.talk(id);
      return true;
    } catch (error) {
      this.#talking.delete(id);
      // Of a box that is gone nobody wants to know.
      if (error instanceof ServerRefusal && error.status === 404) return false;
      this.#away.add(id);
      const known = this.#known.get(id);
      if (known) this.#learn(id, known.facts, known.isSent);
      if (known?.isSent === false || this.#listeners.has(id)) this.#tryLater(id);
      return false;
    }
  }

  /** Hears what others have told of a box that is looked at here. */
  refresh(id: string): void {
    if (this.#listeners.has(id)) void this.talk(id);
  }

  /** All boxes whose making is looked at here. */
  lookedAt(): readonly string[] {
    return [...this.#listeners.keys()];
  }

  /** Goes on telling what an earlier visit could not. */
  async takeUp(): Promise<void> {
    for (const {
      key: [id],
    } of await this.#store.list('progress')) {
      const known = await this.known(id);
      if (known && !known.isSent) void this.talk(id);
    }
  }

  /** Tells all that is not known on the server, as on leaving the page. */
  flush(options: { readonly keepalive: boolean }): void {
    for (const [id, { isSent }] of this.#known) if (!isSent) void this.talk(id, options);
  }

  #learn(id: string, facts: ProgressFacts, isSent: boolean): KnownProgress {
    const before = this.#known.get(id)?.facts;
    const known = {
      facts: before ? mergeFacts(before, facts) : facts,
      isSent,
      isAway: this.#away.has(id),
    };
    this.#known.set(id, known);
    this.#listeners.get(id)?.(known);
    return known;
  }

  /** Keeps what is known, together with what another window of this browser has kept. */
  async #keep(id: string, onServer?: ProgressFacts): Promise<void> {
    const own = this.#known.get(id);
    if (!own) return;
    await this.#store.update('progress', [id], (before) => {
      const kept = keptSchema.safeParse(before);
      const facts = kept.success ? mergeFacts(kept.data.facts, own.facts) : own.facts;
      const isSent = onServer !== undefined && isSame(mergeFacts(onServer, facts), onServer);
      return { facts, isSent };
    });
    this.#onWaiting();
  }

  #tryLater(id: string): void {
    const delay = this.#retries.get(id) ?? firstRetry;
    this.#retries.set(id, Math.min(longestRetry, delay * 2));
    clearTimeout(this.#timers.get(id));
    this.#timers.set(
      id,
      setTimeout(() => void this.talk(id), delay),
    );
  }
}
