export { openDatabase, type Database } from './open.ts';
export { jsonIn, Unreadable } from './unreadable.ts';
export { readMeta, writeMeta } from './meta.ts';
