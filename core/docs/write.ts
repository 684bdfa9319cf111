/* Writes docs/formats.md and docs/schema/ anew. */
import { mkdirSync, writeFileSync } from 'node:fs';
import { join, resolve } from 'node:path';
import { formatsPage, schemas } from './formats.ts';

const docs = resolve(import.meta.dirname, '../../docs');
mkdirSync(join(docs, 'schema'), { recursive: true });
writeFileSync(join(docs, 'formats.md'), formatsPage());
for (const [file, content] of schemas()) writeFileSync(join(docs, 'schema', file), content);
