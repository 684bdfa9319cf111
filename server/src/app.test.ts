import { mkdtempSync, rmSync } from 'node:fs';
import { createServer, request as requestHttp, type Server } from 'node:http';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { gzipSync } from 'node:zlib';
import {
  inches,
  newProject,
  noFacts,
  noProgress,
  progressFactsSchema,
  progressOf,
  projectDocumentSchema,
  shippedToolbox,
  stockPaper,
  tell,
  toolboxOf,
  toolItemSchema,
  type ProgressFacts,
} from '@rangoli/core';
import { pino } from 'pino';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { z } from 'zod';
import { createApp } from './app.ts';
import { migrations } from './database/migrations.ts';
import { openDatabase, type Database } from './database/index.ts';
import { demoProjects, seedDemo } from './demo/index.ts';
import { ProgressStore } from './progress/index.ts';
import { ProjectStore } from './projects/index.ts';
import { Announcer } from './events/index.ts';
import { lessonItems, toolItems } from './items/index.ts';

const projectSchema = z.object({
  id: z.string(),
  revision: z.int(),
  updatedAt: z.string(),
  document: z.unknown(),
});
const problemSchema = z.object({
  type: z.string(),
  title: z.string(),
  status: z.int(),
  detail: z.string(),
  errors: z.array(z.object({ field: z.string(), message: z.string() })).optional(),
  current: z.unknown().optional(),
});
const missing = '00000000-0000-4000-8000-000000000000';

let folder: string;
let database: Database;
let server: Server;
let origin: string;
let making: string;

async function open(): Promise<void> {
  database = await openDatabase(join(folder, 'boxes.sqlite'));
  const app = createApp({
    store: new ProjectStore(database),
    progress: new ProgressStore(database),
    tools: toolItems(database),
    lessons: lessonItems(database),
    announcer: new Announcer(),
    logger: pino({ level: 'silent' }),
    hosts: new Set(['127.0.0.1', 'localhost']),
    client: join(folder, 'no-client'),
  });
  server = createServer(app);
  await new Promise<void>((resolve) => server.listen(0, '127.0.0.1', resolve));
  const address = server.address();
  if (typeof address !== 'object' || !address) throw new Error('The server has no port');
  origin = `http://127.0.0.1:${address.port}/api/projects`;
  making = `http://127.0.0.1:${address.port}/api/progress`;
}

async function close(): Promise<void> {
  server.closeAllConnections();
  await new Promise((resolve) => server.close(resolve));
  await database.destroy();
}

beforeEach(async () => {
  folder = mkdtempSync(join(tmpdir(), 'rangoli-'));
  await open();
});

afterEach(async () => {
  await close();
  rmSync(folder, { recursive: true });
});

function send(method: string, path: string, body?: unknown, at = origin): Promise<Response> {
  return fetch(at + path, {
    method,
    headers: {
      'x-rangoli': 'test',
      ...(body !== undefined && { 'content-type': 'application/json' }),
    },
    ...(body !== undefined && { body: typeof body === 'string' ? body : JSON.stringify(body) }),
  });
}

async function create(name: string) {
  const response = await send('POST', '', { document: { ...newProject('inch'), name } });
  expect(response.status).toBe(201);
  return projectSchema.parse(await response.json());
}

async function names(): Promise<readonly string[]> {
  const list = z.object({ projects: z.array(z.object({ document: projectDocumentSchema })) });
  return list
    .parse(await (await send('GET', '')).json())
    .projects.map(({ document }) => document.name);
}

async function problemOf(response: Response) {
  expect(response.headers.get('content-type')).toMatch(/^application\/problem\+json/);
  const problem = problemSchema.parse(await response.json());
  expect(problem.status).toBe(response.status);
  return problem;
}

