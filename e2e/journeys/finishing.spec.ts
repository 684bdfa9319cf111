import { expect, openFromShelf, putOnBox, test } from '../support/test.ts';

test('a maker stamps the lid, ties a ribbon round the box, and is told when to do which', async ({
  demo,
  page,
}) => {
  await openFromShelf(page, demo, 'Pocket sundial');
  const cutList = page.getByRole('region', { name: 'Cut list' });
  await page.getByRole('button', { name: 'click a face to dress it' }).click();
  await putOnBox(page, 'Ribbon with a bow');
  await expect(cutList.getByText('Ribbon')).toBeVisible();
  await expect(cutList).toContainText('27 1/2 in, 3/8 in wide, crossed');
  // Without a bow it is shorter by what that takes.
  await page.getByLabel('Bow (0: none)').fill('0');
  await page.keyboard.press('Tab');
  await expect(cutList).toContainText('14 in, 3/8 in wide, crossed');
  await page.getByRole('combobox', { name: 'Which way the ribbon goes' }).click();
  await page.getByRole('option', { name: 'through its holes' }).click();
  await expect(page.getByText('This box has no holes for a ribbon.')).toBeVisible();
  await page.getByRole('button', { name: 'The ribbon round the walls' }).click();
  await expect(cutList).toContainText('round the walls');
  await page.getByRole('combobox', { name: 'Which way the ribbon goes' }).click();
  await page.getByRole('option', { name: 'over the lid, left to right' }).click();
  await expect(cutList).toContainText('over the lid, left to right');

  await putOnBox(page, 'Stamp: top of the lid');
  await page.getByRole('combobox', { name: 'Where on the face' }).click();
  await page.getByRole('option', { name: 'near the top' }).click();
  await page.getByLabel('Its middle from the edge').fill('4');
  await page.keyboard.press('Tab');
  await expect(page.getByText(/4 in from the edge is beside the top/)).toBeVisible();
  await page.getByLabel('Its middle from the edge').fill('3/4');
  await page.keyboard.press('Tab');
  await expect(page.getByText('1 ribbon and 1 spot')).toBeVisible();

  await page.getByRole('link', { name: 'Make', exact: true }).click();
  const steps = page.getByRole('navigation', { name: 'Steps' }).getByRole('button');
  await expect(steps.first()).toBeVisible();
  const names = await steps.allTextContents();
  const at = (what: RegExp) => names.findIndex((name) => what.test(name));
  expect(at(/stamp it/i)).toBeGreaterThan(-1);
  expect(at(/stamp it/i)).toBeLessThan(at(/glue four tabs/));
  expect(at(/ribbon on/i)).toBe(names.length - 1);
  await steps.nth(at(/stamp it/i)).click();
  await expect(page.getByText(/the middle 1 13\/16 in from the left edge/)).toBeVisible();
  await steps.last().click();
  await expect(page.getByText(/turn its ends in under the rim/)).toBeVisible();
});
