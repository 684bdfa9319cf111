import type { Knex } from 'knex';

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

/**
 * Migrations as values, not files: a directory would be listed as `.ts` under tsx and as `.js` when built,
 * and one database would then refuse the other.
 */
export const migrations: Knex.MigrationSource<NamedMigration> = {
  getMigrations: () => Promise.resolve([firstTables, progressTable]),
  getMigrationName: (migration) => migration.name,
  getMigration: (migration) => Promise.resolve(migration),
};
