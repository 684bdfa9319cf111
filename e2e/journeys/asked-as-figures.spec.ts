import { expect, openFromShelf, test } from '../support/test.ts';

test('a box is asked for by its outside, and its lid by a figure', async ({ demo, page }) => {
  await openFromShelf(page, demo, 'Pocket sundial');
  const sizes = page.getByText(/^Outside .+ · inside .+ in$/);
  await expect(sizes).toContainText('Outside 2 9/16 × 2 9/16 × 21/32 in');
  await page.getByRole('combobox', { name: 'What you know' }).click();
  await page.getByRole('option', { name: 'Outside' }).click();
  await page.getByLabel('Width', { exact: true }).fill('3');
  await page.getByLabel('Depth', { exact: true }).fill('3');
  await page.getByLabel('Height', { exact: true }).fill('1 1/2');
  await expect(sizes).toContainText('Outside 3 × 3 × 1 17/32 in');
  await expect(page.getByText(/^It holds a gift of 2 23\/32 × 2 23\/32/)).toBeVisible();

  // In place of a word a figure, with its limits told.
  await page.getByRole('combobox', { name: 'Lid', exact: true }).click();
  await page.getByRole('option', { name: 'A figure' }).click();
  const lid = page.getByLabel('Lid as a figure');
  await lid.fill('4');
  await expect(page.getByRole('alert')).toContainText('Lid as a figure can be at most 1 3/8 in.');
  await expect(lid).toHaveValue('4');
  await lid.fill('1 1/8');
  await expect(page.locator('[data-piece=lid]')).toContainText('1 1/8');
  await expect(sizes).toContainText('Outside 3 × 3 × 1 17/32 in');

  // A lower box has no room for such a lid: what it may be is a click away.
  await page.getByLabel('Height', { exact: true }).fill('3/4');
  await page.getByLabel('Height', { exact: true }).blur();
  await page.getByRole('button', { name: /^Lid: .* in$/ }).click();
  await expect(page.getByText('This box can’t be made yet')).toHaveCount(0);
  await expect(lid).not.toHaveValue('1 1/8');
  await expect(page.getByText('Saved', { exact: true })).toBeVisible();

  // The gift itself is known again.
  await page.getByRole('combobox', { name: 'What you know' }).click();
  await page.getByRole('option', { name: 'Gift' }).click();
  await expect(page.getByRole('combobox', { name: 'Shape' })).toBeVisible();
});
