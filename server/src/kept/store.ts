import type { z } from 'zod';
import { readMeta, writeMeta, type Database } from '../database/index.ts';

/** One document that the maker has, kept whole under its name: their tools, what their papers have taught. */
export class KeptDocument<Document> {
  readonly name: string;
  readonly schema: z.ZodType<Document>;
  readonly #database: Database;
  readonly #shipped: Document;

  constructor(database: Database, name: string, schema: z.ZodType<Document>, shipped: Document) {
    this.#database = database;
    this.name = name;
    this.schema = schema;
    this.#shipped = shipped;
  }

  /** As the maker left it; what is shipped until they change it. */
  async read(): Promise<Document> {
    const kept = await readMeta(this.#database, this.name);
    if (kept === undefined) return this.#shipped;
    const document: unknown = JSON.parse(kept);
    return this.schema.parse(document);
  }

  async write(document: Document): Promise<void> {
    await writeMeta(this.#database, this.name, JSON.stringify(document));
  }
}
