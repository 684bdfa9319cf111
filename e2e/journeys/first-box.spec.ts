import { readFile } from 'node:fs/promises';
import { formatLength, millimetres, planBox, usualRequest, cutSizeOf } from '@rangoli/core';
import { expect, openFromShelf, sizeOf, test } from '../support/test.ts';

test('a gift goes in, a cut list comes out, and it is all there after a restart', async ({
  demo,
  browser,
}) => {
  const visit = await browser.newContext();
  const page = await visit.newPage();
  await openFromShelf(page, demo, 'Pocket sundial');
  await expect(sizeOf(page, 'base')).toHaveText(/^3 3\/4\s*×\s*3 3\/4/);
  await expect(page.locator('[data-piece=base] .score')).toContainText('Score on two sides');
  await expect(page.locator('[data-piece=base]')).toContainText('5/8 is the fifth small mark');
  await page.getByText('Step by step').click();
  await expect(page.locator('.steps li')).toHaveCount(11);
  await expect(page.locator('.steps li').first()).toHaveText(
    /^From one sheet of Dusk: cut one strip, 3 3\/4 in wide\. .* From that strip: cut one base, 3 3\/4 in\./,
  );

  // Each size says what it is the sum of, and goes on saying it while the gift changes.
  const why = page.getByRole('button', { name: 'Why is the lid so large?' });
  await why.click();
  const sums = page.locator('[data-piece=lid] .why-size');
  await expect(sums).toContainText('Across: wall 1/2 + lid panel 2 9/16 + wall 1/2 = 3 9/16 in.');
  await page.getByLabel('Width', { exact: true }).fill('2 9/16');
  await expect(sums).toContainText('lid panel 2 13/16');
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(sums).toContainText('lid panel 2 9/16');
  await why.click();
  await expect(sums).toHaveCount(0);

  await page.getByLabel('Width', { exact: true }).fill('2 7/8');
  await page.getByLabel('Depth', { exact: true }).fill('2⅞ in');
  await page.getByLabel('Height', { exact: true }).fill('31 mm');
  await expect(sizeOf(page, 'base')).toHaveText(/^5 13\/16\s*×\s*5 13\/16/);
  const read = await sizeOf(page, 'base').innerText();
  await expect(page.getByRole('contentinfo')).toContainText('The lid slides on with');
  await expect(page.getByText('Saved', { exact: true })).toBeVisible();
  const address = page.url();
  await visit.close();

  expect(await demo.stop()).toBe(0);
  await demo.start();
  const later = await browser.newContext();
  const again = await later.newPage();
  await again.goto(address);
  await expect(sizeOf(again, 'base')).toHaveText(/^5 13\/16\s*×\s*5 13\/16/);
  expect(await sizeOf(again, 'base').innerText()).toBe(read);
  await expect(again.getByLabel('Height', { exact: true })).toHaveValue('31 mm');
  await later.close();
});

test('a new user gets the card for a 74 × 52 × 31 mm gift, as the core plans it', async ({
  empty,
  browser,
}) => {
  // Where one measures in millimetres a box begins in them, with tools that are marked so.
  const context = await browser.newContext({ locale: 'en-GB' });
  const page = await context.newPage();
  await page.goto(empty.origin);
  await expect(page.getByText('Nothing on the shelf yet')).toBeVisible();
  await page.getByRole('main').getByRole('button', { name: 'New box' }).click();
  for (const [label, value] of [
    ['Width', '74'],
    ['Depth', '52'],
    ['Height', '31'],
  ] as const)
    await page.getByLabel(label, { exact: true }).fill(value);

  const request = usualRequest(
    {
      shape: 'block',
      across: millimetres(74),
      deep: millimetres(52),
      high: millimetres(31),
    },
    'mm',
  );
  const result = planBox(request);
  if (!result.ok) throw new Error('The core refuses this gift');
  for (const { id, grid } of result.plan.pieces) {
    const { width, height } = cutSizeOf(grid);
    await expect(sizeOf(page, id)).toHaveText(
      new RegExp(`^${formatLength(width, 'mm')}\\s*×\\s*${formatLength(height, 'mm')}`),
    );
    // The ruler along the longer edge begins with the wall that folds up at its end.
    const [wall = width] = grid.columns;
    const marks = page.locator(`[data-piece=${id}] .strip`).first().locator('.mark text');
    await expect(marks.first()).toHaveText(formatLength(wall, 'mm'));
  }
  await context.close();
});

