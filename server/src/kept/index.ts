import { lessonsSchema, noLessons, shippedToolbox, toolboxSchema } from '@rangoli/core';
import type { Database } from '../database/index.ts';
import { KeptDocument } from './store.ts';

export { keptRoutes } from './routes.ts';
export { type KeptDocument } from './store.ts';

/** The maker's tools. */
export function keptToolbox(database: Database) {
  return new KeptDocument(database, 'toolbox', toolboxSchema, shippedToolbox);
}

/** What trial boxes have taught about papers. */
export function keptLessons(database: Database) {
  return new KeptDocument(database, 'lessons', lessonsSchema, noLessons);
}
