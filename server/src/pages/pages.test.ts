import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { createServer, type Server } from 'node:http';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { setTimeout } from 'node:timers/promises';
import express from 'express';
import { newProject } from '@rangoli/core';
import { pino } from 'pino';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { share } from '../access/index.ts';
import { ProjectStore } from '../projects/index.ts';
import { eachServed } from '../testing/served.ts';
import { FirstSights, pageRoutes } from './index.ts';

const served = eachServed();
/** A page that comes as it is. */
const bare = '<body><div id="app"></div></body>';
let folder = '';
let close = () => Promise.resolve();

beforeEach(() => {
  folder = mkdtempSync(join(tmpdir(), 'rangoli-pages-'));
  writeFileSync(join(folder, 'index.html'), bare);
});
afterEach(async () => {
  await close();
  rmSync(folder, { recursive: true });
});

/** A script that draws every box in this way, as the one that the build makes. */
function drawing(draw: string): string {
  const script = join(folder, 'draw.mjs');
  writeFileSync(
    script,
    `export function ready() {}
     let drawn = 0;
     export async function renderBoxSight({ id, document }) { drawn++; ${draw} }
     export function renderCardSight({ document }) {
       if (document.name === 'Undrawable') throw new Error('It has failed');
       return document.name + ' drawn ' + String(drawn++) + ';';
     }
     export function renderShelfSight({ boxes, total, contents }) {
       return '<ul>' + total + ' of ' + contents.kinds.length + ': ' +
         boxes.map(({ document, html }) => html ?? document.name + ' bare;').join(' ') + '</ul>';
     }`,
  );
  return script;
}

/** The pages on a port of their own, with what is seen first drawn by this script. */
async function opened(script: string, { quiet = 20 } = {}) {
  const { database } = served.now();
  const firstSights = new FirstSights({ script, logger: pino({ level: 'silent' }), quiet });
  const projects = new ProjectStore(database);
  const { sessions } = await share(database, { wantsAnother: false });
  const app = express().use(
    pageRoutes({ client: folder, projects, firstSights, sharing: { sessions } }),
  );
  const server: Server = createServer(app);
  await new Promise<void>((resolve) => server.listen(0, '127.0.0.1', resolve));
  const address = server.address();
  if (typeof address !== 'object' || !address) throw new Error('The server has no port');
  close = async () => {
    server.closeAllConnections();
    await new Promise((resolve) => server.close(resolve));
    await firstSights.close();
  };
  const page = async (path: string, headers: Record<string, string> = {}) => {
    const answer = await fetch(`http://127.0.0.1:${address.port}${path}`, { headers });
    expect(answer.status).toBe(200);
    return answer.text();
  };
  const box = await projects.create({ ...newProject('inch'), name: 'Sundial' });
  return { page, projects, box, database };
}

/** Asks until it is so, for as long as a script takes to come. */
async function until(isSo: () => Promise<boolean>): Promise<void> {
  for (let tries = 0; tries < 100; tries++) if (await isSo()) return;
  throw new Error('It has not become so');
}

describe('the page of a box', () => {
  it('shows the box before its scripts have come, and as it is now', async () => {
    const { page, projects, box } = await opened(
      drawing('return `<p>${document.name} $& ${drawn}</p>`;'),
    );
    const seen = () => page(`/box/${box.id}`);
    await until(async () => (await seen()).includes('Sundial'));
    const first = '<p>Sundial $& 1</p><div id="app"></div></body>';
    expect(await seen()).toContain(first);
    // What is drawn once is drawn for all, until the box is changed.
    expect(await seen()).toContain(first);
    await projects.update(box.id, box.revision, { ...box.document, name: 'Dial' });
    expect(await seen()).toContain('<p>Dial $& 2</p><div');
  });

  it('shows it to nobody else, and no other page, nor what is not there', async () => {
    const { page, box } = await opened(drawing('return document.name;'));
    await until(async () => (await page(`/box/${box.id}`)).includes('Sundial'));
    const others = [`/box/${box.id}/make`, '/box/nothing', '/kit'];
    for (const path of others) expect(await page(path), path).not.toContain('Sundial');
    // A device that is not signed in.
    expect(await page(`/box/${box.id}`, { via: '1.1 porch' })).not.toContain('Sundial');
  });

  it('comes as it is where the box takes too long to draw, and shows it when it is drawn', async () => {
    const { page, box } = await opened(
      drawing('await new Promise((done) => setTimeout(done, 900)); return document.name;'),
    );
    const before = performance.now();
    expect(await page(`/box/${box.id}`)).not.toContain('Sundial');
    expect(performance.now() - before).toBeLessThan(800);
    await until(async () => (await page(`/box/${box.id}`)).includes('Sundial'));
  });

  it('comes as it is where nothing is drawn, it can’t be drawn, or there is no script', async () => {
    for (const script of [
      drawing('return undefined;'),
      drawing('throw new Error("It has failed");'),
      drawing('process.exit(1);'),
      join(folder, 'nowhere.mjs'),
    ]) {
      const { page, box } = await opened(script);
      for (let tries = 0; tries < 3; tries++) expect(await page(`/box/${box.id}`)).toBe(bare);
      await close();
    }
    close = () => Promise.resolve();
  });
});

describe('the page of the shelf', () => {
  it('names the boxes at once, and shows each drawn when nobody has asked for a while', async () => {
    const { page, projects, box } = await opened(drawing(''));
    await until(async () => (await page('/')).includes('Sundial bare'));
    const isDrawn = async (names: readonly string[]) => {
      const shelf = await page('/');
      return names.every((name) => shelf.includes(`${name} drawn`));
    };
    await until(async () => {
      await setTimeout(60);
      return isDrawn(['Sundial']);
    });
    await projects.create({ ...newProject('inch'), name: 'Undrawable' });
    const jar = await projects.create({ ...newProject('mm'), name: 'Jar' });
    await until(async () => {
      await setTimeout(60);
      return isDrawn(['Jar', 'Sundial']);
    });
    // What was drawn once stays as it was, and only the box that is another one now is drawn anew.
    const before = await page('/');
    expect(before).toMatch(/<ul>3 of 1: .*<\/ul><div id="app">/);
    expect(before).toContain('Undrawable bare');
    const drawnOnce = /Sundial drawn \d+;/.exec(before)?.[0] ?? 'never';
    await projects.update(jar.id, jar.revision, { ...jar.document, name: 'Lid' });
    const after = await page('/');
    expect(after).toContain('Lid bare');
    expect(after).toContain(drawnOnce);
    await projects.delete(box.id);
    expect(await page('/')).not.toContain('Sundial');
  });

  it('draws nothing while pages are asked for', async () => {
    const { page } = await opened(drawing(''), { quiet: 400 });
    await until(async () => (await page('/')).includes('Sundial bare'));
    for (let times = 0; times < 8; times++) {
      await setTimeout(100);
      expect(await page('/')).toContain('Sundial bare');
    }
  });

  it('comes as it is for a device that is not signed in, and where there is no box or one can’t be read', async () => {
    const { page, projects, box, database } = await opened(drawing(''));
    await until(async () => (await page('/')).includes('Sundial'));
    expect(await page('/', { via: '1.1 porch' })).toBe(bare);
    await projects.delete(box.id);
    expect(await page('/')).toBe(bare);
    await projects.restore(box.id);
    expect(await page('/')).toContain('Sundial');
    await database('projects').insert({
      ...{ id: 'broken', revision: 1, name: 'broken', document: '{"version":1,"na' },
      ...{ created_at: '9', updated_at: '9' },
    });
    expect(await page('/')).toBe(bare);
  });
});
