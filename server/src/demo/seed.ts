import { noProgress, storedProgressSchema } from '@rangoli/core';
import { Complaint } from '../complaint.ts';
import { readMeta, writeMeta, type Database } from '../database/index.ts';
import { ProgressStore } from '../progress/index.ts';
import { ProjectStore } from '../projects/index.ts';
import { demoBatches, demoProjects } from './boxes.ts';

/**
 * Fills an empty, new database with the demo shelf and marks it as a demo. One that is marked already is
 * left as its users made it.
 * @throws Complaint when the database holds anything and is not a demo: somebody's own work is never touched.
 */
export async function seedDemo(database: Database): Promise<void> {
  if ((await readMeta(database, 'kind')) === 'demo') return;
  const projects: unknown = await database('projects').first('id');
  if (projects !== undefined)
    throw new Complaint(
      'This database holds somebody’s own boxes, so the demo is not put into it. Name another file.',
    );
  // One second apart, so that the shelf has an order.
  let clock = Date.now() - demoProjects().length * 1000;
  const store = new ProjectStore(database, () => new Date((clock += 1000)));
  const progress = new ProgressStore(database);
  for (const document of demoProjects()) {
    const { id } = await store.create(document);
    const boxes = demoBatches.get(document.name);
    if (boxes !== undefined) await progress.add(id, storedProgressSchema.parse(noProgress(boxes)));
  }
  await writeMeta(database, 'kind', 'demo');
}
