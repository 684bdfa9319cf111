import { EventEmitter, once } from 'node:events';
import type { Page } from '@playwright/test';
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

/** Where each cut size stands on the screen, and what it says. */
async function sizesIn(page: Page, where: string) {
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
