import { z } from 'zod';
import { itemSchema, listItems, putItem, type ItemList, type StoredItem } from '../api/items.ts';
import type { BrowserStore } from './browser-store.ts';
import { Keeper, type KeeperParts } from './keeper.ts';
import type { Held, Standing } from './replica.ts';
import { sentBy } from './send.ts';

export interface ItemsParts<Value> {
  readonly list: ItemList;
  readonly schema: z.ZodType<Value>;
  /** What an item is before anybody has said anything of it; undefined for one that is not there then. */
  readonly initial: (id: string) => Value | undefined;
  /** Something of them has changed, here or elsewhere, or stands otherwise. */
  readonly onChange: () => void;
}

/** How the reading of a list has come out. */
export type ItemsRead =
  | { readonly kind: 'read' }
  /** As this browser knows it: the server does not answer. */
  | { readonly kind: 'known'; readonly message: string }
  | { readonly kind: 'failed'; readonly message: string };

/** All items of a list, each with its own way to the server, so that two windows can change two of them. */
export class Items<Value> {
  readonly #parts: ItemsParts<Value>;
  readonly #store: BrowserStore;
  readonly #keeper: Keeper<Value>;

  constructor(
    parts: ItemsParts<Value>,
    keeping: Pick<KeeperParts<Value>, 'store' | 'windows' | 'onWaiting'>,
  ) {
    const { list, schema } = parts;
    this.#parts = parts;
    this.#store = keeping.store;
    this.#keeper = new Keeper({
      ...keeping,
      name: list,
      schema,
      send: (id, revision, value, { keepalive }) =>
        sentBy(
          putItem(list, { id, revision, value }, keepalive).then((stored) => this.#held(stored)),
          (told) => {
            const current = itemSchema.safeParse(told);
            return current.success ? this.#held(current.data) : undefined;
          },
        ),
    });
  }

  get keeper(): Keeper<Value> {
    return this.#keeper;
  }

  /** All of them, as they are seen here. */
  values(): ReadonlyMap<string, Value> {
    return new Map([...this.#keeper.all()].map(([id, replica]) => [id, replica.value]));
  }

  /** Those that do not stand as they should, with how. */
  standings(): ReadonlyMap<string, Standing<Value>> {
    return new Map([...this.#keeper.all()].map(([id, { standing }]) => [id, standing]));
  }

  /** Reads the list from the server; where it is away, what this browser knows of it. */
  async read(): Promise<ItemsRead> {
    const orphans = await this.#keeper.orphans();
    const takeUp = () => {
      for (const orphan of orphans)
        if (this.#keeper.replica(orphan.id)?.isWaiting !== true)
          this.#begin(orphan.id, orphan.waiting.base, orphan);
    };
    try {
      for (const stored of await listItems(this.#parts.list)) this.#hear(stored);
      takeUp();
      await this.#store.write('held', ['lists', this.#parts.list], true);
      this.#parts.onChange();
      return { kind: 'read' };
    } catch (error) {
      const message = error instanceof Error ? error.message : 'That did not work. Try again.';
      // A list that was never read whole is not shown as if it were the maker's.
      if ((await this.#store.read('held', ['lists', this.#parts.list])) !== true)
        return { kind: 'failed', message };
      for (const {
        key: [, id],
      } of await this.#store.list('held', this.#parts.list)) {
        const held = id === undefined ? undefined : await this.#keeper.lastHeld(id);
        if (id !== undefined && held && !this.#keeper.replica(id)) this.#begin(id, held);
      }
      takeUp();
      this.#parts.onChange();
      return { kind: 'known', message };
    }
  }

  /** Says of an item what it is now. */
  change(id: string, value: Value): void {
    const { initial } = this.#parts;
    const replica =
      this.#keeper.replica(id) ?? this.#begin(id, { revision: 0, value: initial(id) ?? value });
    replica.change(value);
  }

  #hear(stored: StoredItem): void {
    const value = this.#parts.schema.safeParse(stored.value);
    // One that a later version has stored stays where it is, unseen.
    if (!value.success) return;
    const held = { revision: stored.revision, value: value.data };
    const replica = this.#keeper.replica(stored.id);
    if (replica) replica.hear(held);
    else this.#begin(stored.id, held);
  }

  #begin(id: string, held: Held<Value>, orphan?: Parameters<Keeper<Value>['start']>[2]) {
    const changed = () => {
      this.#parts.onChange();
    };
    this.#keeper.listen(id, { onStanding: changed, onValue: changed });
    return this.#keeper.start(id, held, orphan);
  }

  /** @throws ZodError when it is none that this version knows. */
  #held({ revision, value }: StoredItem): Held<Value> {
    return { revision, value: this.#parts.schema.parse(value) };
  }
}
