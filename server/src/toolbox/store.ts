import { shippedToolbox, toolboxSchema, type Toolbox } from '@rangoli/core';
import { readMeta, writeMeta, type Database } from '../database/index.ts';

const key = 'toolbox';

/** The maker's tools; what is shipped until they change it. */
export class ToolboxStore {
  readonly #database: Database;

  constructor(database: Database) {
    this.#database = database;
  }

  async read(): Promise<Toolbox> {
    const kept = await readMeta(this.#database, key);
    if (kept === undefined) return shippedToolbox;
    const document: unknown = JSON.parse(kept);
    return toolboxSchema.parse(document);
  }

  async write(toolbox: Toolbox): Promise<void> {
    await writeMeta(this.#database, key, JSON.stringify(toolbox));
  }
}
