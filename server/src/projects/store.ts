import { randomUUID } from 'node:crypto';
import { longestName, projectDocumentSchema, type ProjectDocument } from '@rangoli/core';
import { z } from 'zod';
import { jsonIn, Unreadable, type Database } from '../database/index.ts';
import type { ChangeOutcome, DeletedProject, Project } from './project.ts';

const rowSchema = z.object({
  id: z.string(),
  revision: z.int(),
  updated_at: z.string(),
  document: z.string(),
});
type Row = z.infer<typeof rowSchema>;

/** So many documents are kept as they were read: a shelf is looked at far more often than its boxes change. */
const mostKnown = 400;

/** Documents as they were read last, by the text that they were read from: no text is gone through twice. */
class KnownDocuments {
  readonly #known = new Map<
    string,
    { readonly text: string; readonly document: ProjectDocument }
  >();

  /** @throws Unreadable when the text is no document. */
  read(id: string, text: string): ProjectDocument {
    const known = this.#known.get(id);
    if (known?.text === text) return known.document;
    const parsed = projectDocumentSchema.safeParse(jsonIn(text));
    if (!parsed.success) throw new Unreadable('box');
    this.#known.delete(id);
    this.#known.set(id, { text, document: parsed.data });
    const [oldest] = this.#known.keys();
    if (oldest !== undefined && this.#known.size > mostKnown) this.#known.delete(oldest);
    return parsed.data;
  }
}

/** What a document that can't be read is called, as far as that can be told. */
function nameIn(document: string): string {
  const parsed = z.object({ name: z.string().min(1) }).safeParse(jsonIn(document));
  return parsed.success ? parsed.data.name.slice(0, longestName) : 'A box without a name';
}

/** The orders in which a shelf may stand: the box that was changed last first, by name, or the newest first. */
export const shelfOrders = ['changed', 'name', 'newest'] as const;
export type ShelfOrder = (typeof shelfOrders)[number];

/** What of the shelf is asked for. */
export interface ShelfQuery {
  /** Part of a name; empty for all. */
  readonly search: string;
  readonly order: ShelfOrder;
  /** Only boxes of this kind. */
  readonly kind?: string;
  /** Only boxes that are cut from the paper of this name. */
  readonly paper?: string;
  readonly limit: number;
  /** Goes on behind this place: `next` of the part before. */
  readonly after?: ShelfPlace;
}

/** The shelf as it is opened: what is asked for where nothing else is said. */
export const wholeShelf: ShelfQuery = { search: '', order: 'changed', limit: 24 };

/** A place on the shelf, behind a box. */
export interface ShelfPlace {
  readonly value: string;
  readonly id: string;
}

/** What there is on the shelf, and how many boxes of each. */
export interface ShelfContents {
  /** By the ids of the kinds of box. */
  readonly kinds: readonly Counted[];
  /** By the names of the papers. */
  readonly papers: readonly Counted[];
}

/** A kind or a paper, and how many boxes there are of it. */
export interface Counted {
  readonly value: string;
  readonly boxes: number;
}

/** Part of the shelf, with those boxes in it that can't be read. */
export interface Shelf {
  readonly projects: readonly Project[];
  readonly unreadable: readonly { readonly id: string; readonly name: string }[];
  /** How many there are of what was asked for, on all parts together. */
  readonly total: number;
  /** Where the next part begins; undefined on the last one. */
  readonly next?: ShelfPlace;
}

const orders = {
  changed: { column: 'updated_at', falls: true },
  name: { column: 'name', falls: false },
  newest: { column: 'created_at', falls: true },
} as const;

const listedRow = rowSchema.extend({ place: z.string() });
const deletedRow = z.object({ id: z.string(), document: z.string(), deleted_at: z.string() });
const countRow = z.object({ count: z.number() });
const countedRow = z.object({ value: z.string(), boxes: z.number() });

/** The kind of box in a document, and its papers; none where the document can't be read. */
const kindIn =
  "CASE WHEN json_valid(document) THEN json_extract(document, '$.box.style.style') END";
const papersIn =
  "json_each(CASE WHEN json_valid(document) THEN document ELSE '{}' END, '$.box.papers') AS paper";
const paperName = "json_extract(paper.value, '$.name')";

/** A name as it is searched for and sorted by. */
function plainName(name: string): string {
  return name.toLocaleLowerCase('en');
}

/** A search as a pattern of LIKE, in which nothing is a sign but what we put there. */
function patternOf(search: string): string {
  return `%${plainName(search).replaceAll(/[\\%_]/g, (sign) => `\\${sign}`)}%`;
}

/** Projects in the database, which nothing else changes. Deleted ones are kept, so that a delete can be undone. */
export class ProjectStore {
  readonly #database: Database;
  readonly #now: () => Date;
  readonly #documents = new KnownDocuments();
  /** Counts the changes of projects. */
  #changes = 0;
  /** Counted through all documents, and asked for with every shelf: good until the next change. */
  #contents: { readonly changes: number; readonly found: Promise<ShelfContents> } | undefined;

  constructor(database: Database, now: () => Date = () => new Date()) {
    this.#database = database;
    this.#now = now;
  }