describe('boxes on the server', () => {
  it('keeps a box through a restart, to the nanometre', async () => {
    const made = await create('Meteorite jar');
    const document = newProject('mm');
    const response = await send('PUT', `/${made.id}`, { revision: 1, document });
    expect(projectSchema.parse(await response.json())).toMatchObject({ revision: 2, document });
    await close();
    await open();
    const read = projectSchema.parse(await (await send('GET', `/${made.id}`)).json());
    expect(read).toMatchObject({ id: made.id, revision: 2, document });
    expect(await database.raw('PRAGMA journal_mode')).toEqual([{ journal_mode: 'wal' }]);
  });

  it('answers a change to an old revision with what stands, and overwrites nothing', async () => {
    const { id } = await create('Hand lens');
    const mine = { ...newProject('inch'), name: 'Mine' };
    const theirs = { ...newProject('inch'), name: 'Theirs' };
    await send('PUT', `/${id}`, { revision: 1, document: theirs });
    const problem = await problemOf(await send('PUT', `/${id}`, { revision: 1, document: mine }));
    expect(problem).toMatchObject({ status: 409, errors: [{ field: 'revision' }] });
    expect(projectSchema.parse(problem.current)).toMatchObject({ revision: 2, document: theirs });
    expect(await names()).toEqual(['Theirs']);
    // Nor does a revision from the future pass.
    const early = await send('PUT', `/${id}`, { revision: 9, document: mine });
    expect((await problemOf(early)).status).toBe(409);
  });

  it('lets only one of many changes at the same moment through', async () => {
    const { id } = await create('Night tea');
    const document = newProject('inch');
    const answers = await Promise.all(
      Array.from({ length: 8 }, () => send('PUT', `/${id}`, { revision: 1, document })),
    );
    expect(answers.map(({ status }) => status).sort()).toEqual([
      200, 409, 409, 409, 409, 409, 409, 409,
    ]);
  });

  it('duplicates, deletes and takes the delete back', async () => {
    const { id } = await create('Star chart');
    const copy = projectSchema.parse(await (await send('POST', `/${id}/duplicate`)).json());
    expect([...(await names())].sort()).toEqual(['Star chart', 'Star chart, copy']);
    expect((await send('DELETE', `/${id}`)).status).toBe(204);
    expect(await names()).toEqual(['Star chart, copy']);
    expect((await send('DELETE', `/${id}`)).status).toBe(404);
    expect((await send('POST', `/${id}/restore`)).status).toBe(200);
    expect(await names()).toHaveLength(2);
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
    const problem = await problemOf(await send(method, path, body));
    expect(problem.status).toBe(status);
    expect(problem.detail).toMatch(/\.$/);
    if (field !== undefined) expect(problem.errors?.[0]?.field).toBe(field);
    expect(await names()).toEqual([]);
  });
});

describe('a page of somebody else', () => {
  /** Asks as no browser lets a page ask: with these headers and no others. */
  function ask(
    method: string,
    path: string,
    headers: Readonly<Record<string, string>>,
  ): Promise<number> {
    const { hostname, port } = new URL(origin);
    return new Promise((answered, failed) => {
      const question = requestHttp(
        { hostname, port, method, path, headers, setHost: false },
        (response) => {
          response.resume();
          answered(response.statusCode ?? 0);
        },
      );
      question.on('error', failed);
      question.end();
    });
  }

  it('gets nothing, whatever name leads it here and whatever it sends', async () => {
    const { id } = await create('Hand lens');
    const { host } = new URL(origin);
    const own = { host, 'x-rangoli': 'web' };
    const box = `/api/projects/${id}`;
    expect(await ask('GET', box, { host })).toBe(200);
    expect(await ask('GET', box, { host: `localhost:${new URL(origin).port}` })).toBe(200);
    // A name of somebody else's that was made to lead to this machine.
    expect(await ask('GET', box, { host: 'elsewhere.example' })).toBe(421);
    expect(await ask('GET', '/', { host: 'elsewhere.example' })).toBe(421);
    expect(await ask('GET', box, {})).toBe(400);
    const strangers = [
      { ...own, origin: 'http://elsewhere.example' },
      { ...own, origin: 'null' },
      { ...own, 'sec-fetch-site': 'cross-site' },
      { host },
      { host, origin: `http://${host}` },
    ];
    for (const headers of strangers) expect(await ask('DELETE', box, headers)).toBe(403);
    expect(await ask('DELETE', box, { ...own, origin: `http://${host}` })).toBe(204);
  });
});

