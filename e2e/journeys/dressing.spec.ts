import { expect, openFromShelf, test } from '../support/test.ts';

test('a box is dressed by pointing at its faces', async ({ demo, page }) => {
  await openFromShelf(page, demo, 'Pocket sundial');
  const lid = page.locator('[data-piece=lid]');
  await expect(lid).toContainText('3 9/16');
  await page.locator('.face-spot', { hasText: 'Top of the lid' }).click();
  const menu = page.getByRole('dialog', { name: 'Top of the lid' });
  await menu.getByRole('button', { name: 'Panel on the outside' }).click();
  await expect(page.getByText('1 panel', { exact: true })).toBeVisible();
  const worn = page.getByRole('region', { name: /What it wears/ });
  await worn.getByRole('button', { name: 'Layer on top' }).click();
  await expect(page.getByRole('region', { name: 'Cut list' })).toContainText('Upper lid top panel');

  // Its margin is changed in place, and each change is one step to undo.
  const margin = worn.getByLabel('Top of the lid, layer 2: margin');
  await expect(margin).toHaveValue('1/16');
  const upper = page.locator('article', { hasText: 'Upper lid top panel' });
  await expect(upper).toContainText('2 3/16');
  await margin.fill('1/4');
  await margin.blur();
  await expect(upper).toContainText('1 13/16');
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(upper).toContainText('2 3/16');

  // The lid has no panel under it; the base’s walls do, and the lid is made larger for them.
  await page.getByRole('combobox', { name: 'Put something on or in' }).click();
  await page.getByRole('option', { name: 'Panel: front wall of the base' }).click();
  await expect(page.getByText('2 panels', { exact: true })).toBeVisible();
  await expect(lid).not.toContainText('3 9/16 × 3 9/16');

  // A margin that eats its panel is refused in a sentence, and what would do is a click away.
  const wall = worn.getByLabel('Front wall of the base, panel: margin');
  await wall.fill('1');
  await expect(page.getByText(/^A margin of 1 in leaves too little of the panel/)).toBeVisible();
  await page.getByRole('button', { name: /^A margin of .* in$/ }).click();
  await expect(page.getByText('This box can’t be made yet')).toHaveCount(0);
  await worn.getByRole('button', { name: 'Take the panel off: Front wall of the base' }).click();
  await expect(lid).toContainText('3 9/16');
  await expect(page.getByText('Saved', { exact: true })).toBeVisible();

  // It is kept, and made: glued on while the lid lies flat.
  await page.reload();
  await expect(page.getByText('1 panel', { exact: true })).toBeVisible();
  await page.getByRole('link', { name: 'Make', exact: true }).click();
  await page.getByText('Upper lid top panel: glue on to the lower lid top panel').click();
  await expect(page.getByRole('heading', { level: 1 })).toHaveText(
    'Glue the upper lid top panel on',
  );
});

test('a box is lined, gets a band, and is divided between its things', async ({ demo, page }) => {
  await openFromShelf(page, demo, 'Pocket sundial');
  const cuts = page.getByRole('region', { name: 'Cut list' });
  await expect(cuts).not.toContainText('liner');
  await page.getByRole('button', { name: 'click a face to dress it' }).click();
  const pick = page.getByRole('combobox', { name: 'Put something on or in' });
  // Nothing stands between one thing alone.
  await pick.click();
  await expect(page.getByRole('option', { name: 'Liner inside the box' })).toBeVisible();
  await expect(page.getByRole('option', { name: 'Dividers between the things' })).toHaveCount(0);
  await page.getByRole('option', { name: 'Liner inside box and lid' }).click();
  await expect(cuts).toContainText('Lid liner');
  await expect(cuts).toContainText('Wall liner');

  // Only its box is lined, and the lid is bare again.
  const worn = page.getByRole('region', { name: /What it wears/ });
  await worn.getByRole('combobox', { name: 'Liner of' }).click();
  await page.getByRole('option', { name: 'the box', exact: true }).click();
  await expect(cuts).not.toContainText('Lid liner');

  await pick.click();
  await page.getByRole('option', { name: 'Band round the closed box' }).click();
  await expect(cuts).toContainText('Band');
  // A band that is wider than the box is high goes round it another way, a click away.
  await worn.getByRole('combobox', { name: 'Which way the band goes' }).click();
  await page.getByRole('option', { name: 'round the walls' }).click();
  await expect(page.getByText(/^The band is 1 1\/4 in wide, and the box is only/)).toBeVisible();
  await page.getByRole('button', { name: 'The band over the top, left to right' }).click();
  await expect(page.getByText('This box can’t be made yet')).toHaveCount(0);
  // Its ends hook into each other, and a ribbon goes through it.
  await worn.getByRole('combobox', { name: 'How the ends of the band hold' }).click();
  await page.getByRole('option', { name: 'ends hooked' }).click();
  await page.getByText('Step by step').click();
  await expect(page.getByText(/^Band\. Bring the walls round, and hook/)).toBeVisible();
  await pick.click();
  await page.getByRole('option', { name: 'Ribbon with a bow' }).click();
  await worn.getByRole('combobox', { name: 'Which way the ribbon goes' }).click();
  await page.getByRole('option', { name: 'through the band' }).click();
  await expect(cuts).toContainText('wide, through the band');
  await expect(page.getByText('out through each slit')).toBeVisible();
  // Without its band it has nothing to go through, and goes round the box, a click away.
  await worn.getByRole('button', { name: 'Take the band off' }).click();
  await expect(page.getByText(/^This box has no band for a ribbon to go through/)).toBeVisible();
  await page.getByRole('button', { name: 'The ribbon round it from left to right' }).click();
  await expect(cuts).toContainText('wide, left to right');
  await worn.getByRole('button', { name: 'Take the ribbon off' }).click();
  await expect(cuts).not.toContainText('Band');
  await expect(page.getByText('Saved', { exact: true })).toBeVisible();

  // The last step of a box with a band is to slide it on.
  await openFromShelf(page, demo, 'Planet marbles, nine in a row');
  await page.getByText('Step by step').click();
  await expect(page.getByText('Slide the band over the closed box')).toBeVisible();

  await openFromShelf(page, demo, 'Planet marbles, three by three');
  await expect(page.getByText('1 liner and 1 set of dividers')).toBeVisible();
  await expect(cuts).toContainText('Front-to-back divider');
  await page.getByRole('button', { name: 'Take the dividers out' }).click();
  await expect(cuts).not.toContainText('divider');

  // What is untidy underneath is covered.
  await openFromShelf(page, demo, 'Night tea tin');
  await expect(cuts).not.toContainText('Bottom cover');
  await pick.click();
  await page.getByRole('option', { name: 'Cover for the flaps underneath' }).click();
  await expect(cuts).toContainText('Bottom cover');
});
