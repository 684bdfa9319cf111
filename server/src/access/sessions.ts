import { createHash, randomBytes } from 'node:crypto';
import { z } from 'zod';
import type { Database } from '../database/index.ts';

/** A device stays signed in for so long after it was seen last. */
export const sessionDays = 60;
const day = 24 * 3600 * 1000;

/** That a device was seen is noted so often at the most. */
const notedEvery = day / 24;

const rowSchema = z.object({ seen_at: z.number() });
const countRow = z.object({ count: z.number() });

/** Only this of a token is kept: who reads the database can sign in with nothing that is in it. */
function digestOf(token: string): string {
  return createHash('sha256').update(token).digest('base64');
}

/** The devices that have said the passphrase. They stay signed in when the server is started anew. */
export class Sessions {
  readonly #database: Database;
  readonly #now: () => number;

  constructor(database: Database, now: () => number = Date.now) {
    this.#database = database;
    this.#now = now;
  }

  /** Signs a device in; the token by which it is known from then on. */
  async begin(): Promise<string> {
    const token = randomBytes(32).toString('base64url');
    await this.#database('sessions').where('seen_at', '<', this.#oldest()).delete();
    await this.#database('sessions').insert({ digest: digestOf(token), seen_at: this.#now() });
    return token;
  }

  /** Whether this is the token of a device that is signed in. */
  async knows(token: string): Promise<boolean> {
    const digest = digestOf(token);
    const row: unknown = await this.#database('sessions').where({ digest }).first('seen_at');
    const seen = row === undefined ? undefined : rowSchema.parse(row).seen_at;
    if (seen === undefined || seen < this.#oldest()) return false;
    const now = this.#now();
    if (now - seen > notedEvery)
      await this.#database('sessions').where({ digest }).update({ seen_at: now });
    return true;
  }

  async end(token: string): Promise<void> {
    await this.#database('sessions')
      .where({ digest: digestOf(token) })
      .delete();
  }

  /** Signs every device out. */
  async endAll(): Promise<void> {
    await this.#database('sessions').delete();
  }

  /** How many devices are signed in. */
  async count(): Promise<number> {
    const rows: unknown = await this.#database('sessions')
      .where('seen_at', '>=', this.#oldest())
      .count({ count: '*' });
    return z.array(countRow).parse(rows)[0]?.count ?? 0;
  }

  #oldest(): number {
    return this.#now() - sessionDays * day;
  }
}
