import type { Picture } from '@rangoli/core';
import { z } from 'zod';
import type { Database } from '../database/index.ts';
import type { KeepablePicture } from './keepable.ts';
import { mostPictures, mostRoom } from './picture-limits.ts';

const bytesRow = z.object({ bytes: z.instanceof(Buffer) });
const totalRow = z.object({ count: z.number(), room: z.number().nullable() });
const idRow = z.object({ id: z.string() });

/** A picture that nothing shows is kept for so long, since what shows it may be put back. */
const keptUnused = 60 * 24 * 60 * 60 * 1000;

/** The makers’ own pictures, each by the digest of what is kept of it. */
export class PictureStore {
  readonly #database: Database;
  readonly #now: () => Date;

  constructor(database: Database, now: () => Date = () => new Date()) {
    this.#database = database;
    this.#now = now;
  }

  /** Keeps a picture; one that is there already is kept once. */
  async keep({ id, width, height, bytes }: KeepablePicture): Promise<Picture | 'full'> {
    const picture = { id, width, height };
    if ((await this.read(id)) !== undefined) return picture;
    const { count, room } = totalRow.parse(
      await this.#database('pictures').count({ count: '*' }).sum({ room: 'size' }).first(),
    );
    if (count >= mostPictures || (room ?? 0) + bytes.length > mostRoom.bytes) return 'full';
    await this.#database('pictures')
      .insert({ ...picture, bytes, size: bytes.length, created_at: this.#now().toISOString() })
      .onConflict('id')
      .ignore();
    return picture;
  }

  /** The bytes of a picture. */
  async read(id: string): Promise<Buffer | undefined> {
    const row: unknown = await this.#database('pictures').where({ id }).first('bytes');
    return row === undefined ? undefined : bytesRow.parse(row).bytes;
  }

  /** Lets go of pictures that no box and no paper shows any more, once they have been kept for long enough. */
  async forgetUnused(): Promise<number> {
    const before = new Date(this.#now().getTime() - keptUnused).toISOString();
    const old: unknown = await this.#database('pictures')
      .where('created_at', '<', before)
      .select('id');
    let forgotten = 0;
    for (const { id } of z.array(idRow).parse(old)) {
      if (await this.#isShown(id)) continue;
      forgotten += await this.#database('pictures').where({ id }).delete();
    }
    return forgotten;
  }

  async #isShown(id: string): Promise<boolean> {
    const places = [
      ['projects', 'document'],
      ['items', 'value'],
    ] as const;
    for (const [table, column] of places) {
      const found: unknown = await this.#database(table)
        .where(column, 'like', `%${id}%`)
        .first(column);
      if (found !== undefined) return true;
    }
    return false;
  }
}
