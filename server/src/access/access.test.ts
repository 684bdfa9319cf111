import { readFileSync } from 'node:fs';
import { request as requestHttp } from 'node:http';
import { newProject, noFacts } from '@rangoli/core';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { eachServed, missing, problemOf } from '../testing/served.ts';
import { homeAddresses, isAtHome, isThisMachine } from './own-names.ts';
import { hashPassphrase, isPassphrase, newPassphrase } from './passphrase.ts';
import { mostTries } from './routes.ts';
import { sessionDays, Sessions } from './sessions.ts';
import { passphraseWords } from './words.ts';

describe('a passphrase', () => {
  it('is made of words that are all different, and never the same twice', () => {
    expect(new Set(passphraseWords).size).toBe(256);
    const made = Array.from({ length: 200 }, newPassphrase);
    expect(new Set(made).size).toBe(200);
    for (const each of made) expect(each).toMatch(/^[a-z]+( [a-z]+){4}$/);
  });

  it('is known however a tablet writes it, and no other one is', async () => {
    const kept = await hashPassphrase('gravel birch basket winter cradle');
    for (const written of [
      'Gravel Birch  basket-winter cradle. ',
      'GRAVEL birch\tbasket winter cradle',
    ])
      expect(await isPassphrase(written, kept)).toBe(true);
    await fc.assert(
      fc.asyncProperty(
        fc.oneof(
          fc.constantFrom('', 'gravel birch basket winter', 'gravelbirch basket winter cradle'),
          fc
            .shuffledSubarray(['gravel', 'birch', 'basket', 'winter', 'cradle'], { minLength: 4 })
            .filter((words) => words.join() !== 'gravel,birch,basket,winter,cradle')
            .map((words) => words.join(' ')),
          fc.string({ unit: 'grapheme' }),
        ),
        async (said) => {
          expect(await isPassphrase(said, kept)).toBe(false);
        },
      ),
      { numRuns: 15 },
    );
    expect(await isPassphrase('', 'broken')).toBe(false);
    expect(kept).not.toContain('gravel');
  });
});

describe('the names of a server', () => {
  it('are no names that somebody else could make lead here', () => {
    const atHome = isAtHome('Attic.local'.toLowerCase());
    for (const name of ['localhost', '127.0.0.1', '192.168.1.5', 'attic', 'attic.local'])
      expect([name, atHome(name)]).toEqual([name, true]);
    fc.assert(
      fc.property(fc.domain(), (name) => {
        expect(atHome(name)).toBe(false);
        expect(isThisMachine(name)).toBe(false);
      }),
    );
    expect(isThisMachine('192.168.1.5')).toBe(false);
  });

  it('are told with the one first that a tablet will reach', () => {
    const ipv4 = (address: string, internal = false) => ({
      address,
      internal,
      family: 'IPv4' as const,
      netmask: '',
      mac: '',
      cidr: null,
    });
    expect(
      homeAddresses({
        lo: [ipv4('127.0.0.1', true)],
        bridge: [ipv4('172.17.0.1'), ipv4('169.254.3.3')],
        wlan: [ipv4('192.168.1.5')],
        wire: [ipv4('10.0.0.7')],
      }),
    ).toEqual(['192.168.1.5', '10.0.0.7', '172.17.0.1']);
  });
});

