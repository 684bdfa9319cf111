import { EventEmitter, once } from 'node:events';
import type { APIRequestContext, Page } from '@playwright/test';
import { z } from 'zod';
import { expect, openFromShelf, test } from '../support/test.ts';

/** Keeps scripts from coming until the function that is given back is called. */
async function holdScripts(page: Page, which: RegExp): Promise<() => unknown> {
  const gate = new EventEmitter();
  const opened = once(gate, 'open');
  await page.route(which, async (route) => {
    await opened;
    await route.continue();
  });
  return () => gate.emit('open');
}

/** Loads the page until the server has what is seen first, as it soon does after it is started. */
async function seeFirst(page: Page, address: string) {
  const sight = page.locator('#first-sight');
  await expect(async () => {
    await page.goto(address, { waitUntil: 'commit' });
    await expect(sight).toBeVisible({ timeout: 2000 });
  }).toPass();
  return sight;
}

/** Waits for the style sheet and all its letters: a line is as high and as wide as these. */
async function haveLetters(page: Page): Promise<void> {
  const loaded = () =>
    page.evaluate(async () => {
      const faces = [...document.fonts];
      await Promise.all(faces.map((face) => face.load()));
      return faces.length;
    });
  await expect.poll(loaded).toBeGreaterThan(0);
}

/** Where each cut size stands on the screen, and what it says. */
async function sizesIn(page: Page, where: string) {
  await haveLetters(page);
  return page.locator(`${where} [aria-label="Cut list"] .size`).evaluateAll((sizes) =>
    sizes.map((size) => {
      const { x, y } = size.getBoundingClientRect();
      return { x, y, text: size.textContent };
    }),
  );
}

test('the cut list is read before any script has come, and stays where it is when they have', async ({
  demo,
  page,
}) => {
  await page.setViewportSize({ width: 1280, height: 800 });
  await openFromShelf(page, demo, 'Hand lens');
  const release = await holdScripts(page, /\/assets\/.*\.js$/);
  const sight = await seeFirst(page, page.url());
  const seen = await sizesIn(page, '#first-sight');
  expect(seen.length).toBeGreaterThan(1);
  // Whoever listens to the page hears it once, when it can be worked with.
  await expect(page.getByRole('region', { name: 'Cut list' })).toHaveCount(0);
  release();
  await expect(page.getByRole('region', { name: 'Cut list' })).toBeVisible();
  await expect(sight).toHaveCount(0);
  await expect(page.getByLabel('Height', { exact: true })).toBeVisible();
  expect(await sizesIn(page, '#app')).toEqual(seen);
});

test('a box that this browser has changed is never shown as it was', async ({ demo, page }) => {
  await openFromShelf(page, demo, 'Hand lens');
  const address = page.url();
  await expect(page.getByRole('region', { name: 'Cut list' })).toBeVisible();
  await seeFirst(page, address);
  await page.route('**/api/**', (route) => route.abort());
  await page.getByLabel('Name of the box').fill('Hand lens, mine');
  await page.waitForTimeout(500);
  const release = await holdScripts(page, /\/assets\/BoxView.*\.js$/);
  await page.goto(address);
  await expect(page.locator('#first-sight')).toHaveCount(0);
  release();
  await expect(page.getByLabel('Name of the box')).toHaveValue('Hand lens, mine');
});

const storedSchema = z.object({ revision: z.int(), document: z.looseObject({}) });

/** Names the box at an address otherwise, as another tablet does. */
async function renameElsewhere(request: APIRequestContext, address: string, name: string) {
  const at = address.replace('/box/', '/api/projects/');
  const { revision, document } = storedSchema.parse(await (await request.get(at)).json());
  const data = { revision, document: { ...document, name } };
  const answer = await request.put(at, { data, headers: { 'x-rangoli': 'another tablet' } });
  expect(answer.ok()).toBe(true);
}

