import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { createServer, type Server } from 'node:http';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import express from 'express';
import { newProject } from '@rangoli/core';
import { pino } from 'pino';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { share } from '../access/index.ts';
import { ProjectStore } from '../projects/index.ts';
import { eachServed } from '../testing/served.ts';
import { FirstSights, pageRoutes } from './index.ts';

const served = eachServed();
let folder = '';
let close = () => Promise.resolve();

beforeEach(() => {
  folder = mkdtempSync(join(tmpdir(), 'rangoli-pages-'));
  writeFileSync(join(folder, 'index.html'), '<body><div id="app"></div></body>');
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
     export async function renderFirstSight({ id, document }) { drawn++; ${draw} }`,
  );
  return script;
}

/** The pages on a port of their own, with what is seen first drawn by this script. */
async function opened(script: string) {
  const { database } = served.now();
  const firstSights = new FirstSights({ script, logger: pino({ level: 'silent' }) });
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
  return { page, projects, box };
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
    await until(async () => (await seen()).includes('first-sight'));
    const first = '<p>Sundial $& 1</p></div><div id="app"></div></body>';
    expect(await seen()).toContain(first);
    // What is drawn once is drawn for all, until the box is changed.
    expect(await seen()).toContain(first);
    await projects.update(box.id, box.revision, { ...box.document, name: 'Dial' });
    expect(await seen()).toContain('<p>Dial $& 2</p>');
  });

  it('shows it to nobody else, and no other page, nor what is not there', async () => {
    const { page, box } = await opened(drawing('return document.name;'));
    await until(async () => (await page(`/box/${box.id}`)).includes('Sundial'));
    const others = ['/', `/box/${box.id}/make`, '/box/nothing', '/kit'];
    for (const path of others) expect(await page(path), path).not.toContain('first-sight');
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
      for (let tries = 0; tries < 3; tries++)
        expect(await page(`/box/${box.id}`)).toBe('<body><div id="app"></div></body>');
      await close();
    }
    close = () => Promise.resolve();
  });
});
