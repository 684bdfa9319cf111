import { gzipSync } from 'node:zlib';
import { allStyles, inches, newProject, stockPaper } from '@rangoli/core';
import { describe, expect, it } from 'vitest';
import { z } from 'zod';
import { eachServed, missing, problemOf, projectSchema } from '../testing/served.ts';
import { ProjectStore } from './store.ts';

const served = eachServed();
const countedSchema = z.array(z.object({ value: z.string(), boxes: z.int() }));
const contentsSchema = z.object({ kinds: countedSchema, papers: countedSchema });
const deletedSchema = z.object({
  deleted: z.array(z.object({ id: z.string(), name: z.string(), deletedAt: z.string() })),
});

describe('boxes on the server', () => {
  it('keeps a box through a restart, to the nanometre', async () => {
    const made = await served.now().create('Meteorite jar');
    const document = newProject('mm');
    const response = await served.now().send('PUT', `/${made.id}`, { revision: 1, document });
    expect(projectSchema.parse(await response.json())).toMatchObject({ revision: 2, document });
    await served.now().close();
    await served.now().open();
    const read = projectSchema.parse(await (await served.now().send('GET', `/${made.id}`)).json());
    expect(read).toMatchObject({ id: made.id, revision: 2, document });
    expect(await served.now().database.raw('PRAGMA journal_mode')).toEqual([
      { journal_mode: 'wal' },
    ]);
  });

  it('answers a change to an old revision with what stands, and overwrites nothing', async () => {
    const { id } = await served.now().create('Hand lens');
    const mine = { ...newProject('inch'), name: 'Mine' };
    const theirs = { ...newProject('inch'), name: 'Theirs' };
    await served.now().send('PUT', `/${id}`, { revision: 1, document: theirs });
    const problem = await problemOf(
      await served.now().send('PUT', `/${id}`, { revision: 1, document: mine }),
    );
    expect(problem).toMatchObject({ status: 409, errors: [{ field: 'revision' }] });
    expect(projectSchema.parse(problem.current)).toMatchObject({ revision: 2, document: theirs });
    expect(await served.now().names()).toEqual(['Theirs']);
    // Nor does a revision from the future pass.
    const early = await served.now().send('PUT', `/${id}`, { revision: 9, document: mine });
    expect((await problemOf(early)).status).toBe(409);
  });

  it('lets only one of many changes at the same moment through', async () => {
    const { id } = await served.now().create('Night tea');
    const document = newProject('inch');
    const answers = await Promise.all(
      Array.from({ length: 8 }, () =>
        served.now().send('PUT', `/${id}`, { revision: 1, document }),
      ),
    );
    expect(answers.map(({ status }) => status).sort()).toEqual([
      200, 409, 409, 409, 409, 409, 409, 409,
    ]);
  });

  it('duplicates, deletes and takes the delete back', async () => {
    const { id } = await served.now().create('Star chart');
    const copy = projectSchema.parse(
      await (await served.now().send('POST', `/${id}/duplicate`)).json(),
    );
    expect([...(await served.now().names())].sort()).toEqual(['Star chart', 'Star chart, copy']);
    expect((await served.now().send('DELETE', `/${id}`)).status).toBe(204);
    expect(await served.now().names()).toEqual(['Star chart, copy']);
    expect((await served.now().send('DELETE', `/${id}`)).status).toBe(404);
    const deleted = async () =>
      deletedSchema.parse(await (await served.now().send('GET', '/deleted')).json()).deleted;
    await served.now().send('DELETE', `/${copy.id}`);
    // Each by itself, whoever asks and however long after.
    expect(new Set((await deleted()).map(({ name }) => name))).toEqual(
      new Set(['Star chart, copy', 'Star chart']),
    );
    expect((await served.now().send('POST', `/${copy.id}/restore`)).status).toBe(200);
    expect((await deleted()).map((each) => each.id)).toEqual([id]);
    expect((await served.now().send('POST', `/${id}/restore`)).status).toBe(200);
    expect(await served.now().names()).toHaveLength(2);
    expect(copy.id).not.toBe(id);
  });

  it.each([
    ['GET', `/${missing}`, undefined, 404, undefined],
    ['PUT', `/${missing}`, { revision: 1, document: newProject('mm') }, 404, undefined],
    ['DELETE', `/${missing}`, undefined, 404, undefined],
    ['POST', `/${missing}/restore`, undefined, 404, undefined],
    ['POST', `/${missing}/duplicate`, undefined, 404, undefined],
    ['PATCH', '', undefined, 404, undefined],
    ['POST', '', '{"document": ', 400, undefined],
    ['POST', '', `"${'x'.repeat(300_000)}"`, 413, undefined],
    ['POST', '', undefined, 415, undefined],
    ['POST', '', {}, 422, 'document'],
    ['POST', '', { document: { ...newProject('mm'), name: ' ' } }, 422, 'document.name'],
    ['POST', '', { document: { ...newProject('mm'), version: 2 } }, 422, 'document.version'],
    [
      'POST',
      '',
      {
        document: {
          ...newProject('mm'),
          box: {
            ...newProject('mm').box,
            gift: { shape: 'block', across: inches(400), deep: 0, high: 5e7 },
          },
        },
      },
      422,
      'document.box.gift.across',
    ],
    ['PUT', `/${missing}`, { revision: 0, document: newProject('mm') }, 422, 'revision'],
  ])('refuses %s %s in words (%#)', async (method, path, body, status, field) => {
    const problem = await problemOf(await served.now().send(method, path, body));
    expect(problem.status).toBe(status);
    expect(problem.detail).toMatch(/\.$/);
    if (field !== undefined) expect(problem.errors?.[0]?.field).toBe(field);
    expect(await served.now().names()).toEqual([]);
  });
});

