import { mergeFacts, noFacts, storedProgressSchema, type ProgressFacts } from '@rangoli/core';
import { z } from 'zod';
import { jsonIn, Unreadable, type Database } from '../database/index.ts';

const rowSchema = z.object({ document: z.string() });

/** What was told of the making of each box, by all devices together. */
export class ProgressStore {
  readonly #database: Database;
  readonly #now: () => Date;

  constructor(database: Database, now: () => Date = () => new Date()) {
    this.#database = database;
    this.#now = now;
  }

  /** Undefined when there is no such box. */
  async read(project: string): Promise<ProgressFacts | undefined> {
    return (await exists(this.#database, project)) ? factsIn(this.#database, project) : undefined;
  }

  /** Adds what a device tells to what is known; all of it, undefined when there is no such box. */
  async add(project: string, told: ProgressFacts): Promise<ProgressFacts | undefined> {
    // One transaction: of two devices that tell something at once, neither may write over the other.
    return this.#database.transaction(async (transaction) => {
      if (!(await exists(transaction, project))) return undefined;
      const all = mergeFacts(await factsIn(transaction, project), told);
      await transaction('progress')
        .insert({ project, document: JSON.stringify(all), updated_at: this.#now().toISOString() })
        .onConflict('project')
        .merge();
      return all;
    });
  }
}

async function exists(database: Database, id: string): Promise<boolean> {
  const row: unknown = await database('projects').where({ id }).whereNull('deleted_at').first('id');
  return row !== undefined;
}

async function factsIn(database: Database, project: string): Promise<ProgressFacts> {
  const row: unknown = await database('progress').where({ project }).first('document');
  if (row === undefined) return noFacts();
  const parsed = storedProgressSchema.safeParse(jsonIn(rowSchema.parse(row).document));
  if (!parsed.success) throw new Unreadable('box’s progress');
  return parsed.data;
}
