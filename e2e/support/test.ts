import { test as base, expect, type Locator, type Page } from '@playwright/test';
import { RangoliServer } from './rangoli-server.ts';

interface Fixtures {
  /** A server with the demo shelf. */
  readonly demo: RangoliServer;
  /** A server with nothing on the shelf. */
  readonly empty: RangoliServer;
  /** A server with the demo shelf that is shared with the home network. */
  readonly shared: RangoliServer;
}

async function serve(use: (server: RangoliServer) => Promise<void>, ...flags: readonly string[]) {
  const server = new RangoliServer(...flags);
  await server.start();
  await use(server);
  await server.dispose();
}

export const test = base.extend<Fixtures>({
  demo: async ({ browserName: _ }, use) => {
    await serve(use, '--demo');
  },
  empty: async ({ browserName: _ }, use) => {
    await serve(use);
  },
  context: async ({ context }, use) => {
    // Who knows Rangoli already; the journey that is about somebody who doesn't has a context of its own.
    await context.addInitScript(() => {
      localStorage.setItem('rangoli.first-steps', '3');
    });
    await use(context);
  },
  shared: async ({ browserName: _ }, use) => {
    await serve(use, '--demo', '--share');
  },
});

/** Opens a box of the demo shelf by clicking it. */
export async function openFromShelf(page: Page, server: RangoliServer, name: string) {
  await page.goto(server.origin);
  await page.getByRole('link', { name }).click();
  // The first view of a run is slow where all else starts too.
  await expect(page.getByRole('region', { name: 'Cut list' })).toBeVisible({ timeout: 15_000 });
}

/** Puts something on the open box, or in it, from the list of all that there is. */
export async function putOnBox(page: Page, what: string): Promise<void> {
  await page.getByRole('combobox', { name: 'Put something on or in' }).first().click();
  await page.getByRole('option', { name: what, exact: true }).click();
}

/** The large figures of a piece on the cut list, as read. */
export function sizeOf(page: Page, piece: string): Locator {
  return page.locator(`[data-piece="${piece}"] .size`);
}

export { expect };
