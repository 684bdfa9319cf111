import { randomUUID } from 'node:crypto';
import { longestName, projectDocumentSchema, type ProjectDocument } from '@rangoli/core';
import { z } from 'zod';
import type { Database } from '../database/index.ts';
import type { ChangeOutcome, Project } from './project.ts';

const rowSchema = z
  .object({
    id: z.string(),
    revision: z.int(),
    updated_at: z.string(),
    document: z.string().transform((text): unknown => JSON.parse(text)),
  })
  .transform(({ id, revision, updated_at, document }): Project => ({
    id,
    revision,
    updatedAt: updated_at,
    document: projectDocumentSchema.parse(document),
  }));

/** Projects in the database. Deleted ones are kept, so that a delete can be undone. */
export class ProjectStore {
  readonly #database: Database;
  readonly #now: () => Date;

  constructor(database: Database, now: () => Date = () => new Date()) {
    this.#database = database;
    this.#now = now;
  }

  /** All projects, the one changed last first. */
  async list(): Promise<readonly Project[]> {
    const rows: unknown = await this.#database('projects')
      .whereNull('deleted_at')
      .orderBy([
        { column: 'updated_at', order: 'desc' },
        { column: 'id', order: 'asc' },
      ])
      .select('id', 'revision', 'updated_at', 'document');
    return z.array(rowSchema).parse(rows);
  }

  async read(id: string): Promise<Project | undefined> {
    const row: unknown = await this.#database('projects')
      .where({ id })
      .whereNull('deleted_at')
      .first('id', 'revision', 'updated_at', 'document');
    return row === undefined ? undefined : rowSchema.parse(row);
  }

  async create(document: ProjectDocument): Promise<Project> {
    const updatedAt = this.#now().toISOString();
    const project: Project = { id: randomUUID(), revision: 1, updatedAt, document };
    await this.#database('projects').insert({
      id: project.id,
      revision: 1,
      document: JSON.stringify(document),
      created_at: updatedAt,
      updated_at: updatedAt,
    });
    return project;
  }

  /** Stores the document if the project is still at the revision that the change was made to. */
  async update(id: string, revision: number, document: ProjectDocument): Promise<ChangeOutcome> {
    const updatedAt = this.#now().toISOString();
    const changed = await this.#database('projects')
      .where({ id, revision })
      .whereNull('deleted_at')
      .update({
        revision: revision + 1,
        document: JSON.stringify(document),
        updated_at: updatedAt,
      });
    const current = await this.read(id);
    if (!current) return { outcome: 'missing' };
    return changed === 1 ? { outcome: 'changed', project: current } : { outcome: 'stale', current };
  }

  async duplicate(id: string): Promise<Project | undefined> {
    const original = await this.read(id);
    if (!original) return undefined;
    const suffix = ', copy';
    const name = original.document.name.slice(0, longestName - suffix.length) + suffix;
    return this.create({ ...original.document, name });
  }

  /** False when there is no such project. */
  async delete(id: string): Promise<boolean> {
    const deleted = await this.#database('projects')
      .where({ id })
      .whereNull('deleted_at')
      .update({ deleted_at: this.#now().toISOString() });
    return deleted === 1;
  }

  /** Takes back a delete; the project as it was, undefined when there was none. */
  async restore(id: string): Promise<Project | undefined> {
    await this.#database('projects').where({ id }).update({ deleted_at: null });
    return this.read(id);
  }
}
