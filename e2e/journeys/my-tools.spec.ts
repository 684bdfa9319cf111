import { expect, openFromShelf, sizeOf, test } from '../support/test.ts';

test('a maker tells about their board once, and every box goes by it', async ({ demo, page }) => {
  await page.goto(demo.origin);
  await page.getByRole('link', { name: 'Tools', exact: true }).click();
  const row = page.getByRole('listitem').filter({ hasText: '1/8 in grooves' });
  await row.getByRole('button', { name: 'Copy' }).click();
  const mine = page.getByRole('listitem').filter({ hasText: 'mine' });
  await expect(mine.getByLabel('Name')).toBeFocused();
  await mine.getByLabel('Name').fill('Old board, mine');
  await mine.getByLabel('A groove every').fill('1/4');
  await expect(mine.getByText('A groove every 1/4 in')).toBeVisible();
  // What can't be is said, and what was typed stays.
  await mine.getByLabel('Grooves reach to').fill('2');
  await expect(mine.getByRole('alert')).toContainText('at least');
  await expect(mine.getByLabel('Grooves reach to')).toHaveValue('2');
  await mine.getByLabel('Grooves reach to').fill('12');

  await openFromShelf(page, demo, 'Pocket sundial');
  const before = await sizeOf(page, 'base').innerText();
  await page.getByRole('combobox', { name: 'Scoring board' }).click();
  await page.getByRole('option', { name: 'Old board, mine' }).click();
  await expect(page.locator('[data-piece=base] .score').first()).toContainText(/1\/2|3\/4/);
  await expect(sizeOf(page, 'base')).not.toHaveText(before);
  await expect(page.getByText('Saved', { exact: true })).toBeVisible();

  // Changed in the kit, it is changed in the box.
  await page.getByRole('link', { name: 'Tools', exact: true }).click();
  await mine.getByRole('button', { name: 'Edit' }).click();
  await mine.getByLabel('A groove every').fill('1/8');
  await expect(mine.getByText('A groove every 1/8 in')).toBeVisible();
  await openFromShelf(page, demo, 'Pocket sundial');
  await expect(sizeOf(page, 'base')).toHaveText(before);
});
