import { mkdirSync } from 'node:fs';
import { dirname } from 'node:path';
import knex, { type Knex } from 'knex';
import { migrations } from './migrations.ts';

export type Database = Knex;

/**
 * Opens the SQLite file (made when missing, in WAL mode) and brings its tables up to date. `:memory:`
 * opens one that vanishes.
 */
export async function openDatabase(file: string): Promise<Database> {
  if (file !== ':memory:') mkdirSync(dirname(file), { recursive: true });
  const database = knex({
    client: 'better-sqlite3',
    connection: { filename: file },
    useNullAsDefault: true,
    // One connection: SQLite has one writer, and a second one would only wait.
    pool: { min: 1, max: 1 },
  });
  await database.raw('PRAGMA journal_mode = WAL');
  await database.raw('PRAGMA foreign_keys = ON');
  await database.raw('PRAGMA busy_timeout = 4000');
  await database.migrate.latest({ migrationSource: migrations });
  return database;
}
