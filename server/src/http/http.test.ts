import { request as requestHttp } from 'node:http';
import { newProject } from '@rangoli/core';
import { describe, expect, it } from 'vitest';
import { z } from 'zod';
import { eachServed, problemOf } from '../testing/served.ts';

const served = eachServed();

describe('a page of somebody else', () => {
  /** Asks as no browser lets a page ask: with these headers and no others. */
  function ask(
    method: string,
    path: string,
    headers: Readonly<Record<string, string>>,
  ): Promise<number> {
    const { hostname, port } = new URL(served.now().origin);
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
    const { id } = await served.now().create('Hand lens');
    const { host } = new URL(served.now().origin);
    const own = { host, 'x-rangoli': 'web' };
    const box = `/api/projects/${id}`;
    expect(await ask('GET', box, { host })).toBe(200);
    expect(await ask('GET', box, { host: `localhost:${new URL(served.now().origin).port}` })).toBe(
      200,
    );
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

describe('the line of changes', () => {
  it('is open until it is left, and a question for its head alone is answered at once', async () => {
    const line = new URL('/api/events', served.now().origin);
    const head = await fetch(line, { method: 'HEAD', signal: AbortSignal.timeout(2000) });
    expect(head.headers.get('content-type')).toMatch(/event-stream/);
    const leaves = new AbortController();
    const open = await fetch(line, { signal: leaves.signal });
    const reader = open.body?.getReader();
    await reader?.read();
    const { id } = await served.now().create('Hand lens');
    const heard = await reader?.read();
    expect(Buffer.from(z.instanceof(Uint8Array).parse(heard?.value)).toString()).toContain(id);
    leaves.abort();
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
      const response = await served.now().send('POST', '', { document });
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
      const problem = await problemOf(await served.now().send('POST', '', crowd(count)));
      expect(problem.status).toBe(422);
      expect(problem.errors?.length ?? 0).toBeLessThanOrEqual(20);
      expect(performance.now() - begun).toBeLessThan(2000);
    }
    const deep = await problemOf(
      await served.now().send('POST', '', '['.repeat(100_000) + ']'.repeat(100_000)),
    );
    expect([deep.status, deep.detail]).toEqual([422, expect.stringMatching(/nested/)]);
  });
});
