import { expect, openFromShelf, putOnBox, test } from '../support/test.ts';

test('a maker cuts a window, stands the gift on a platform, and hangs a tag on the box', async ({
  demo,
  page,
}) => {
  await openFromShelf(page, demo, 'Pocket sundial');
  const cutList = page.getByRole('region', { name: 'Cut list' });
  await page.getByRole('button', { name: 'click a face to dress it' }).click();
  await putOnBox(page, 'Window: top of the lid');
  await expect(cutList.getByRole('heading', { name: 'Window film' })).toBeVisible();
  // A frame that leaves nothing is refused, and the one that would do is a button.
  const frame = page.getByLabel('Card left round it');
  await frame.fill('2');
  await page.keyboard.press('Tab');
  await expect(page.getByText(/nothing is left of a window in the top/)).toBeVisible();
  await page.getByRole('button', { name: /^A window with .+ of card round it$/ }).click();
  await expect(cutList.getByRole('heading', { name: 'Window film' })).toBeVisible();
  await frame.fill('3/8');
  await page.keyboard.press('Tab');
  await page.getByRole('combobox', { name: 'Behind the window' }).click();
  await page.getByRole('option', { name: 'nothing behind it' }).click();
  await expect(cutList.getByRole('heading', { name: 'Window film' })).toBeHidden();
  await page.getByRole('combobox', { name: 'Behind the window' }).click();
  await page.getByRole('option', { name: 'Window film' }).click();

  // The gift stands higher, and so does its base.
  const before = await cutList.textContent();
  await putOnBox(page, 'Insert that holds the gift');
  await expect(cutList.getByRole('heading', { name: 'Platform' })).toBeVisible();
  expect(await cutList.textContent()).not.toBe(before);

  await putOnBox(page, 'Tag');
  await expect(cutList.getByRole('heading', { name: 'Second tag layer' })).toBeVisible();
  await page.getByRole('combobox', { name: 'Shape of the tag' }).click();
  await page.getByRole('option', { name: 'round', exact: true }).click();
  await expect(page.getByLabel('Tag across')).toBeVisible();
  await expect(page.getByText('3 things')).toBeVisible();
  await page.keyboard.press('Control+z');
  await expect(page.getByLabel('Tag height')).toBeVisible();

  await page.getByRole('link', { name: 'Make', exact: true }).click();
  const steps = page.getByRole('navigation', { name: 'Steps' }).getByRole('button');
  await expect(steps.first()).toBeVisible();
  const names = await steps.allTextContents();
  const at = (what: RegExp) => names.findIndex((name) => what.test(name));
  expect(at(/stand it in the base/i)).toBeGreaterThan(-1);
  expect(at(/window film/i)).toBeGreaterThan(-1);
  expect(at(/window film.*glue on to the lid/i)).toBeLessThan(at(/stand it in the base/i));
  await steps.last().click();
  await expect(page.getByText(/tie the tag to the box/)).toBeVisible();
  await expect(page.getByRole('img', { name: /The tag from its front/ })).toBeVisible();
});
