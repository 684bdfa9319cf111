import { accessSync, constants, existsSync, mkdirSync, statSync } from 'node:fs';
import { dirname } from 'node:path';
import knex, { type Knex } from 'knex';
import { Complaint } from '../complaint.ts';
import { migrations } from './migrations.ts';

export type Database = Knex;

function codeOf(error: unknown): string {
  return typeof error === 'object' && error !== null && 'code' in error ? String(error.code) : '';
}

/** What keeps a database from being opened, as the operator can mend it; undefined for what is our fault. */
export function complaintOf(error: unknown, file: string): Complaint | undefined {
  const code = codeOf(error);
  const message = error instanceof Error ? error.message : '';
  if (message.includes('migration directory is corrupt'))
    return new Complaint(
      `${file} was written by a newer Rangoli. Start that one, or name another file with --database.`,
    );
  if (code === 'SQLITE_NOTADB')
    return new Complaint(
      `${file} is no Rangoli database. Name another file with --database; this one is left as it is.`,
    );
  if (code.startsWith('SQLITE_CORRUPT'))
    return new Complaint(
      `${file} is damaged. Put a copy of it from a backup in its place; this one is left as it is.`,
    );
  if (code.startsWith('SQLITE_FULL') || code === 'ENOSPC')
    return new Complaint(`The disk of ${file} is full. Make room on it and start again.`);
  if (code.startsWith('SQLITE_READONLY') || code === 'EACCES' || code === 'EROFS')
    return new Complaint(
      `${file} can’t be written. Give Rangoli the right to write it and its folder, or name another file with --database.`,
    );
  if (
    code.startsWith('SQLITE_CANTOPEN') ||
    code === 'EISDIR' ||
    code === 'ENOTDIR' ||
    code === 'EEXIST'
  )
    return new Complaint(
      `${file} can’t be opened. Name a file in a folder that Rangoli may write, with --database.`,
    );
  if (code.startsWith('SQLITE_BUSY') || code.startsWith('SQLITE_LOCKED'))
    return new Complaint(
      `${file} is in use by another program, perhaps another Rangoli. Close it and start again.`,
    );
  if (code.startsWith('SQLITE_IOERR'))
    return new Complaint(`The disk of ${file} fails. Look after it, and start again.`);
  return undefined;
}

function checkFile(file: string): void {
  mkdirSync(dirname(file), { recursive: true });
  accessSync(dirname(file), constants.W_OK);
  if (!existsSync(file)) return;
  if (statSync(file).isDirectory())
    throw new Complaint(`${file} is a folder. Name a file with --database.`);
  accessSync(file, constants.W_OK);
}

async function prepare(database: Database): Promise<void> {
  await database.raw('PRAGMA journal_mode = WAL');
  // What was acknowledged is on the disk, even when the power goes.
  await database.raw('PRAGMA synchronous = FULL');
  await database.raw('PRAGMA foreign_keys = ON');
  await database.raw('PRAGMA busy_timeout = 4000');
  // A file that was cut short opens, and fails at the first look into what is missing.
  await database.raw('PRAGMA quick_check(1)').then((answer: unknown) => {
    if (!JSON.stringify(answer).includes('ok'))
      throw Object.assign(new Error('It is damaged'), { code: 'SQLITE_CORRUPT' });
  });
  await database.migrate.latest({ migrationSource: migrations });
}

/**
 * Opens the SQLite file (made when missing, in WAL mode) and brings its tables up to date. `:memory:`
 * opens one that vanishes.
 * @throws Complaint when the operator can mend what is in the way.
 */
export async function openDatabase(file: string): Promise<Database> {
  let database: Database | undefined;
  try {
    if (file !== ':memory:') checkFile(file);
    database = knex({
      client: 'better-sqlite3',
      connection: { filename: file },
      useNullAsDefault: true,
      // One connection: SQLite has one writer, and a second one would only wait.
      pool: { min: 1, max: 1 },
    });
    await prepare(database);
    return database;
  } catch (error) {
    await database?.destroy();
    throw complaintOf(error, file) ?? error;
  }
}
