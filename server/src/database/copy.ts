import knex from 'knex';
import { z } from 'zod';
import { complaintOf } from './open.ts';

const counted = z.array(z.object({ boxes: z.number() }));

/**
 * Copies a database into one whole file, whoever is writing to it meanwhile, and looks whether the copy can be
 * read: how many boxes are in it.
 * @throws Complaint when the operator can mend what is in the way.
 */
export async function copyDatabase(
  file: string,
  target: string,
): Promise<{ readonly boxes: number }> {
  const connect = (filename: string) =>
    knex({ client: 'better-sqlite3', connection: { filename }, useNullAsDefault: true });
  const [source, copy] = [connect(file), connect(target)];
  try {
    await source.raw('PRAGMA busy_timeout = 10000');
    // Writes all that a reader sees at this moment, and nothing of what is still being written.
    await source.raw('VACUUM INTO ?', [target]);
    const rows: unknown = await copy('projects').whereNull('deleted_at').count({ boxes: '*' });
    return { boxes: counted.parse(rows)[0]?.boxes ?? 0 };
  } catch (error) {
    throw complaintOf(error, file) ?? error;
  } finally {
    await source.destroy();
    await copy.destroy();
  }
}