  /** A part of the shelf. */
  async list({ search, order, kind, paper, limit, after }: ShelfQuery): Promise<Shelf> {
    const { column, falls } = orders[order];
    const found = () => {
      const query = this.#database('projects').whereNull('deleted_at');
      if (search !== '') query.whereRaw("name LIKE ? ESCAPE '\\'", [patternOf(search)]);
      if (kind !== undefined) query.whereRaw(`${kindIn} = ?`, [kind]);
      if (paper !== undefined)
        query.whereRaw(`EXISTS (SELECT 1 FROM ${papersIn} WHERE ${paperName} = ?)`, [paper]);
      return query;
    };
    const counted: unknown = await found().count({ count: '*' });
    const part = found()
      .orderBy([
        { column, order: falls ? 'desc' : 'asc' },
        { column: 'id', order: 'asc' },
      ])
      .limit(limit + 1)
      .select('id', 'revision', 'updated_at', 'document', { place: column });
    if (after !== undefined)
      part.whereRaw(`(?? ${falls ? '<' : '>'} ? OR (?? = ? AND id > ?))`, [
        column,
        after.value,
        column,
        after.value,
        after.id,
      ]);
    const rows = z.array(listedRow).parse(await part);
    const here = rows.slice(0, limit);
    const last = rows.length > limit ? here[here.length - 1] : undefined;
    const projects: Project[] = [];
    const unreadable: { readonly id: string; readonly name: string }[] = [];
    for (const row of here)
      try {
        projects.push(this.#projectOf(row));
      } catch (error) {
        if (!(error instanceof Unreadable)) throw error;
        unreadable.push({ id: row.id, name: nameIn(row.document) });
      }
    return {
      projects,
      unreadable,
      total: z.array(countRow).parse(counted)[0]?.count ?? 0,
      ...(last && { next: { value: last.place, id: last.id } }),
    };
  }

  /** What there is on the shelf to choose from. */
  contents(): Promise<ShelfContents> {
    const changes = this.#changes;
    if (this.#contents?.changes !== changes) {
      const found = this.#findContents();
      this.#contents = { changes, found };
      found.catch(() => (this.#contents = undefined));
    }
    return this.#contents.found;
  }

  async #findContents(): Promise<ShelfContents> {
    const kinds: unknown = await this.#database('projects')
      .whereNull('deleted_at')
      .whereRaw(`${kindIn} IS NOT NULL`)
      .groupByRaw('1')
      .select(this.#database.raw(`${kindIn} AS value, COUNT(*) AS boxes`));
    const papers: unknown = await this.#database
      .from(this.#database.raw(`projects, ${papersIn}`))
      .whereNull('deleted_at')
      .whereRaw(`${paperName} IS NOT NULL`)
      .groupByRaw('1')
      .select(this.#database.raw(`${paperName} AS value, COUNT(DISTINCT projects.id) AS boxes`));
    return { kinds: z.array(countedRow).parse(kinds), papers: z.array(countedRow).parse(papers) };
  }

  /**
   * Undefined when there is no such project.
   * @throws Unreadable when there is one that can't be read.
   */
  async read(id: string): Promise<Project | undefined> {
    const row: unknown = await this.#database('projects')
      .where({ id })
      .whereNull('deleted_at')
      .first('id', 'revision', 'updated_at', 'document');
    return row === undefined ? undefined : this.#projectOf(rowSchema.parse(row));
  }

  async create(document: ProjectDocument): Promise<Project> {
    const updatedAt = this.#now().toISOString();
    const project: Project = { id: randomUUID(), revision: 1, updatedAt, document };
    await this.#change(
      this.#database('projects').insert({
        id: project.id,
        revision: 1,
        name: plainName(document.name),
        document: JSON.stringify(document),
        created_at: updatedAt,
        updated_at: updatedAt,
      }),
    );
    return project;
  }

  /** Stores the document if the project is still at the revision that the change was made to. */
  async update(id: string, revision: number, document: ProjectDocument): Promise<ChangeOutcome> {
    const updatedAt = this.#now().toISOString();
    const changed = await this.#change(
      this.#database('projects')
        .where({ id, revision })
        .whereNull('deleted_at')
        .update({
          revision: revision + 1,
          name: plainName(document.name),
          document: JSON.stringify(document),
          updated_at: updatedAt,
        }),
    );
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
    const deleted = await this.#change(
      this.#database('projects')
        .where({ id })
        .whereNull('deleted_at')
        .update({ deleted_at: this.#now().toISOString() }),
    );
    return deleted === 1;
  }

  /** The boxes that were deleted, the last first; so many at most. */
  async listDeleted(limit: number): Promise<readonly DeletedProject[]> {
    const rows: unknown = await this.#database('projects')
      .whereNotNull('deleted_at')
      .orderBy([{ column: 'deleted_at', order: 'desc' }, { column: 'id' }])
      .limit(limit)
      .select('id', 'document', 'deleted_at');
    return z
      .array(deletedRow)
      .parse(rows)
      .map(({ id, document, deleted_at }) => ({
        id,
        name: nameIn(document),
        deletedAt: deleted_at,
      }));
  }

  /** Takes back a delete; the project as it was, undefined when there was none. */
  async restore(id: string): Promise<Project | undefined> {
    await this.#change(this.#database('projects').where({ id }).update({ deleted_at: null }));
    return this.read(id);
  }

  /** Waits for a change: what is found out of the shelf before it is over holds no longer. */
  async #change<Changed>(change: PromiseLike<Changed>): Promise<Changed> {
    try {
      return await change;
    } finally {
      this.#changes++;
    }
  }

  /** @throws Unreadable when the document is none. */
  #projectOf({ id, revision, updated_at, document }: Row): Project {
    return {
      id,
      revision,
      updatedAt: updated_at,
      document: this.#documents.read(id, document),
    };
  }
}
