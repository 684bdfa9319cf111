import { lessonSchema, paperItemSchema, toolItemSchema } from '@rangoli/core';
import { z } from 'zod';
import { jsonIn, type Database } from '../database/index.ts';

/** One thing that the maker keeps beside their boxes, as it stands. Every accepted change raises its revision. */
export interface Item<Value> {
  readonly id: string;
  readonly revision: number;
  readonly value: Value;
}

/** What came of a change to an item; at what it stands where somebody else was first. */
export type ItemOutcome<Value> =
  | { readonly outcome: 'changed'; readonly item: Item<Value> }
  | { readonly outcome: 'stale'; readonly current: Item<Value> | undefined }
  | { readonly outcome: 'full' };

/** All that is kept of one kind, and the ids of what can't be read. */
export interface Items<Value> {
  readonly items: readonly Item<Value>[];
  readonly unreadable: readonly string[];
}

/** The most items of one kind. */
export const mostItems = 600;

const rowSchema = z.object({ id: z.string(), revision: z.int(), value: z.string() });

/** What is kept item by item. */
export type ItemList = 'tools' | 'papers' | 'lessons';

/** Items of one kind, each in a row of its own, so that two makers who change two of them both keep theirs. */
export class ItemStore<Value> {
  readonly name: ItemList;
  readonly schema: z.ZodType<Value>;
  readonly #database: Database;
  readonly #now: () => Date;

  constructor(
    { name, schema }: { readonly name: ItemList; readonly schema: z.ZodType<Value> },
    database: Database,
    now: () => Date = () => new Date(),
  ) {
    this.name = name;
    this.schema = schema;
    this.#database = database;
    this.#now = now;
  }

  /** In the order in which they came. A row that can't be read is set aside, and the others are told. */
  async list(): Promise<Items<Value>> {
    const rows: unknown = await this.#database('items')
      .where({ collection: this.name })
      .orderBy([{ column: 'created_at' }, { column: 'id' }])
      .select('id', 'revision', 'value');
    const items: Item<Value>[] = [];
    const unreadable: string[] = [];
    for (const row of z.array(rowSchema).parse(rows)) {
      const item = this.#read(row);
      if (item) items.push(item);
      else unreadable.push(row.id);
    }
    return { items, unreadable };
  }

  /** Stores a value if the item is still at the revision that the change was made to; 0 for one that is not there. */
  async put(id: string, revision: number, value: Value): Promise<ItemOutcome<Value>> {
    const row: unknown = await this.#row(id);
    const found = row === undefined ? undefined : rowSchema.parse(row);
    if ((found?.revision ?? 0) !== revision)
      return { outcome: 'stale', current: found && this.#read(found) };
    const now = this.#now().toISOString();
    const key = { collection: this.name, id };
    const next = { revision: revision + 1, value: JSON.stringify(value), updated_at: now };
    if (found) {
      const changed = await this.#database('items')
        .where({ ...key, revision })
        .update(next);
      if (changed !== 1) return this.put(id, revision, value);
    } else {
      if ((await this.#count()) >= mostItems) return { outcome: 'full' };
      const added: unknown = await this.#database('items')
        .insert({ ...key, ...next, created_at: now })
        .onConflict(['collection', 'id'])
        .ignore()
        .returning('id');
      // Another one with this id came first, between the look and the leap.
      if (Array.isArray(added) && added.length === 0) return this.put(id, revision, value);
    }
    return { outcome: 'changed', item: { id, revision: revision + 1, value } };
  }

  #read({ id, revision, value }: z.infer<typeof rowSchema>): Item<Value> | undefined {
    const parsed = this.schema.safeParse(jsonIn(value));
    return parsed.success ? { id, revision, value: parsed.data } : undefined;
  }

  async #row(id: string): Promise<unknown> {
    const row: unknown = await this.#database('items')
      .where({ collection: this.name, id })
      .first('id', 'revision', 'value');
    return row;
  }

  async #count(): Promise<number> {
    const rows: unknown = await this.#database('items')
      .where({ collection: this.name })
      .count({ count: '*' });
    return z.array(z.object({ count: z.number() })).parse(rows)[0]?.count ?? 0;
  }
}

/** The maker's tools, one by one. */
export function toolItems(database: Database) {
  return new ItemStore({ name: 'tools', schema: toolItemSchema }, database);
}

/** The maker's papers, one by one. */
export function paperItems(database: Database) {
  return new ItemStore({ name: 'papers', schema: paperItemSchema }, database);
}

/** What trial boxes have taught, paper by paper. */
export function lessonItems(database: Database) {
  return new ItemStore({ name: 'lessons', schema: lessonSchema }, database);
}
