import { expect, openFromShelf, test } from '../support/test.ts';

test('a maker tells of a paper by the weight on its pack, in sheets of its own size, and cuts a box from it', async ({
  demo,
  page,
}) => {
  await page.goto(demo.origin);
  await page.getByRole('link', { name: 'Papers', exact: true }).click();
  await page.getByRole('button', { name: 'Add a paper' }).click();
  const mine = page.getByRole('listitem').filter({ hasText: 'Comes in sheets of' });
  await expect(mine.getByLabel('Name')).toBeFocused();
  await mine.getByLabel('Name').fill('Indigo');
  await mine.getByLabel('Weight on the pack').fill('300');
  await page.keyboard.press('Tab');
  await expect(mine.getByLabel('Thickness')).toHaveValue('0.39');
  await mine.getByLabel('Add a size of sheet').click();
  await page.getByRole('option', { name: 'A size of my own…' }).click();
  await mine.getByLabel('New sheet width').fill('3 mm');
  await expect(mine.getByRole('alert')).toContainText('at least');
  await mine.getByLabel('New sheet width').fill('180 mm');
  await mine.getByLabel('New sheet height').fill('180 mm');
  await mine.getByRole('button', { name: 'Add 180 × 180 mm' }).click();
  await mine.getByRole('button', { name: 'No sheets of 12 × 12 in' }).click();
  await expect(mine.getByText('0.39 mm thick, 300 gsm')).toContainText('Sheets: 180 × 180 mm');

  await openFromShelf(page, demo, 'Pocket sundial');
  await page.getByRole('combobox', { name: 'Base paper' }).click();
  await page.getByRole('option', { name: 'Indigo' }).click();
  const cutFrom = page.getByRole('region', { name: 'Cut from' });
  await expect(cutFrom).toContainText('180 × 180 mm');
  // The other way to say how thick it is, for this box alone.
  await page.getByLabel('Base paper thickness').fill('250 gsm');
  await expect(page.getByText('In My papers Indigo is 0.39 mm thick.')).toBeVisible();
  await page.getByRole('button', { name: 'Use that' }).click();
  await expect(page.getByLabel('Base paper thickness')).toHaveValue('0.39');
  await expect(page.getByText('Saved', { exact: true })).toBeVisible();

  // Put away, it is no choice any more, and the box keeps it.
  await page.getByRole('link', { name: 'Papers', exact: true }).click();
  await page
    .getByRole('listitem')
    .filter({ hasText: 'Indigo' })
    .getByRole('button', { name: 'Put away' })
    .click();
  await openFromShelf(page, demo, 'Pocket sundial');
  await expect(page.getByRole('combobox', { name: 'Base paper' })).toContainText('Indigo');
  await page.getByRole('combobox', { name: 'Lid paper' }).click();
  await expect(page.getByRole('option', { name: 'Sodium' })).toBeVisible();
  await expect(page.getByRole('option', { name: 'Indigo' })).toHaveCount(0);
});

test('what a trial box has taught by mistake is seen and forgotten', async ({ demo, page }) => {
  await page.goto(`${demo.origin}/papers`);
  const dusk = page.getByRole('listitem').filter({ hasText: 'Dusk' });
  await dusk.getByRole('button', { name: 'Edit' }).click();
  await dusk.getByLabel('A lid over its base: best').fill('0.7');
  await expect(
    dusk.getByText('a lid of it has a gap of 0.7 mm and not the usual 0.45 mm'),
  ).toBeVisible();
  // The range stays in order: what can't be is said, and stands as it was typed.
  await dusk.getByLabel('A lid over its base: at most').fill('0.5');
  await expect(dusk.getByRole('alert')).toContainText('at least');
  await dusk.getByLabel('A lid over its base: at most').fill('0.9');
  await page.waitForTimeout(1500);
  await page.reload();
  await expect(dusk.getByText('a lid of it has a gap of 0.7 mm')).toBeVisible();
  await dusk.getByRole('button', { name: 'Forget it' }).click();
  await expect(dusk.getByText('a lid of it has')).toHaveCount(0);
  await page.waitForTimeout(1500);
  await page.reload();
  await expect(dusk.getByRole('heading', { name: 'Dusk' })).toBeVisible();
  await expect(dusk.getByText('a lid of it has')).toHaveCount(0);
});
