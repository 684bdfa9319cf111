import { expect, openFromShelf, sizeOf, test } from '../support/test.ts';

test('a maker tells about their board once, and every box goes by it', async ({ demo, page }) => {
  await page.goto(demo.origin);
  await page.getByRole('link', { name: 'Tools', exact: true }).click();
  const row = page.getByRole('listitem').filter({ hasText: '1/8 in grooves' });
  await row.getByRole('button', { name: 'Edit' }).click();
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
  // The box keeps its plan until the maker takes the tools as they are now.
  await expect(sizeOf(page, 'base')).not.toHaveText(before);
  await page.getByRole('button', { name: 'Plan it with them as they are now' }).click();
  await expect(sizeOf(page, 'base')).toHaveText(before);
});

test('a tool that was removed is put back at once, or after a reload', async ({ demo, page }) => {
  await page.goto(`${demo.origin}/kit`);
  const mine = page.getByRole('listitem').filter({ hasText: 'mine' });
  const removed = page.getByText('Removed tools');
  const row = page.getByRole('listitem').filter({ hasText: '1/8 in grooves' });
  await row.getByRole('button', { name: 'Edit' }).click();
  await row.getByRole('button', { name: 'Copy' }).click();
  await mine.getByLabel('Name').fill('Old board, mine');
  await mine.getByRole('button', { name: 'Remove' }).click();
  const undo = page.getByRole('button', { name: 'Undo' });
  await expect(undo).toBeFocused();
  await undo.press('Enter');
  await expect(removed).toHaveCount(0);
  await expect(page.getByRole('main')).toBeFocused();
  await mine.getByRole('button', { name: 'Remove' }).click();
  await expect(removed).toBeVisible();
  await page.reload();
  await removed.click();
  await page.getByRole('button', { name: 'Put it back: Old board, mine' }).click();
  await expect(removed).toHaveCount(0);
  await expect(mine.getByRole('checkbox', { name: 'Old board, mine' })).toBeChecked();
});

test('a diamond wrap is made on the maker’s own punch board, and a mistyped mark is caught', async ({
  demo,
  page,
}) => {
  await page.goto(demo.origin);
  await page.getByRole('link', { name: 'Tools', exact: true }).click();
  const corner = page.getByRole('listitem').filter({ hasText: 'Corner board, inches' });
  await corner.getByRole('button', { name: 'Edit' }).click();
  const third = corner.getByLabel('Mark C is at');
  await third.fill('3/8');
  await expect(corner.getByRole('alert')).toContainText('doesn’t lie beyond “B” at 3/4 in');
  await expect(third).toHaveValue('3/8');
  await expect(corner.getByText('8 marks, from A at 1/2 in')).toBeVisible();
  await third.fill('7/8');
  await expect(corner.getByRole('alert')).toHaveCount(0);

  await openFromShelf(page, demo, 'Pocket sundial');
  await page.getByRole('link', { name: 'Compare', exact: true }).click();
  const styles = page.getByRole('main').getByRole('listitem');
  await styles.filter({ hasText: 'Diamond wrap' }).getByRole('button').click();
  await page.getByRole('combobox', { name: 'Slanting lines' }).click();
  await page.getByRole('option', { name: 'Diagonal board, 1/8 in steps' }).click();
  const base = page.locator('[data-piece=base]');
  await expect(base.getByText('Punch and score on the first side')).toBeVisible();
  await expect(page.getByText(/^The inside comes to .* Its largest: a gift .* wide/)).toBeVisible();
  await page.getByRole('link', { name: 'Make', exact: true }).click();
  const steps = page.getByRole('navigation', { name: 'Steps' });
  await steps.getByRole('button', { name: /Base: punch and score/ }).click();
  await expect(
    page.getByRole('img', { name: 'The punch board with the sheet on it' }),
  ).toBeVisible();
  await expect(page.getByText('Turn it a quarter clockwise.')).toBeVisible();
  // Both marks of the first side, then the other sides by the lines that are there.
  await page.getByRole('button', { name: 'Next punch' }).click();
  await page.getByRole('button', { name: 'Next punch' }).click();
  const heading = page.getByRole('heading', { level: 1 });
  await expect(heading).toHaveText('Follow the last lines, three sides');
});