test('a common thing is taken out of the drawer, and its box is planned', async ({
  demo,
  page,
}) => {
  await openFromShelf(page, demo, 'Pocket sundial');
  await page.getByRole('button', { name: 'Common things' }).click();
  const drawer = page.getByRole('dialog', { name: 'Common things' });
  await expect(drawer.getByLabel('Look for a thing')).toBeFocused();
  await drawer.getByLabel('Look for a thing').fill('tea light');
  await expect(drawer.getByRole('listitem')).toHaveCount(2);
  await page.keyboard.press('Tab');
  await page.keyboard.press('Enter');
  await expect(drawer).toHaveCount(0);
  await expect(page.getByLabel('Diameter', { exact: true })).toHaveValue('38 mm');
  await expect(page.getByLabel('Height', { exact: true })).toHaveValue('17 mm');
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByLabel('Width', { exact: true })).toHaveValue('2 5/16');

  // A bottle is measured whole, and its neck is no wider than its body.
  await page.getByRole('button', { name: 'Common things' }).click();
  await drawer.getByRole('button', { name: 'Bottle, 750 ml, straight' }).click();
  await expect(page.getByLabel('Height', { exact: true })).toHaveValue('302 mm');
  await page.getByLabel('Neck across').fill('80 mm');
  await expect(page.getByRole('alert').first()).toContainText('can be at most 76 mm');
  await expect(page.getByLabel('Neck across')).toHaveValue('80 mm');
});

test('the pattern leaves as SVG at true size', async ({ demo, page }) => {
  await openFromShelf(page, demo, 'Pocket sundial');
  const download = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Pattern as SVG' }).click();
  const file = await download;
  expect(file.suggestedFilename()).toBe('pocket-sundial-open-night.svg');
  const svg = await readFile(await file.path(), 'utf8');
  // Two pieces of 95.25 and 90.4875 mm with 5 mm between and around.
  expect(svg).toContain('width="200.7375mm" height="105.25mm"');
  const size = await page.evaluate((text) => {
    const drawing = new DOMParser().parseFromString(text, 'image/svg+xml').documentElement;
    if (!(drawing instanceof SVGSVGElement)) return 'no drawing';
    document.body.append(drawing);
    const outline = drawing.querySelector('#cut [data-piece=base]');
    return outline instanceof SVGGraphicsElement ? outline.getBBox().width : 'no base';
  }, svg);
  expect(size).toBeCloseTo(95.25, 3);
});

test('a newcomer is shown the three parts of a box once, and again when they ask', async ({
  browser,
  demo,
}) => {
  const visit = await browser.newContext();
  const page = await visit.newPage();
  const steps = page.getByRole('region', { name: 'First steps' });
  await openFromShelf(page, demo, 'Pocket sundial');
  await expect(steps).toContainText('1 of 3: Your gift.');
  await steps.getByRole('button', { name: 'Next' }).click();
  await expect(steps).toContainText('2 of 3: Your paper and your tools.');
  // What is shown can be used meanwhile.
  await page.getByLabel('Width', { exact: true }).fill('2 9/16');
  await expect(sizeOf(page, 'lid')).toHaveText(/^3 13\/16/);
  await steps.getByRole('button', { name: 'Next' }).click();
  await expect(steps).toContainText('3 of 3: Your cut list.');
  await steps.getByRole('button', { name: 'Begin' }).press('Enter');
  await expect(steps).toHaveCount(0);
  await expect(page.getByRole('main')).toBeFocused();
  await page.reload();
  await expect(page.getByRole('region', { name: 'Cut list' })).toBeVisible();
  await expect(steps).toHaveCount(0);
  await page.getByRole('link', { name: 'Shelf', exact: true }).click();
  await page.getByRole('button', { name: 'First steps' }).click();
  await expect(steps).toContainText('1 of 3');
  await steps.getByRole('button', { name: 'Next' }).press('Escape');
  await expect(steps).toHaveCount(0);
  await visit.close();
});

test('a browser without workers plans in the page', async ({ demo, page }) => {
  await page.addInitScript(() => {
    Reflect.deleteProperty(globalThis, 'Worker');
  });
  await openFromShelf(page, demo, 'Pocket sundial');
  await expect(sizeOf(page, 'base')).toHaveText(/^3 3\/4\s*×\s*3 3\/4/);
  await page.getByLabel('Width', { exact: true }).fill('2 7/8');
  await expect(sizeOf(page, 'base')).not.toHaveText(/^3 3\/4/);
});
