import { mkdtempSync, rmSync } from 'node:fs';
import { createServer, type Server } from 'node:http';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { newProject, projectDocumentSchema } from '@rangoli/core';
import { pino } from 'pino';
import { afterEach, beforeEach, expect } from 'vitest';
import { z } from 'zod';
import { createApp } from '../app.ts';
import { isAtHome, isThisMachine, share } from '../access/index.ts';
import { openDatabase, type Database } from '../database/index.ts';
import { Announcer } from '../events/index.ts';

/** A project as it is answered. */
export const projectSchema = z.object({
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

/** The id of a box that is nowhere. */
export const missing = '00000000-0000-4000-8000-000000000000';

/** What a refusal says, after a look at its form. */
export async function problemOf(response: Response) {
  expect(response.headers.get('content-type')).toMatch(/^application\/problem\+json/);
  const problem = problemSchema.parse(await response.json());
  expect(problem.status).toBe(response.status);
  return problem;
}

/** The application on a port and a database of its own, to be closed and opened again. */
class Served {
  readonly #folder = mkdtempSync(join(tmpdir(), 'rangoli-'));
  #database: Database | undefined;
  #server: Server | undefined;
  readonly #isShared: boolean;
  /** What a device must say to come in, where it is shared. */
  passphrase = '';
  /** Where the boxes are. */
  origin = '';
  /** Where their making is. */
  making = '';

  constructor({ isShared }: { readonly isShared: boolean }) {
    this.#isShared = isShared;
  }

  get database(): Database {
    if (!this.#database) throw new Error('It is not open');
    return this.#database;
  }

  /** Where the database is. */
  get file(): string {
    return join(this.#folder, 'boxes.sqlite');
  }

  async open(): Promise<void> {
    const database = await openDatabase(this.file);
    this.#database = database;
    const shared = this.#isShared ? await share(database, { wantsAnother: false }) : undefined;
    this.passphrase = shared?.passphrase ?? this.passphrase;
    const server = createServer(
      createApp({
        database,
        announcer: new Announcer(),
        logger: pino({ level: 'silent' }),
        isOwnName: shared ? isAtHome('attic') : isThisMachine,
        sharing: shared && {
          sessions: shared.sessions,
          passphrase: shared.kept,
          addresses: () => ['http://192.168.1.5:4180'],
        },
        client: join(this.#folder, 'no-client'),
      }),
    );
    this.#server = server;
    await new Promise<void>((resolve) => server.listen(0, '127.0.0.1', resolve));
    const address = server.address();
    if (typeof address !== 'object' || !address) throw new Error('The server has no port');
    this.origin = `http://127.0.0.1:${address.port}/api/projects`;
    this.making = `http://127.0.0.1:${address.port}/api/progress`;
  }

  async close(): Promise<void> {
    this.#server?.closeAllConnections();
    await new Promise((resolve) => this.#server?.close(resolve));
    await this.database.destroy();
  }

  async end(): Promise<void> {
    await this.close();
    rmSync(this.#folder, { recursive: true });
  }

  send(method: string, path: string, body?: unknown, at = this.origin): Promise<Response> {
    return fetch(at + path, {
      method,
      headers: {
        'x-rangoli': 'test',
        ...(body !== undefined && { 'content-type': 'application/json' }),
      },
      ...(body !== undefined && { body: typeof body === 'string' ? body : JSON.stringify(body) }),
    });
  }

  async create(name: string) {
    const response = await this.send('POST', '', { document: { ...newProject('inch'), name } });
    expect(response.status).toBe(201);
    return projectSchema.parse(await response.json());
  }

  async names(): Promise<readonly string[]> {
    const list = z.object({ projects: z.array(z.object({ document: projectDocumentSchema })) });
    return list
      .parse(await (await this.send('GET', '')).json())
      .projects.map(({ document }) => document.name);
  }
}

/** A new application for each test of a file. */
export function eachServed(options = { isShared: false }): { readonly now: () => Served } {
  let served: Served | undefined;
  beforeEach(async () => {
    served = new Served(options);
    await served.open();
  });
  afterEach(() => served?.end());
  return {
    now: () => {
      if (!served) throw new Error('It is there in tests only');
      return served;
    },
  };
}