describe('a body that is no box', () => {
  it('is refused by its fields and never breaks the server, whatever numbers are in it', async () => {
    const { box } = newProject('inch');
    const beyond = [2 ** 53, 1e300, -(2 ** 53), 5e15, 0.5, -1];
    const spoilt = beyond.flatMap((length) => [
      { ...box, gift: { shape: 'block', across: length, deep: length, high: length } },
      { ...box, made: [{ piece: 'base', way: 'across', cut: length, marks: [] }] },
      {
        ...box,
        made: [{ piece: 'base', way: 'across', cut: 1000, marks: [{ mark: 1, at: length }] }],
      },
      { ...box, kit: { ...box.kit, board: { ...box.kit.board, pitch: length } } },
    ]);
    for (const each of spoilt) {
      const document = { version: 1, name: 'Too much', box: each };
      const response = await send('POST', '', { document });
      expect([201, 422]).toContain(response.status);
      if (response.status === 422) {
        const { errors = [] } = await problemOf(response);
        expect(errors.length).toBeGreaterThan(0);
      }
    }
  });

  it('is told in twenty sentences at the most, in no time, however much is wrong', async () => {
    const { box } = newProject('inch');
    const crowd = (count: number) => ({
      document: { version: 1, name: 'Many', box: { ...box, papers: Array(count).fill({}) } },
    });
    for (const count of [500, 60_000]) {
      const begun = performance.now();
      const problem = await problemOf(await send('POST', '', crowd(count)));
      expect(problem.status).toBe(422);
      expect(problem.errors?.length ?? 0).toBeLessThanOrEqual(20);
      expect(performance.now() - begun).toBeLessThan(2000);
    }
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
      const response = await send('GET', `?limit=7&${words}${after}`);
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
    const store = new ProjectStore(database, () => new Date(1000 * (clock += 1)));
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
      expect((await problemOf(await send('GET', `?${words}`))).status).toBe(422);
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
    await database.batchInsert('projects', rows, 100);
    await (await send('GET', '')).text();
    const begun = performance.now();
    const response = await send('GET', '');
    const text = await response.text();
    expect(performance.now() - begun).toBeLessThan(300);
    expect(gzipSync(text).length).toBeLessThan(200_000);
    expect(shelfSchema.parse(JSON.parse(text))).toMatchObject({ total: 5000 });
  });
});

