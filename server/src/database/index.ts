export { copyDatabase } from './copy.ts';
export { keepWhole, type Loss } from './keep-whole.ts';
export { complaintOf, openDatabase, type Database } from './open.ts';
export { jsonIn, Unreadable } from './unreadable.ts';
export { readMeta, writeMeta } from './meta.ts';
