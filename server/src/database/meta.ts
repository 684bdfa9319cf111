import { z } from 'zod';
import type { Database } from './open.ts';

const metaRow = z.object({ value: z.string() });

/** A fact about the database itself; undefined when it was never set. */
export async function readMeta(database: Database, key: string): Promise<string | undefined> {
  const row: unknown = await database('meta').where({ key }).first('value');
  return row === undefined ? undefined : metaRow.parse(row).value;
}

export async function writeMeta(database: Database, key: string, value: string): Promise<void> {
  await database('meta').insert({ key, value }).onConflict('key').merge();
}