describe('a row that can’t be read', () => {
  it('is set aside and named, and all the others open', async () => {
    const { id } = await create('Hand lens');
    const broken = [
      { id: 'broken', document: '{"version":1,"na' },
      { id: 'future', document: JSON.stringify({ version: 9, name: 'From the future' }) },
    ];
    for (const { id: lost, document } of broken)
      await database('projects').insert({
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
    const shelf = list.parse(await (await send('GET', '')).json());
    expect(shelf.projects.map((each) => each.id)).toEqual([id]);
    expect(shelf.unreadable).toEqual([
      { id: 'broken', name: 'A box without a name' },
      { id: 'future', name: 'From the future' },
    ]);
    const problem = await problemOf(await send('GET', '/future'));
    expect(problem.status).toBe(422);
    expect(problem.detail).toMatch(/kept as it is/);
  });
});

describe('the making of a box', () => {
  const answer = z.object({ facts: progressFactsSchema });

  async function factsNow(id: string): Promise<ProgressFacts> {
    return answer.parse(await (await send('GET', `/${id}`, undefined, making)).json()).facts;
  }

  it('holds what every device has told, whatever came first, after a restart too', async () => {
    const { id } = await create('Pocket sundial');
    expect(progressOf(await factsNow(id))).toEqual(noProgress());
    const progress = { ...noProgress(6), done: { 'cut base': 4 }, at: 'cut base' };
    const tablet = tell(noFacts(), progress, { time: 2, by: 'tablet' });
    const computer = tell(
      noFacts(),
      { ...noProgress(), done: { 'cut lid': 2 } },
      { time: 1, by: 'computer' },
    );
    for (const facts of [tablet, computer, tablet])
      expect((await send('POST', `/${id}`, { facts }, making)).status).toBe(200);
    await close();
    await open();
    expect(progressOf(await factsNow(id))).toEqual({
      ...progress,
      done: { 'cut base': 4, 'cut lid': 2 },
    });
  });

  it('loses no tick of many that come at the same moment', async () => {
    const { id } = await create('Moon-phase top');
    const told = Array.from({ length: 12 }, (_, i) =>
      tell(
        noFacts(),
        { ...noProgress(), done: { [`step ${String(i)}`]: 1 } },
        { time: i, by: `device ${String(i)}` },
      ),
    );
    await Promise.all(told.map((facts) => send('POST', `/${id}`, { facts }, making)));
    expect(Object.keys(progressOf(await factsNow(id)).done)).toHaveLength(12);
  });

  it('goes on from a count that was stored before', async () => {
    const { id } = await create('Night tea tin');
    await database('progress').insert({
      project: id,
      document: JSON.stringify({ ...noProgress(6), done: { 'cut base': 4 } }),
      updated_at: '',
    });
    expect(progressOf(await factsNow(id))).toEqual({ ...noProgress(6), done: { 'cut base': 4 } });
  });

  it('is refused in words where it is none', async () => {
    const { id } = await create('Hand lens');
    const none = { ...noFacts(), boxes: { value: 0, at: { time: 1, by: 'tablet' } } };
    const problem = await problemOf(await send('POST', `/${id}`, { facts: none }, making));
    expect(problem.errors?.[0]).toEqual({
      field: 'facts.boxes.value',
      message: 'Make one box at least.',
    });
    for (const refused of [
      await send('GET', `/${missing}`, undefined, making),
      await send('POST', `/${missing}`, { facts: noFacts() }, making),
    ])
      expect((await problemOf(refused)).status).toBe(404);
  });
});

describe('the maker’s tools', () => {
  const tools = () => making.replace('progress', 'tools');
  const listSchema = z.object({
    items: z.array(z.object({ id: z.string(), revision: z.int(), value: toolItemSchema })),
    unreadable: z.array(z.string()),
  });
  const list = async () =>
    listSchema.parse(await (await send('GET', '', undefined, tools())).json());
  const board = shippedToolbox.boards[0]?.tool;
  const owned = { kind: 'boards', owned: true, tool: board, added: 0 };

  it('are changed one by one, and nobody writes over a change that they have not seen', async () => {
    expect(await list()).toEqual({ items: [], unreadable: [] });
    const path = `/${board?.id ?? ''}`;
    expect((await send('PUT', path, { revision: 0, value: owned }, tools())).status).toBe(200);
    const stale = await send('PUT', path, { revision: 0, value: { kind: 'gone' } }, tools());
    expect(await problemOf(stale)).toMatchObject({
      status: 409,
      current: { id: board?.id, revision: 1, value: owned },
    });
    await close();
    await open();
    expect((await list()).items).toEqual([{ id: board?.id, revision: 1, value: owned }]);
    const next = { ...owned, owned: false };
    expect((await send('PUT', path, { revision: 1, value: next }, tools())).status).toBe(200);
    expect((await list()).items).toMatchObject([{ revision: 2, value: next }]);
  });

  it('take only one of many changes of one tool at the same moment, and all of many tools', async () => {
    const put = (id: string) =>
      send('PUT', `/${id}`, { revision: 0, value: { kind: 'gone' } }, tools());
    const same = await Promise.all(Array.from({ length: 8 }, () => put('one')));
    expect(same.map(({ status }) => status).sort()).toEqual([200, ...Array<number>(7).fill(409)]);
    await Promise.all(Array.from({ length: 8 }, (_, i) => put(`tool ${String(i)}`)));
    expect((await list()).items).toHaveLength(9);
  });

  it('are refused by the field where a number is none', async () => {
    const value = { ...owned, tool: { ...board, pitch: 0 } };
    const problem = await problemOf(await send('PUT', '/x', { revision: 0, value }, tools()));
    expect(problem.errors?.[0]?.field).toBe('value.tool.pitch');
    expect(problem.errors?.[0]?.message).toMatch(/at least 0.25 mm/);
  });

  it('are all told but for one that can’t be read, which is named', async () => {
    await send('PUT', `/x`, { revision: 0, value: owned }, tools());
    await database('items').insert({
      collection: 'tools',
      id: 'from the future',
      revision: 4,
      value: '{"kind":"laser"',
      created_at: '',
      updated_at: '',
    });
    expect(await list()).toMatchObject({ items: [{ id: 'x' }], unreadable: ['from the future'] });
  });
});

describe('what trial boxes have taught', () => {
  it('is nothing at first, and then stays', async () => {
    const address = making.replace('progress', 'lessons');
    const nothing = { items: [], unreadable: [] };
    expect(await (await send('GET', '', undefined, address)).json()).toEqual(nothing);
    const { id, thickness, gaps } = stockPaper('comet');
    const value = { id, thickness, gaps };
    expect((await send('PUT', `/${id}`, { revision: 0, value }, address)).status).toBe(200);
    expect(await (await send('GET', '', undefined, address)).json()).toEqual({
      items: [{ id, revision: 1, value }],
      unreadable: [],
    });
  });
});

describe('a database of before tools had rows', () => {
  it('gives each of them its own, and loses none', async () => {
    // Back behind the names of boxes and the rows of tools.
    await database.migrate.down({ migrationSource: migrations });
    await database.migrate.down({ migrationSource: migrations });
    const [first] = shippedToolbox.boards;
    const own = { owned: true, tool: { ...first?.tool, id: 'own', name: 'Own board' } };
    const toolbox = {
      ...shippedToolbox,
      boards: [...shippedToolbox.boards.slice(1), own],
      without: ['trimmers'],
    };
    const { id, thickness, gaps } = stockPaper('comet');
    await database('meta').insert([
      { key: 'toolbox', value: JSON.stringify(toolbox) },
      {
        key: 'lessons',
        value: JSON.stringify({ version: 1, papers: [{ id, thickness, gaps }] }),
      },
    ]);
    await close();
    await open();
    const { items } = await toolItems(database).list();
    const kept = toolboxOf(new Map(items.map((item) => [item.id, item.value])));
    expect(kept).toEqual(toolbox);
    expect((await lessonItems(database).list()).items).toMatchObject([{ id, value: { gaps } }]);
  });
});

describe('the demo shelf', () => {
  it('fills a new database once', async () => {
    await seedDemo(database);
    expect([...(await names())].reverse()).toEqual(demoProjects().map(({ name }) => name));
    for (const document of demoProjects())
      expect(projectDocumentSchema.parse(JSON.parse(JSON.stringify(document)))).toEqual(document);
    await seedDemo(database);
    expect(await names()).toHaveLength(demoProjects().length);
  });

  it('never touches somebody’s own boxes', async () => {
    const { id } = await create('My own');
    await expect(seedDemo(database)).rejects.toThrow(/own boxes/);
    // A deleted box can still be brought back, so it counts as well.
    await send('DELETE', `/${id}`);
    await expect(seedDemo(database)).rejects.toThrow(/own boxes/);
    expect(await names()).toEqual([]);
  });
});
