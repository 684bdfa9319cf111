import { lessonsSchema, shippedToolbox, changedTools, toolboxSchema } from '@rangoli/core';
import type { Knex } from 'knex';
import { z } from 'zod';
import { jsonIn } from './unreadable.ts';

interface NamedMigration extends Knex.Migration {
  readonly name: string;
}

const firstTables: NamedMigration = {
  name: '001-projects-and-meta',
  async up(knex) {
    await knex.schema.createTable('meta', (table) => {
      table.string('key').primary();
      table.string('value').notNullable();
    });
    await knex.schema.createTable('projects', (table) => {
      table.string('id').primary();
      table.integer('revision').notNullable();
      table.text('document').notNullable();
      table.string('created_at').notNullable();
      table.string('updated_at').notNullable();
      table.string('deleted_at').nullable();
      table.index(['deleted_at', 'updated_at']);
    });
  },
  async down(knex) {
    await knex.schema.dropTable('projects');
    await knex.schema.dropTable('meta');
  },
};

const progressTable: NamedMigration = {
  name: '002-progress',
  async up(knex) {
    await knex.schema.createTable('progress', (table) => {
      table.string('project').primary().references('id').inTable('projects');
      table.text('document').notNullable();
      table.string('updated_at').notNullable();
    });
  },
  async down(knex) {
    await knex.schema.dropTable('progress');
  },
};

const metaRow = z.object({ value: z.string().transform((text): unknown => JSON.parse(text)) });

/** A document that was kept whole under its name; undefined where there is none, or none that can be read. */
async function keptWhole<Document>(
  knex: Knex,
  key: string,
  schema: z.ZodType<Document>,
): Promise<Document | undefined> {
  const row: unknown = await knex('meta').where({ key }).first('value');
  try {
    return row === undefined ? undefined : schema.parse(metaRow.parse(row).value);
  } catch {
    // It stays where it is, for somebody who can read it.
    return undefined;
  }
}

/** Tools and lessons were one document each; now each of them has a row, so that two windows can change two of them. */
const itemsTable: NamedMigration = {
  name: '003-items',
  async up(knex) {
    await knex.schema.createTable('items', (table) => {
      table.string('collection').notNullable();
      table.string('id').notNullable();
      table.integer('revision').notNullable();
      table.text('value').notNullable();
      table.string('created_at').notNullable();
      table.string('updated_at').notNullable();
      table.primary(['collection', 'id']);
    });
    const now = new Date().toISOString();
    const add = (collection: string, id: string, value: unknown) =>
      knex('items').insert({
        collection,
        id,
        revision: 1,
        value: JSON.stringify(value),
        created_at: now,
        updated_at: now,
      });
    const toolbox = await keptWhole(knex, 'toolbox', toolboxSchema);
    if (toolbox) {
      const tools = changedTools(
        { before: shippedToolbox, after: toolbox },
        { known: new Map(), now: 1 },
      );
      for (const [id, item] of tools) await add('tools', id, item);
    }
    const lessons = await keptWhole(knex, 'lessons', lessonsSchema);
    for (const lesson of lessons?.papers ?? []) await add('lessons', lesson.id, lesson);
  },
  async down(knex) {
    await knex.schema.dropTable('items');
  },
};

const namedRow = z.object({ id: z.string(), document: z.string() });

/** Boxes are looked for by their names, and stand in their order. */
const projectNames: NamedMigration = {
  name: '004-project-names',
  async up(knex) {
    await knex.schema.alterTable('projects', (table) => {
      table.string('name').notNullable().defaultTo('');
      table.index(['deleted_at', 'name']);
      table.index(['deleted_at', 'created_at']);
    });
    const rows: unknown = await knex('projects').select('id', 'document');
    for (const { id, document } of z.array(namedRow).parse(rows)) {
      const parsed = z.object({ name: z.string() }).safeParse(jsonIn(document));
      if (parsed.success)
        await knex('projects')
          .where({ id })
          .update({ name: parsed.data.name.toLocaleLowerCase('en') });
    }
  },
  async down(knex) {
    await knex.schema.alterTable('projects', (table) => {
      table.dropIndex(['deleted_at', 'name']);
      table.dropIndex(['deleted_at', 'created_at']);
      table.dropColumn('name');
    });
  },
};

/** Devices of the home network that have said the passphrase. */
const sessionsTable: NamedMigration = {
  name: '005-sessions',
  async up(knex) {
    await knex.schema.createTable('sessions', (table) => {
      table.string('digest').primary();
      table.bigInteger('seen_at').notNullable();
    });
  },
  async down(knex) {
    await knex.schema.dropTable('sessions');
  },
};

/** The makers’ own pictures of prints. */
const picturesTable: NamedMigration = {
  name: '006-pictures',
  async up(knex) {
    await knex.schema.createTable('pictures', (table) => {
      table.string('id').primary();
      table.integer('width').notNullable();
      table.integer('height').notNullable();
      table.binary('bytes').notNullable();
      table.integer('size').notNullable();
      table.string('created_at').notNullable();
    });
  },
  async down(knex) {
    await knex.schema.dropTable('pictures');
  },
};

/**
 * Migrations as values, not files: a directory would be listed as `.ts` under tsx and as `.js` when built,
 * and one database would then refuse the other.
 */
export const migrations: Knex.MigrationSource<NamedMigration> = {
  getMigrations: () =>
    Promise.resolve([
      firstTables,
      progressTable,
      itemsTable,
      projectNames,
      sessionsTable,
      picturesTable,
    ]),
  getMigrationName: (migration) => migration.name,
  getMigration: (migration) => Promise.resolve(migration),
};
