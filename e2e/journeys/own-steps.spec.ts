import { expect, openFromShelf, test } from '../support/test.ts';

test('a maker writes a note and a step of their own, and both are printed', async ({
  demo,
  page,
}) => {
  await openFromShelf(page, demo, 'Pocket sundial');
  await page.getByRole('link', { name: 'Make', exact: true }).click();
  const steps = page.getByRole('navigation', { name: 'Steps' }).getByRole('button');
  await expect(steps.first()).toBeVisible();
  const before = await steps.count();

  const write = page.getByRole('button', { name: 'Your own step or note' });
  await write.click();
  const dialog = page.getByRole('dialog', { name: 'Your own step or note' });
  // Nothing is kept of nothing.
  await expect(dialog.getByRole('button', { name: 'Keep the note' })).toBeDisabled();
  await dialog.getByLabel('What to remember').fill('Mind the grain.');
  await dialog.getByRole('button', { name: 'Keep the note' }).click();
  await expect(page.getByText('Note: Mind the grain. From one sheet')).toBeVisible();
  await expect(steps).toHaveCount(before);

  await write.click();
  await dialog.getByText('A step', { exact: true }).click();
  await dialog.getByText('After it', { exact: true }).click();
  await dialog.getByLabel('What to do').fill('Stamp a star on the front. Let it dry.');
  await dialog.getByRole('button', { name: 'Keep the step' }).click();
  await expect(steps).toHaveCount(before + 1);
  await page.keyboard.press('ArrowRight');
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Stamp a star on the front');
  // It is done like any other, and is there after a reload, as is what was done of it.
  await page.getByRole('button', { name: 'All six done' }).click();
  await expect(page.getByText('Saved', { exact: true }).or(steps.nth(1))).toBeVisible();
  await page.goto(page.url());
  await expect(steps.nth(1)).toContainText('done: Stamp a star on the front.');

  await page.getByRole('link', { name: 'Print' }).click();
  await expect(page.getByRole('listitem').filter({ hasText: 'Stamp a star' })).toBeVisible();
  await expect(
    page.getByRole('listitem').filter({ hasText: 'Note: Mind the grain.' }),
  ).toBeVisible();

  // What was written is taken away again where it was written.
  await page.goBack();
  await steps.first().click();
  await write.click();
  await dialog.getByRole('button', { name: 'Remove: Mind the grain.' }).click();
  await dialog.getByRole('button', { name: 'Cancel' }).click();
  await expect(page.getByText('Note: Mind the grain.')).toHaveCount(0);
});
