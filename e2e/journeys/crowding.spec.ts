import {
  allStyles,
  newProject,
  projectDocumentSchema,
  requestIn,
  type ProjectDocument,
} from '@rangoli/core';
import type { Page } from '@playwright/test';
import { crowdingOn } from '../support/crowding.ts';
import { expect, openFromShelf, test } from '../support/test.ts';

/** A desk, a tablet, a phone both ways, and a desk at 200 %. */
const windows = [
  [1280, 800],
  [768, 1024],
  [844, 390],
  [390, 844],
  [640, 400],
] as const;

/** Looks at what is open in every window, and says where something is crowded in it. */
async function expectRoom(page: Page, what: string): Promise<void> {
  for (const [width, height] of windows) {
    await page.setViewportSize({ width, height });
    // What is drawn to its frame is drawn anew, and some of it once the hand rests.
    await expect.soft
      .poll(() => crowdingOn(page), { message: `${what} at ${width} × ${height}` })
      .toEqual([]);
  }
}

/** The boxes on the shelf, by their addresses and names. */
async function shelved(origin: string, page: Page) {
  await page.goto(origin);
  const links = page.getByRole('main').getByRole('listitem').getByRole('link');
  await expect(links.first()).toBeVisible();
  // The foot is there when all of them are.
  await expect(page.getByRole('button', { name: 'Deleted boxes' })).toBeVisible();
  const all = await links.evaluateAll((each) =>
    each.flatMap((link) => (link instanceof HTMLAnchorElement ? [link.href] : [])),
  );
  return [...new Set(all)].filter((address) => /\/box\/[^/]+$/.test(address));
}

async function openBox(page: Page, address: string): Promise<string> {
  await page.setViewportSize({ width: 1280, height: 800 });
  await page.goto(address);
  await expect(page.getByRole('region', { name: 'Cut list' })).toBeVisible({ timeout: 15_000 });
  await expect(page.getByText('Step by step')).toBeVisible();
  return page.getByLabel('Name of the box').inputValue();
}

test.describe('no text lies over text, none is cut off, and nothing is too small to hit', () => {
  test.setTimeout(400_000);
  test.use({ contextOptions: { reducedMotion: 'reduce' } });

  test('in the boxes of the demo', async ({ demo, page }) => {
    const addresses = await shelved(demo.origin, page);
    expect(addresses.length).toBeGreaterThan(8);
    for (const address of addresses) await expectRoom(page, await openBox(page, address));
  });

  test('in a box of each kind', async ({ empty, page }) => {
    const { box } = newProject('inch');
    for (const { usual, name } of allStyles) {
      const document: ProjectDocument = projectDocumentSchema.parse({
        version: 1,
        name,
        box: requestIn(box, usual),
      });
      const made = await page.request.post(`${empty.origin}/api/projects`, {
        headers: { 'x-rangoli': 'web' },
        data: { document },
      });
      expect(made.ok(), name).toBe(true);
    }
    // A kind that this gift has no box of says so, with its ways out.
    for (const address of await shelved(empty.origin, page)) {
      await page.setViewportSize({ width: 1280, height: 800 });
      await page.goto(address);
      await expect(page.getByLabel('Name of the box')).toBeVisible({ timeout: 15_000 });
      await expect(page.locator('.desk')).toBeVisible();
      await page.waitForTimeout(800);
      await expectRoom(page, await page.getByLabel('Name of the box').inputValue());
    }
  });

  test('in the other views', async ({ demo, page }) => {
    await openFromShelf(page, demo, 'Meteorite jar');
    await page.getByRole('button', { name: 'Why is the ring so large?' }).click();
    await expect(page.getByText('six walls of')).toBeVisible();
    await expectRoom(page, 'why a piece is so large');
    const address = page.url();
    for (const [path, sign] of [
      [`${address}/compare`, /\d+ of \d+ fit/],
      [`${address}/limits`, /proportions of/],
      [`${address}/print`, /Ring/],
      [demo.origin, /Meteorite jar/],
      [`${demo.origin}/kit`, /Scoring boards/],
      [`${demo.origin}/papers`, /Sodium/],
      [`${demo.origin}/kept`, /This computer only/],
    ] as const) {
      await page.setViewportSize({ width: 1280, height: 800 });
      await page.goto(path);
      await expect(page.getByText(sign).first()).toBeVisible({ timeout: 15_000 });
      await expectRoom(page, path);
    }
    await page.setViewportSize({ width: 1280, height: 800 });
    await page.goto(`${address}/make`);
    await page.getByLabel('How many boxes').fill('6');
    await page.getByLabel('How many boxes').press('Tab');
    await page.getByRole('button', { name: 'Off by a bit?' }).click();
    await page.getByLabel('Width as cut').fill('7 1/4');
    await expect(page.getByLabel('How many came out like this')).toBeVisible();
    await expectRoom(page, 'off by a bit');
    await page.goto(demo.origin);
    await page.getByRole('button', { name: 'First steps' }).click();
    await expect(page.getByText('1 of 3')).toBeVisible();
    await expectRoom(page, 'the first steps');
  });
});
