export { openToCopy } from './copy.ts';
export { keepWhole } from './keep-whole.ts';
export { openDatabase, type Database } from './open.ts';
export { jsonIn, Unreadable } from './unreadable.ts';
export { readMeta, writeMeta } from './meta.ts';
