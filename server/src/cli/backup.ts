/* npm run -s backup -- [TARGET] [--database FILE]: one whole copy of a database, while the server runs or not. */
import { existsSync, mkdirSync } from 'node:fs';
import { dirname, resolve } from 'node:path';
import { parseArgs } from 'node:util';
import { Complaint, complainingly } from '../complaint.ts';
import { copyDatabase } from '../database/index.ts';

const usage = 'Use: npm run -s backup -- [TARGET] [--database FILE]';
const root = resolve(import.meta.dirname, '../../..');

function asked() {
  try {
    return parseArgs({ allowPositionals: true, options: { database: { type: 'string' } } });
  } catch {
    throw new Complaint(usage);
  }
}

/** A name that says when, and sorts by it. */
function nameNow(): string {
  return `data/backups/rangoli-${new Date().toISOString().slice(0, 19).replaceAll(':', '-')}.sqlite`;
}

async function main(): Promise<void> {
  const { values, positionals } = asked();
  if (positionals.length > 1) throw new Complaint(usage);
  const file = resolve(root, values.database ?? 'data/rangoli.sqlite');
  const target = resolve(root, positionals[0] ?? nameNow());
  if (!existsSync(file))
    throw new Complaint(`${file} is not there. Name a database with --database.`);
  if (existsSync(target))
    throw new Complaint(`${target} is there already. Name another one; nothing is written over.`);
  mkdirSync(dirname(target), { recursive: true });
  const { boxes } = await copyDatabase(file, target);
  console.log(`${boxes} ${boxes === 1 ? 'box' : 'boxes'} and all tools are in ${target}`);
}

await complainingly(main);
