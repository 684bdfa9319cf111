import type { BrowserContext } from '@playwright/test';
import { launchAtHome } from '../support/browser.ts';
import { expect, test } from '../support/test.ts';

test('a tablet says the passphrase once, works over plain http, and is signed out from the computer', async ({
  shared,
  page,
}) => {
  const browser = await launchAtHome();
  const away: BrowserContext = await browser.newContext({
    // What passes a question on says so: such a one is not asked at this machine.
    extraHTTPHeaders: { 'x-forwarded-for': '192.168.1.77' },
  });
  const tablet = await away.newPage();
  await tablet.goto(shared.originAtHome);
  expect(await tablet.evaluate(() => globalThis.isSecureContext)).toBe(false);
  const dialog = tablet.getByRole('dialog', { name: 'What is the passphrase?' });
  await expect(dialog).toBeVisible();
  await expect(tablet.getByRole('link', { name: 'Hand lens' })).toHaveCount(0);
  await dialog.getByLabel('Passphrase').fill('winter birch');
  await dialog.getByRole('button', { name: 'Sign in' }).click();
  await expect(dialog.getByRole('alert')).toContainText('This is not the passphrase');
  await dialog.getByLabel('Passphrase').fill(shared.passphrase.toUpperCase());
  await dialog.getByRole('button', { name: 'Sign in' }).click();
  await expect(dialog).toHaveCount(0);

  // All of it works there: a box, a tool of one's own, and progress.
  await tablet.getByRole('link', { name: 'Hand lens' }).click();
  await tablet.getByLabel('Name of the box').fill('Hand lens, on the tablet');
  await tablet.getByLabel('Name of the box').blur();
  await expect(tablet.getByText('Saved', { exact: true })).toBeVisible();
  await tablet.getByRole('link', { name: 'Make', exact: true }).click();
  await tablet.getByRole('button', { name: 'Done', exact: true }).click();
  await expect(tablet.getByRole('navigation', { name: 'Steps' }).locator('.done')).toHaveCount(1);
  await tablet.reload();
  await expect(tablet.getByRole('navigation', { name: 'Steps' }).locator('.done')).toHaveCount(1);

  // The computer itself needs no passphrase. It sends everybody away, and the tablet keeps what is typed there.
  await page.goto(`${shared.origin}/kept`);
  await expect(page.getByText('One device is signed in.')).toBeVisible();
  await tablet.getByRole('link', { name: 'Box', exact: true }).click();
  await page.getByRole('button', { name: 'Sign every device out' }).click();
  await expect(page.getByText('No other device is signed in.')).toBeVisible();
  await expect(dialog).toBeVisible({ timeout: 10_000 });
  await dialog.getByRole('button', { name: 'Not now' }).click();
  await tablet.getByLabel('Name of the box').fill('Hand lens, signed out');
  await tablet.getByLabel('Name of the box').blur();
  await tablet.getByRole('link', { name: 'Some changes are only on this device' }).click();
  await expect(tablet.getByRole('link', { name: 'Hand lens, signed out' })).toBeVisible();
  await tablet.getByRole('button', { name: 'Sign in' }).click();
  await dialog.getByLabel('Passphrase').fill(shared.passphrase);
  await dialog.getByRole('button', { name: 'Sign in' }).click();
  await expect(tablet.getByText('The server has everything')).toBeVisible();
  await page.goto(shared.origin);
  await expect(page.getByRole('link', { name: 'Hand lens, signed out' })).toBeVisible();

  await tablet.getByRole('button', { name: 'Sign this device out' }).click();
  await expect(dialog).toBeVisible();
  await browser.close();
});
