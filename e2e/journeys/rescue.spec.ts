import { expect, openFromShelf, sizeOf, test } from '../support/test.ts';

test('a base that was cut short gets a lid that fits it', async ({ demo, page }) => {
  await openFromShelf(page, demo, 'Pocket sundial');
  await page.getByRole('link', { name: 'Make', exact: true }).click();
  const steps = page.getByRole('navigation', { name: 'Steps' });
  await steps.getByRole('button', { name: 'Dusk: six bases' }).click();
  await page.getByRole('button', { name: 'All six done' }).click();

  await page.getByRole('button', { name: 'Off by a bit?' }).click();
  const dialog = page.getByRole('dialog', { name: 'Off by a bit?' });
  await dialog.getByLabel('Width as cut').fill('3 11/16');
  await expect(dialog.getByText('It can be saved')).toBeVisible();
  await expect(dialog.getByText('Lid: cut it 3 1/2 × 3 9/16 in.')).toBeVisible();
  await dialog.getByRole('button', { name: 'Go on like this' }).click();
  await expect(dialog).toBeHidden();

  // The base is not cut again, and everything else is planned round it.
  await expect(page.getByText('Planned round what is cut already')).toBeVisible();
  await expect(steps.getByText('six bases')).toHaveCount(0);
  await expect(steps.getByRole('button', { name: /six lids/ })).toBeVisible();
  await page.getByRole('link', { name: 'Box', exact: true }).click();
  await expect(sizeOf(page, 'base')).toHaveText(/^3 11\/16\s*×\s*3 3\/4/);
  await expect(sizeOf(page, 'lid')).toHaveText(/^3 1\/2\s*×\s*3 9\/16/);

  // Another gift has no box round this base: on a page that is opened anew there is a way out, too.
  await page.getByLabel('Width', { exact: true }).fill('4');
  await expect(page.getByText(/^No box goes round this gift with what is cut/)).toBeVisible();
  await expect(page.getByText('Saved', { exact: true })).toBeVisible();
  await page.reload();
  await page
    .getByRole('region', { name: 'This box can’t be made yet' })
    .getByRole('button', { name: 'Plan it anew' })
    .click();
  await expect(page.getByRole('region', { name: 'Cut list' })).toBeVisible();
  await page.getByLabel('Width', { exact: true }).fill('2 5/16');
  await expect(sizeOf(page, 'lid')).toHaveText(/^3 9\/16\s*×\s*3 9\/16/);
});

test('a piece that is lost is cut again, and goes through its steps once more', async ({
  demo,
  page,
}) => {
  await openFromShelf(page, demo, 'Pocket sundial');
  await page.getByRole('link', { name: 'Make', exact: true }).click();
  const steps = page.getByRole('navigation', { name: 'Steps' });
  await steps.getByRole('button', { name: 'Dusk: six bases' }).click();
  await page.getByRole('button', { name: 'All six done' }).click();
  await steps.getByRole('button', { name: 'Base: 5/8' }).click();
  await page.getByRole('button', { name: 'All six done' }).click();
  await page.getByRole('button', { name: 'Off by a bit?' }).click();
  const dialog = page.getByRole('dialog', { name: 'Off by a bit?' });
  await dialog.getByRole('combobox', { name: 'Piece' }).click();
  await page.getByRole('option', { name: 'Base' }).click();
  await dialog.getByRole('button', { name: 'A tear' }).click();
  await dialog.getByLabel('Depth of the tear').fill('2');
  await dialog.getByLabel('How many came out like this').fill('1');
  await dialog.getByLabel('How many came out like this').press('Tab');
  await expect(dialog.getByText('This one is lost')).toBeVisible();
  await dialog.getByRole('button', { name: 'Cut it again' }).click();
  // It is there to be cut, and to be scored.
  await steps.getByRole('button', { name: 'Dusk: six bases' }).click();
  await expect(page.getByText('5 of 6')).toBeAttached();
  await steps.getByRole('button', { name: 'Base: 5/8' }).click();
  await expect(page.getByText('5 of 6')).toBeAttached();
});

test('two bases that came out otherwise become boxes of their own, and four are made as planned', async ({
  demo,
  page,
}) => {
  await openFromShelf(page, demo, 'Pocket sundial');
  const first = page.url();
  await page.getByRole('link', { name: 'Make', exact: true }).click();
  const steps = page.getByRole('navigation', { name: 'Steps' });
  await steps.getByRole('button', { name: 'Dusk: six bases' }).click();
  await page.getByRole('button', { name: 'All six done' }).click();
  await page.getByRole('button', { name: 'Off by a bit?' }).click();
  const dialog = page.getByRole('dialog', { name: 'Off by a bit?' });
  await dialog.getByLabel('Width as cut').fill('3 11/16');
  await dialog.getByLabel('How many came out like this').fill('2');
  await dialog.getByLabel('How many came out like this').press('Tab');
  await dialog
    .getByRole('button', { name: 'Make two like this apart, and four as planned' })
    .click();
  await expect(page.getByText('Planned round what is cut already')).toBeVisible();
  await expect(page).not.toHaveURL(new RegExp(first));
  await expect(steps.getByRole('button', { name: /two lids/ })).toBeVisible();
  await expect(steps.getByText('bases')).toHaveCount(0);
  await page.goto(`${first}/make`);
  await steps.getByRole('button', { name: 'Dusk: four bases' }).click();
  await expect(page.getByText('4 of 4')).toBeAttached();
});
