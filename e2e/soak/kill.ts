import {
  lessonSchema,
  newProject,
  noFacts,
  progressFactsSchema,
  progressOf,
  projectDocumentSchema,
} from '@rangoli/core';
import { z } from 'zod';
import { RangoliServer } from '../support/rangoli-server.ts';

/* The server is killed in the midst of writing, again and again: what it has acknowledged must be there. */

const kills = Number(process.argv[2] ?? 200);
const writers = 4;

const boxSchema = z.object({ id: z.string(), revision: z.int(), document: projectDocumentSchema });
const factsSchema = z.object({ facts: progressFactsSchema });
const itemsSchema = z.object({
  items: z.array(z.object({ id: z.string(), revision: z.int(), value: lessonSchema })),
});

const server = new RangoliServer();

async function ask(method: string, path: string, body?: unknown): Promise<unknown> {
  const response = await fetch(`${server.origin}/api${path}`, {
    method,
    headers: { 'content-type': 'application/json', 'x-rangoli': 'soak' },
    ...(body !== undefined && { body: JSON.stringify(body) }),
  });
  if (!response.ok) throw new Error(`${method} ${path}: ${String(response.status)}`);
  return response.json();
}

/** What the server has acknowledged, by one who writes: a box at its revision, ticks, a lesson. */
class Writer {
  readonly #name: string;
  #box: { readonly id: string; readonly revision: number; readonly name: string } | undefined;
  #ticks = 0;
  #lesson: { readonly revision: number; readonly thickness: number } | undefined;
  #serial = 0;
  /** How many changes were acknowledged. */
  acknowledged = 0;

  constructor(name: string) {
    this.#name = name;
  }

  #next(): string {
    this.#serial += 1;
    return `${this.#name} ${this.#serial}`;
  }

  /** Writes until the server is gone. */
  async write(): Promise<void> {
    try {
      for (;;) {
        await this.#writeBox();
        await this.#writeTick();
        await this.#writeLesson();
      }
    } catch {
      // The server is gone, in the midst of something that was never acknowledged.
    }
  }

  async #writeBox(): Promise<void> {
    const name = this.#next();
    const document = { ...newProject('inch'), name };
    const before = this.#box;
    const stored = boxSchema.parse(
      before
        ? await ask('PUT', `/projects/${before.id}`, { revision: before.revision, document })
        : await ask('POST', '/projects', { document }),
    );
    this.#box = { id: stored.id, revision: stored.revision, name };
    this.acknowledged += 1;
  }

  async #writeTick(): Promise<void> {
    if (!this.#box) return;
    const [from, to] = [this.#ticks, this.#ticks + 1];
    const tick = { from, to, done: true, at: { time: to, by: this.#name } };
    const facts = { ...noFacts(), ticks: { 'cut base': [tick] } };
    await ask('POST', `/progress/${this.#box.id}`, { facts });
    this.#ticks = to;
    this.acknowledged += 1;
  }

  async #writeLesson(): Promise<void> {
    this.#serial += 1;
    const [paper] = newProject('inch').box.papers;
    const thickness = paper.thickness + this.#serial;
    const value = { id: this.#name, gaps: paper.gaps, thickness };
    const revision = this.#lesson?.revision ?? 0;
    await ask('PUT', `/lessons/${this.#name}`, { revision, value });
    this.#lesson = { revision: revision + 1, thickness };
    this.acknowledged += 1;
  }

  /** What of the acknowledged is not there any more. Goes on from what is there. */
  async check(): Promise<readonly string[]> {
    const lost: string[] = [];
    if (this.#box) {
      const { id, revision, name } = this.#box;
      const there = boxSchema.parse(await ask('GET', `/projects/${id}`));
      // One more may have been stored whose answer was cut off.
      const isThere =
        (there.revision === revision && there.document.name === name) ||
        there.revision === revision + 1;
      if (!isThere)
        lost.push(`${name} at ${revision}: ${there.document.name} at ${there.revision}`);
      this.#box = { id, revision: there.revision, name: there.document.name };
      const { facts } = factsSchema.parse(await ask('GET', `/progress/${id}`));
      const ticks = progressOf(facts).done['cut base'] ?? 0;
      if (ticks < this.#ticks) lost.push(`${this.#ticks} ticks of ${this.#name}: ${ticks}`);
      this.#ticks = ticks;
    }
    const { items } = itemsSchema.parse(await ask('GET', '/lessons'));
    const item = items.find(({ id }) => id === this.#name);
    const before = this.#lesson;
    const now = item && { revision: item.revision, thickness: item.value.thickness ?? 0 };
    const isThere =
      before === undefined ||
      (now?.revision === before.revision && now.thickness === before.thickness) ||
      now?.revision === before.revision + 1;
    if (!isThere)
      lost.push(`the lesson of ${this.#name} at ${before.revision}: ${now?.revision ?? 'nothing'}`);
    this.#lesson = now;
    return lost;
  }
}

const all = Array.from({ length: writers }, (_, i) => new Writer(`writer ${String(i)}`));
const lost: string[] = [];
await server.start();
for (let kill = 1; kill <= kills; kill++) {
  const writing = all.map((writer) => writer.write());
  // From the first answer to the midst of many.
  await new Promise((passed) => setTimeout(passed, 5 + ((kill * 37) % 160)));
  await server.kill();
  await Promise.all(writing);
  await server.start();
  for (const writer of all) lost.push(...(await writer.check()));
}
await server.dispose();

const acknowledged = all.reduce((sum, writer) => sum + writer.acknowledged, 0);
for (const each of lost.slice(0, 20)) console.log(`  lost: ${each}`);
console.log(`${kills} kills, ${acknowledged} changes acknowledged, ${lost.length} of them lost`);
if (lost.length > 0 || acknowledged < kills) process.exitCode = 1;
