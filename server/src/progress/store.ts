import { noProgress, progressSchema, type Progress } from '@rangoli/core';
import { z } from 'zod';
import type { Database } from '../database/index.ts';

const rowSchema = z
  .object({ document: z.string().transform((text): unknown => JSON.parse(text)) })
  .transform(({ document }): Progress => progressSchema.parse(document));

/** How far the making of each box has come. */
export class ProgressStore {
  readonly #database: Database;
  readonly #now: () => Date;

  constructor(database: Database, now: () => Date = () => new Date()) {
    this.#database = database;
    this.#now = now;
  }

  /** Undefined when there is no such box. */
  async read(project: string): Promise<Progress | undefined> {
    if (!(await this.#exists(project))) return undefined;
    const row: unknown = await this.#database('progress').where({ project }).first('document');
    return row === undefined ? noProgress() : rowSchema.parse(row);
  }

  /** False when there is no such box. */
  async write(project: string, progress: Progress): Promise<boolean> {
    if (!(await this.#exists(project))) return false;
    await this.#database('progress')
      .insert({
        project,
        document: JSON.stringify(progress),
        updated_at: this.#now().toISOString(),
      })
      .onConflict('project')
      .merge();
    return true;
  }

  async #exists(id: string): Promise<boolean> {
    const row: unknown = await this.#database('projects')
      .where({ id })
      .whereNull('deleted_at')
      .first('id');
    return row !== undefined;
  }
}
