import { mkdtempSync, rmSync } from 'node:fs';
import { createServer, type Server } from 'node:http';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import {
  inches,
  newProject,
  noLessons,
  noProgress,
  projectDocumentSchema,
  shippedToolbox,
  stockPaper,
} from '@rangoli/core';
import { pino } from 'pino';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { z } from 'zod';
import { createApp } from './app.ts';
import { openDatabase, type Database } from './database/index.ts';
import { demoProjects, seedDemo } from './demo/index.ts';
import { ProgressStore } from './progress/index.ts';
import { ProjectStore } from './projects/index.ts';
import { keptLessons, keptToolbox } from './kept/index.ts';

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
    toolbox: keptToolbox(database),
    lessons: keptLessons(database),
    logger: pino({ level: 'silent' }),
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
    ...(body !== undefined && {
      headers: { 'content-type': 'application/json' },
      body: typeof body === 'string' ? body : JSON.stringify(body),
    }),
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

describe('the making of a box', () => {
  it('is resumed where it was left, after a restart too', async () => {
    const { id } = await create('Pocket sundial');
    const untouched = await send('GET', `/${id}`, undefined, making);
    expect(await untouched.json()).toEqual({ progress: noProgress() });
    const progress = { ...noProgress(6), done: { 'cut base': 4 }, at: 'cut base' };
    expect((await send('PUT', `/${id}`, { progress }, making)).status).toBe(200);
    const later = {
      ...progress,
      done: { 'cut base': 6 },
      spent: { cut: { usualTimes: 9, copies: 6 } },
    };
    await send('PUT', `/${id}`, { progress: later }, making);
    await close();
    await open();
    const resumed = await send('GET', `/${id}`, undefined, making);
    expect(await resumed.json()).toEqual({ progress: later });
  });

  it('is refused in words where it is none', async () => {
    const { id } = await create('Hand lens');
    const none = { ...noProgress(), boxes: 0 };
    const problem = await problemOf(await send('PUT', `/${id}`, { progress: none }, making));
    expect(problem.errors?.[0]).toEqual({
      field: 'progress.boxes',
      message: 'Make one box at least.',
    });
    for (const answer of [
      await send('GET', `/${missing}`, undefined, making),
      await send('PUT', `/${missing}`, { progress: noProgress(2) }, making),
    ])
      expect((await problemOf(answer)).status).toBe(404);
  });
});

describe('the maker’s tools', () => {
  const tools = () => making.replace('progress', 'toolbox');

  it('are the shipped ones until they are changed, and then stay so', async () => {
    const shipped = await send('GET', '', undefined, tools());
    expect(await shipped.json()).toEqual({ toolbox: shippedToolbox });
    const toolbox = {
      ...shippedToolbox,
      boards: shippedToolbox.boards.map(({ tool }) => ({ owned: true, tool })),
    };
    expect((await send('PUT', '', { toolbox }, tools())).status).toBe(200);
    await close();
    await open();
    expect(await (await send('GET', '', undefined, tools())).json()).toEqual({ toolbox });
  });

  it('are refused by the field where a number is none', async () => {
    const [first] = shippedToolbox.boards;
    const board = { owned: true, tool: { ...first?.tool, pitch: 0 } };
    const toolbox = { ...shippedToolbox, boards: [board] };
    const problem = await problemOf(await send('PUT', '', { toolbox }, tools()));
    expect(problem.errors?.[0]?.field).toBe('toolbox.boards.0.tool.pitch');
    expect(problem.errors?.[0]?.message).toMatch(/at least 0.25 mm/);
  });
});

describe('what trial boxes have taught', () => {
  it('is nothing at first, and then stays', async () => {
    const address = making.replace('progress', 'lessons');
    expect(await (await send('GET', '', undefined, address)).json()).toEqual({
      lessons: noLessons,
    });
    const { id, thickness, gaps } = stockPaper('comet');
    const lessons = { version: 1, papers: [{ id, thickness, gaps }] };
    expect((await send('PUT', '', { lessons }, address)).status).toBe(200);
    expect(await (await send('GET', '', undefined, address)).json()).toEqual({ lessons });
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