test('what is on the table is ticked off at a glance, found by its name, and first the next time', async ({
  demo,
  page,
}) => {
  await page.goto(`${demo.origin}/kit`);
  const region = page.getByRole('region', { name: 'Punches' });
  const punches = region.getByRole('checkbox');
  await page.getByLabel('Look for a tool').fill('nothing like it');
  await expect(page.getByText('No tool is called that.')).toBeVisible();
  await page.getByLabel('Look for a tool').fill('in grooves');
  await expect(region).toHaveCount(0);
  await expect(page.getByRole('checkbox', { name: '1/8 in grooves' })).toBeVisible();
  await page.getByLabel('Look for a tool').fill('');
  const name = await region.getByRole('listitem').last().locator('b').innerText();
  await punches.last().check();
  // It stays where it is under the hand.
  await expect(punches.last()).toBeChecked();
  await page.reload();
  await expect(punches.first()).toBeChecked();
  await expect(region.getByRole('listitem').first()).toContainText(name);
});

test('from a box to its tools and back is the same place, with a tool that it is then planned for', async ({
  demo,
  page,
}) => {
  await page.setViewportSize({ width: 1280, height: 560 });
  await openFromShelf(page, demo, 'Pocket sundial');
  const before = await sizeOf(page, 'base').innerText();
  const panel = page.getByRole('complementary', { name: 'What is asked' });
  await page.getByRole('combobox', { name: 'Scoring board' }).scrollIntoViewIfNeeded();
  const scrolled = () => panel.evaluate((element) => Math.round(element.scrollTop));
  const place = await scrolled();
  expect(place).toBeGreaterThan(40);
  await page.getByRole('combobox', { name: 'Scoring board' }).click();
  await page.getByRole('option', { name: 'My tools…' }).click();
  await expect(page.getByRole('heading', { name: 'My tools' })).toBeVisible();
  // The box stays named there, after a reload too.
  await page.reload();
  await expect(page.getByRole('banner')).toContainText('Pocket sundial');
  const coarse = page.getByRole('listitem').filter({ hasText: '1/8 in grooves' });
  const fine = page.getByRole('listitem').filter({ hasText: '1/16 in grooves' });
  await expect(page.getByText('This box is planned for it.').first()).toBeVisible();
  await fine.getByRole('checkbox').check();
  await fine.getByRole('button', { name: 'Plan this box for it' }).click();
  await expect(fine.getByText('This box is planned for it.')).toBeVisible();
  await expect(coarse.getByText('This box is planned for it.')).toHaveCount(0);
  await page.getByRole('link', { name: 'Box', exact: true }).click();
  await expect(page.getByRole('combobox', { name: 'Scoring board' })).toContainText('1/16');
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByRole('combobox', { name: 'Scoring board' })).toContainText('1/8');
  await expect(sizeOf(page, 'base')).toHaveText(before);

  // There and back, by a link and by the browser’s own way.
  for (const back of ['link', 'browser'] as const) {
    await panel.evaluate((element, top) => element.scrollTo(0, top), place);
    await page.getByRole('link', { name: 'Tools', exact: true }).click();
    await expect(page.getByRole('heading', { name: 'My tools' })).toBeVisible();
    if (back === 'link') await page.getByRole('link', { name: 'Box', exact: true }).click();
    else await page.goBack();
    await expect.poll(scrolled, back).toBe(place);
  }
});

test('somebody with nothing to score with is told what is missing, and for what', async ({
  demo,
  page,
}) => {
  await page.goto(demo.origin);
  await page.getByRole('link', { name: 'Tools', exact: true }).click();
  for (const section of ['Scoring boards', 'Rulers'])
    await page
      .getByRole('region', { name: section })
      .getByRole('switch', { name: /^I have none/ })
      .click();
  await page.getByRole('link', { name: 'Shelf', exact: true }).click();
  await page.getByRole('link', { name: 'Pocket sundial' }).click();
  await page.getByRole('button', { name: 'Plan it with them as they are now' }).click();
  await expect(
    page.getByText('Scoring: nothing scores the folds of the base and the lid.'),
  ).toBeVisible();
});
