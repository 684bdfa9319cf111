import { expect, openFromShelf, sizeOf, test } from '../support/test.ts';

test('boxes are duplicated, deleted, and brought back', async ({ demo, page }) => {
  await page.goto(demo.origin);
  const cards = page.getByRole('main').getByRole('listitem');
  await expect(cards).toHaveCount(9);
  await page.getByRole('button', { name: 'Duplicate Hand lens' }).click();
  await expect(cards).toHaveCount(10);
  await expect(cards.first()).toContainText('Hand lens, copy');
  await page.getByRole('button', { name: 'Delete Meteorite jar' }).click();
  await expect(cards).toHaveCount(9);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByRole('link', { name: 'Meteorite jar' })).toBeVisible();
  await page.reload();
  await expect(cards).toHaveCount(10);
});

test('two windows on one box: nothing is overwritten, and both can be kept', async ({
  demo,
  page,
  context,
}) => {
  await openFromShelf(page, demo, 'Hand lens');
  const other = await context.newPage();
  await other.goto(page.url());
  const name = other.getByLabel('Name of the box');
  await name.fill('Hand lens, theirs');
  await expect(other.getByText('Saved', { exact: true })).toBeVisible();
  await expect(other).toHaveTitle(/theirs/);
  await other.waitForTimeout(800);

  await page.getByLabel('Width', { exact: true }).fill('4 1/2');
  await expect(page.getByRole('alert')).toContainText('changed in another window');
  await page.getByRole('button', { name: 'Keep both' }).click();
  await expect(page.getByLabel('Name of the box')).toHaveValue('Hand lens, mine');
  await expect(page.getByLabel('Width', { exact: true })).toHaveValue('4 1/2');
  await page.goto(demo.origin);
  await expect(page.getByRole('link', { name: 'Hand lens, theirs' })).toBeVisible();
  await expect(page.getByRole('link', { name: 'Hand lens, mine' })).toBeVisible();
});

test('while the server is away the work goes on, and is saved when it is back', async ({
  demo,
  page,
}) => {
  await openFromShelf(page, demo, 'Night tea tin');
  await demo.stop();
  await page.getByLabel('Width', { exact: true }).fill('2 1/2');
  await expect(page.getByText('Not saved: the server is away. Kept in this browser')).toBeVisible();
  const size = await sizeOf(page, 'bag').innerText();
  await demo.start();
  await expect(page.getByText('Saved', { exact: true })).toBeVisible({ timeout: 15_000 });

  // Closed before it could be sent, a change waits in the browser.
  await demo.stop();
  await page.getByLabel('Depth', { exact: true }).fill('1 1/2');
  await expect.poll(() => sizeOf(page, 'bag').innerText()).not.toBe(size);
  const changed = await sizeOf(page, 'bag').innerText();
  await demo.start();
  await page.reload();
  await expect.poll(() => sizeOf(page, 'bag').innerText()).toBe(changed);
  await expect(page.getByText('Saved', { exact: true })).toBeVisible();
});

test('a box that is not there, and a shelf that can’t be reached, say so', async ({
  demo,
  page,
}) => {
  await page.goto(`${demo.origin}/box/nothing`);
  await expect(page.getByRole('heading', { name: 'This box is not on the shelf' })).toBeVisible();
  await page.getByRole('button', { name: 'Back to the shelf' }).click();
  await expect(page.getByRole('heading', { name: 'Shelf', exact: true })).toBeVisible();
  await page.route('**/api/projects', (route) => route.abort());
  await page.reload();
  await expect(page.getByRole('alert')).toContainText('doesn’t answer');
  await page.unroute('**/api/projects');
  await page.getByRole('button', { name: 'Try again' }).click();
  await expect(page.getByRole('link', { name: 'Pocket sundial' })).toBeVisible();
});