test('who comes back to a box sees it as it is by now', async ({ demo, page, request }) => {
  await openFromShelf(page, demo, 'Hand lens');
  const address = page.url();
  const sight = await seeFirst(page, address);
  await expect(sight).toHaveCount(0);
  const textsIn = async (where: string) => (await sizesIn(page, where)).map(({ text }) => text);
  const before = await textsIn('#app');
  const saved = page.waitForResponse((answer) => answer.request().method() === 'PUT');
  await page.getByLabel('Height', { exact: true }).fill('1/2');
  await page.getByLabel('Height', { exact: true }).blur();
  await saved;
  await expect.poll(() => textsIn('#app')).not.toEqual(before);
  const after = await textsIn('#app');
  await page.goto('about:blank');
  // Whoever holds requests back here would have the browser keep nothing of what it has seen.
  const browser = await page.context().newCDPSession(page);
  await browser.send('Network.enable');
  await browser.send('Network.setBlockedURLs', { urls: ['*/assets/*.js'] });
  await page.goBack({ waitUntil: 'commit' });
  await expect(sight).toBeVisible();
  expect(await textsIn('#first-sight')).toEqual(after);
  // Nor is what the page itself asks for answered from what was: another tablet has changed it meanwhile.
  await page.goto('about:blank');
  await browser.send('Network.setBlockedURLs', { urls: [] });
  await renameElsewhere(request, address, 'Hand lens, theirs');
  await page.goBack();
  await expect(page.getByLabel('Name of the box')).toHaveValue('Hand lens, theirs');
  await page.goto('about:blank');
  await page.goto(demo.origin);
  await expect(page.getByRole('link', { name: 'Hand lens, theirs' })).toBeVisible();
  await page.goto('about:blank');
  await renameElsewhere(request, address, 'Hand lens, again');
  await page.goBack();
  await expect(page.getByRole('link', { name: 'Hand lens, again' })).toBeVisible();
});

/** Where each box stands on the shelf, and what is read of it. */
async function boxesIn(page: Page, where: string) {
  await haveLetters(page);
  return page.locator(`${where} .shelf > li > a`).evaluateAll((boxes) =>
    boxes.map((box) => {
      const { x, y, height } = box.getBoundingClientRect();
      const hasDrawing = box.querySelector('svg') !== null;
      return { x, y, height, hasDrawing, text: box.textContent.replaceAll(/\s+/g, ' ') };
    }),
  );
}

for (const [width, height] of [
  [1280, 800],
  [390, 844],
] as const)
  test(`the shelf is seen before any script has come, and stays as it is when they have, at ${String(width)}`, async ({
    demo,
    page,
  }) => {
    await page.setViewportSize({ width, height });
    const release = await holdScripts(page, /\/assets\/.*\.js$/);
    const sight = await seeFirst(page, demo.origin);
    // The server draws them when it has nothing else to do.
    await expect(async () => {
      await page.waitForTimeout(4000);
      await page.goto(demo.origin, { waitUntil: 'commit' });
      await expect(sight.locator('.pieces')).toHaveCount(10, { timeout: 1000 });
    }).toPass();
    const seen = await boxesIn(page, '#first-sight');
    expect(seen).toHaveLength(10);
    // Whoever listens to the page hears each box once, when it has come.
    await expect(page.getByRole('link', { name: 'Hand lens' })).toHaveCount(0);
    // As the page has its boxes, without their plans.
    const plan = await holdScripts(page, /planner-worker/);
    release();
    await expect(page.getByRole('button', { name: 'Duplicate Hand lens' })).toBeVisible();
    await expect(sight).toHaveCount(0);
    expect(await boxesIn(page, '#app')).toEqual(seen);
    plan();
    // Each is drawn by the page now: what the server has drawn is named otherwise.
    const first = page.locator('#app .shelf > li').first();
    await first.getByRole('button', { name: 'Duplicate' }).click();
    await expect(page.getByText('11 boxes')).toBeVisible();
    await expect(page.locator('#app .shelf > li').first().locator('.pieces')).toBeVisible();
  });

test('a box on the shelf opens before any script has come', async ({ demo, page }) => {
  await holdScripts(page, /\/assets\/.*\.js$/);
  const sight = await seeFirst(page, demo.origin);
  await sight.getByText('Hand lens').click();
  await expect(page).toHaveURL(/\/box\//);
});