describe('a long shelf', () => {
  const shelfSchema = z.object({
    projects: z.array(z.object({ id: z.string(), document: z.object({ name: z.string() }) })),
    total: z.int(),
    next: z.string().optional(),
  });

  /** All parts of a shelf, one after the other. */
  async function walk(words: string): Promise<readonly string[]> {
    const seen: string[] = [];
    let after = '';
    for (let parts = 0; parts < 50; parts++) {
      const response = await served.now().send('GET', `?limit=7&${words}${after}`);
      expect(response.status).toBe(200);
      const part = shelfSchema.parse(await response.json());
      seen.push(...part.projects.map(({ document }) => document.name));
      if (part.next === undefined) {
        expect(part.total).toBe(seen.length);
        return seen;
      }
      after = `&after=${part.next}`;
    }
    throw new Error('The shelf has no end');
  }

  it('is told in parts that leave no box out and tell none twice, searched and in every order', async () => {
    const store = new ProjectStore(served.now().database, () => new Date(1000 * (clock += 1)));
    let clock = 0;
    // Some are changed at one moment and bear one name: their order is fixed all the same.
    const given = Array.from(
      { length: 40 },
      (_, i) => `Box ${String(i % 13)} of 100% äther_${String(i % 3)}`,
    );
    for (const [i, name] of given.entries()) {
      if (i % 5 === 0) clock -= 1;
      await store.create({ ...newProject('inch'), name });
    }
    expect([...(await walk(''))].sort()).toEqual([...given].sort());
    expect(await walk('order=newest')).toEqual(await walk('order=changed'));
    const byName = await walk('order=name');
    expect(byName).toEqual([...given].sort((a, b) => (a.toLowerCase() < b.toLowerCase() ? -1 : 1)));
    for (const search of ['box 1', 'ÄTHER_2', '%', '_1', 'of 100', 'nothing', "'; --"]) {
      const wanted = given.filter((name) => name.toLowerCase().includes(search.toLowerCase()));
      const found = await walk(`search=${encodeURIComponent(search)}`);
      expect([...found].sort()).toEqual([...wanted].sort());
    }
    for (const words of ['limit=0', 'limit=9999', 'order=colour', 'after=nowhere', 'limit=x'])
      expect((await problemOf(await served.now().send('GET', `?${words}`))).status).toBe(422);
  });

  it('is sifted by kind and by paper, and tells what there is of each, broken boxes and deleted ones left out', async () => {
    const kinds = allStyles.slice(0, 3);
    const stock = ['dusk', 'sodium', 'comet'].map((id) => stockPaper(id));
    const { box } = newProject('inch');
    const given = Array.from({ length: 24 }, (_, i) => {
      const kind = kinds[i % 3] ?? allStyles[0];
      const [first, second] = [stock[i % 2], stock[(i * 5 + 1) % 3]];
      if (!kind || !first || !second) throw new Error('There are three of each');
      const papers: typeof box.papers = i % 4 === 0 ? [first] : [first, second];
      return { name: `Box ${String(i)}`, box: { ...box, style: kind.usual, papers } };
    });
    const store = new ProjectStore(served.now().database);
    for (const { name, box: own } of given)
      await store.create({ ...newProject('inch'), name, box: own });
    const { id } = await store.create({ ...newProject('inch'), name: 'Gone' });
    await store.delete(id);
    const broken = { id: 'broken', revision: 1, name: 'broken', document: '{"version":1,"na' };
    await served
      .now()
      .database('projects')
      .insert({ ...broken, created_at: '0', updated_at: '0' });
    const isOf = (own: (typeof given)[number], paper: string) =>
      own.box.papers.some(({ name }) => name === paper);
    for (const { id: kind } of kinds)
      for (const { name: paper } of stock) {
        const wanted = given.filter((each) => each.box.style.style === kind && isOf(each, paper));
        const words = `kind=${kind}&paper=${encodeURIComponent(paper)}`;
        expect([...(await walk(words))].sort()).toEqual(wanted.map(({ name }) => name).sort());
      }
    expect(await walk('kind=nothing')).toEqual([]);
    const contents = contentsSchema.parse(
      await (await served.now().send('GET', '/contents')).json(),
    );
    expect(new Map(contents.kinds.map(({ value, boxes }) => [value, boxes]))).toEqual(
      new Map(kinds.map((kind) => [kind.id, 8])),
    );
    expect(new Map(contents.papers.map(({ value, boxes }) => [value, boxes]))).toEqual(
      new Map(stock.map(({ name }) => [name, given.filter((each) => isOf(each, name)).length])),
    );
  });

  it('counts what there is anew after each change', async () => {
    const contents = async () =>
      contentsSchema.parse(await (await served.now().send('GET', '/contents')).json());
    const boxesOf = async () =>
      new Map((await contents()).kinds.map(({ value, boxes }) => [value, boxes]));
    const [kind, other] = allStyles;
    if (!kind || !other) throw new Error('There are two kinds of box');
    const document = ({ usual: style }: (typeof allStyles)[number]) => {
      const fresh = newProject('inch');
      return { ...fresh, box: { ...fresh.box, style } };
    };
    expect(await contents()).toEqual({ kinds: [], papers: [] });
    const made = await served.now().send('POST', '', { document: document(kind) });
    const { id } = projectSchema.parse(await made.json());
    expect(await boxesOf()).toEqual(new Map([[kind.id, 1]]));
    await served.now().send('PUT', `/${id}`, { revision: 1, document: document(other) });
    expect(await boxesOf()).toEqual(new Map([[other.id, 1]]));
    await served.now().send('POST', `/${id}/duplicate`);
    expect(await boxesOf()).toEqual(new Map([[other.id, 2]]));
    await served.now().send('DELETE', `/${id}`);
    expect(await boxesOf()).toEqual(new Map([[other.id, 1]]));
    await served.now().send('POST', `/${id}/restore`);
    expect(await boxesOf()).toEqual(new Map([[other.id, 2]]));
    // What was asked while a change was under way is no answer to what is asked after it.
    const change = served.now().send('DELETE', `/${id}`);
    await Promise.all([contents(), change]);
    expect(await boxesOf()).toEqual(new Map([[other.id, 1]]));
  });

  it('of five thousand boxes opens at once, and is no great load', async () => {
    const { box } = newProject('inch');
    const rows = Array.from({ length: 5000 }, (_, i) => ({
      id: `box-${String(i)}`,
      revision: 1,
      name: `box ${String(i)}`,
      document: JSON.stringify({ version: 1, name: `Box ${String(i)}`, box }),
      created_at: String(i),
      updated_at: String(i),
    }));
    await served.now().database.batchInsert('projects', rows, 100);
    await (await served.now().send('GET', '')).text();
    const begun = performance.now();
    const response = await served.now().send('GET', '');
    const text = await response.text();
    expect(performance.now() - begun).toBeLessThan(300);
    expect(gzipSync(text).length).toBeLessThan(200_000);
    expect(shelfSchema.parse(JSON.parse(text))).toMatchObject({ total: 5000 });
  });
});

describe('a row that can’t be read', () => {
  it('is set aside and named, and all the others open', async () => {
    const { id } = await served.now().create('Hand lens');
    const broken = [
      { id: 'broken', document: '{"version":1,"na' },
      { id: 'future', document: JSON.stringify({ version: 9, name: 'From the future' }) },
    ];
    for (const { id: lost, document } of broken)
      await served.now().database('projects').insert({
        id: lost,
        revision: 1,
        document,
        created_at: '',
        updated_at: '',
      });
    const list = z.object({
      projects: z.array(projectSchema),
      unreadable: z.array(z.object({ id: z.string(), name: z.string() })),
    });
    const shelf = list.parse(await (await served.now().send('GET', '')).json());
    expect(shelf.projects.map((each) => each.id)).toEqual([id]);
    expect(shelf.unreadable).toEqual([
      { id: 'broken', name: 'A box without a name' },
      { id: 'future', name: 'From the future' },
    ]);
    const problem = await problemOf(await served.now().send('GET', '/future'));
    expect(problem.status).toBe(422);
    expect(problem.detail).toMatch(/kept as it is/);
  });
});
