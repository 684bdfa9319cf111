export { openDatabase, type Database } from './open.ts';
export { readMeta, writeMeta } from './meta.ts';