describe('a server that is shared with the home network', () => {
  const served = eachServed({ isShared: true });

  /** Asks as another device does: through something that passes it on. */
  function ask(
    method: string,
    path: string,
    { cookie, body }: { readonly cookie?: string; readonly body?: unknown } = {},
  ): Promise<Response> {
    return fetch(new URL(`/api/${path}`, served.now().origin), {
      method,
      headers: {
        'x-rangoli': 'test',
        'x-forwarded-for': '192.168.1.77',
        ...(cookie !== undefined && { cookie }),
        ...(body !== undefined && { 'content-type': 'application/json' }),
      },
      ...(body !== undefined && { body: JSON.stringify(body) }),
    });
  }

  const say = (passphrase: string) => ask('POST', 'session', { body: { passphrase } });

  /** The cookie of a device that has said the passphrase. */
  async function signIn(): Promise<string> {
    const response = await say(served.now().passphrase);
    expect(response.status).toBe(204);
    const [cookie = ''] = response.headers.getSetCookie();
    expect(cookie).toMatch(/HttpOnly/);
    expect(cookie).toMatch(/SameSite=Strict/);
    return cookie.replace(/;.*/, '');
  }

  const document = newProject('inch');
  const routes: readonly (readonly [string, string, unknown?])[] = [
    ['GET', 'projects'],
    ['POST', 'projects', { document }],
    ['GET', `projects/${missing}`],
    ['PUT', `projects/${missing}`, { revision: 1, document }],
    ['DELETE', `projects/${missing}`],
    ['POST', `projects/${missing}/duplicate`],
    ['POST', `projects/${missing}/restore`],
    ['GET', `progress/${missing}`],
    ['POST', `progress/${missing}`, { facts: noFacts() }],
    ['GET', 'tools'],
    ['PUT', 'tools/x', { revision: 0, value: {} }],
    ['GET', 'papers'],
    ['PUT', 'papers/x', { revision: 0, value: {} }],
    ['GET', 'lessons'],
    ['PUT', 'lessons/x', { revision: 0, value: {} }],
    ['GET', 'events'],
    ['DELETE', 'session/all'],
    ['GET', 'whatever'],
  ];

  it('answers nothing to a device that has not said the passphrase, by whatever way it asks', async () => {
    const strangers = [{}, { cookie: 'rangoli-session=' }, { cookie: 'rangoli-session=made-up' }];
    for (const stranger of strangers)
      for (const [method, path, body] of routes)
        for (const written of [path, path.toUpperCase(), `${path}/`]) {
          const answer = await ask(method, written, {
            ...stranger,
            ...(body !== undefined && { body }),
          });
          expect([written, answer.status]).toEqual([written, 401]);
          await answer.body?.cancel();
        }
    expect(await (await ask('GET', 'session')).json()).toEqual({
      isShared: true,
      isHere: false,
      isSignedIn: false,
    });
    // Who sits at the machine is in.
    expect((await served.now().send('GET', '')).status).toBe(200);
  });

  it('lets a device in for as long as it is signed in, and keeps nothing that would let in another', async () => {
    const cookie = await signIn();
    expect((await ask('GET', 'projects', { cookie })).status).toBe(200);
    await served.now().close();
    await served.now().open();
    expect((await ask('GET', 'projects', { cookie })).status).toBe(200);
    const { file } = served.now();
    await served.now().database.raw('PRAGMA wal_checkpoint(TRUNCATE)');
    const bytes = readFileSync(file, 'latin1');
    expect(bytes).not.toContain(cookie.split('=')[1]);
    expect(bytes).not.toContain(served.now().passphrase);
    expect((await ask('DELETE', 'session', { cookie })).status).toBe(204);
    expect((await ask('GET', 'projects', { cookie })).status).toBe(401);
  });

  it('signs everybody out at once, and cuts the lines of those who listen', async () => {
    const cookies = [await signIn(), await signIn()];
    const told = await (await ask('GET', 'session', { cookie: cookies[0] ?? '' })).text();
    expect(told).toContain('"isSignedIn":true,"devices":2,"addresses":["http://192.168.1.5:4180"]');
    expect(told).toContain('"qr":"<svg');
    const line = await ask('GET', 'events', { cookie: cookies[1] ?? '' });
    expect(line.status).toBe(200);
    expect((await ask('DELETE', 'session/all', { cookie: cookies[0] ?? '' })).status).toBe(204);
    expect(await line.text()).not.toContain('data:');
    for (const cookie of cookies)
      expect((await ask('GET', 'projects', { cookie })).status).toBe(401);
  });

  it('forgets a device that was not seen for long', async () => {
    const day = 24 * 3600 * 1000;
    let now = 0;
    const sessions = new Sessions(served.now().database, () => now);
    const token = await sessions.begin();
    for (now of [0.01, 40, 90, 90 + sessionDays - 1].map((days) => days * day))
      expect(await sessions.knows(token)).toBe(true);
    now += (sessionDays + 1) * day;
    expect(await sessions.knows(token)).toBe(false);
    expect(await sessions.count()).toBe(0);
  });

  it('listens to ten wrong passphrases, and then to none for a while', async () => {
    for (let tried = 0; tried < mostTries.byOne; tried++) {
      const refused = await problemOf(await say('winter birch'));
      expect([tried, refused.status]).toEqual([tried, 403]);
    }
    const { status, detail } = await problemOf(await say(served.now().passphrase));
    expect(status).toBe(429);
    expect(detail).toMatch(/quarter of an hour/);
  });

  it('is asked for by names of its own only, from pages of its own only', async () => {
    const { port } = new URL(served.now().origin);
    const from = (headers: Readonly<Record<string, string>>) =>
      new Promise<number>((answered, failed) => {
        requestHttp(
          {
            port,
            method: 'POST',
            path: '/API/session',
            headers: { 'x-rangoli': 'test', ...headers },
            setHost: false,
          },
          (response) => {
            response.resume();
            answered(response.statusCode ?? 0);
          },
        )
          .on('error', failed)
          .end();
      });
    const host = `192.168.1.5:${port}`;
    expect(await from({ host: `elsewhere.example:${port}` })).toBe(421);
    expect(await from({ host, origin: 'http://elsewhere.example' })).toBe(403);
    expect(await from({ host, origin: `http://${host}` })).toBe(415);
  });
});
