import { launchAtHome } from '../support/browser.ts';
import { expect, openFromShelf, test } from '../support/test.ts';

test.describe('with a browser that may keep the application', () => {
  test.use({ serviceWorkers: 'allow' });

  test('it opens without the server, and all that is done then goes there when it is back', async ({
    demo,
    page,
  }) => {
    await openFromShelf(page, demo, 'Hand lens');
    await page.getByRole('link', { name: 'Make', exact: true }).click();
    const done = page.getByRole('navigation', { name: 'Steps' }).locator('.done');
    await page.getByRole('button', { name: 'Done', exact: true }).click();
    await expect(done).toHaveCount(1);
    await page.goto(`${demo.origin}/kept`);
    await expect(page.getByText('Rangoli opens on this device without the server')).toBeVisible({
      timeout: 20_000,
    });
    await demo.stop();

    await page.goto(demo.origin);
    await expect(page.getByText('these are the boxes that this browser knows')).toBeVisible();
    await page.getByRole('link', { name: 'Hand lens' }).click();
    await page.getByLabel('Name of the box').fill('Hand lens, in the garden');
    await page.getByLabel('Name of the box').blur();
    await page.getByRole('link', { name: 'Make', exact: true }).click();
    await page.getByRole('button', { name: 'Done', exact: true }).click();
    await expect(done).toHaveCount(2);
    await page.getByRole('link', { name: 'Print' }).click();
    await expect(page.getByRole('heading', { name: 'Hand lens, in the garden' })).toBeVisible();
    await page.reload();
    await expect(page.getByRole('heading', { name: 'Hand lens, in the garden' })).toBeVisible();
    await page.goto(`${demo.origin}/kept`);
    const waiting = page.getByRole('listitem').filter({ hasText: 'Hand lens' });
    await expect(waiting).toHaveCount(2);

    await demo.start();
    await page.getByRole('button', { name: 'Send them now' }).click();
    await expect(page.getByText('Yes. The server has everything')).toBeVisible({ timeout: 20_000 });
    await page.goto(demo.origin);
    await expect(page.getByRole('link', { name: 'Hand lens, in the garden' })).toBeVisible();
  });
});

test('over plain http the open page says that it must stay open, and goes on working', async ({
  shared,
}) => {
  const browser = await launchAtHome();
  const page = await browser.newPage();
  await page.goto(shared.originAtHome);
  await page.getByRole('link', { name: 'Hand lens' }).click();
  await expect(page.getByLabel('Name of the box')).toBeVisible();
  // The views that may be wanted next have come by then.
  await page.waitForTimeout(6000);
  await shared.stop();
  await expect(page.getByText('Leave this page open')).toBeVisible();
  await page.getByRole('link', { name: 'Make', exact: true }).click();
  await page.getByRole('button', { name: 'Done', exact: true }).click();
  await page.getByRole('link', { name: 'Compare', exact: true }).click();
  await expect(page.getByRole('heading', { name: 'Which box for this gift?' })).toBeVisible();
  await expect(
    page.getByRole('link', { name: 'Some changes are only on this device' }),
  ).toBeVisible();
  await shared.start();
  await expect(page.getByText('Leave this page open')).toHaveCount(0, { timeout: 20_000 });
  await expect(page.getByRole('link', { name: 'Everything is kept' })).toBeVisible({
    timeout: 20_000,
  });
  await browser.close();
});
