import { Buffer } from 'node:buffer';
import type { Page } from '@playwright/test';
import { expect, openFromShelf, test } from '../support/test.ts';

/** A picture of a night sky over a dark hill, as a camera would give it. */
async function nightSky(page: Page): Promise<Buffer> {
  const address = await page.evaluate(() => {
    const canvas = document.createElement('canvas');
    [canvas.width, canvas.height] = [900, 600];
    const context = canvas.getContext('2d');
    if (!context) throw new Error('Nothing to draw on');
    context.fillStyle = '#1f2b66';
    context.fillRect(0, 0, 900, 600);
    context.fillStyle = '#f3e6b0';
    for (let i = 0; i < 40; i++) context.fillRect((i * 211) % 900, (i * 97) % 430, 9, 9);
    context.fillStyle = '#0c1430';
    context.fillRect(0, 470, 900, 130);
    return canvas.toDataURL('image/png');
  });
  return Buffer.from(address.split(',')[1] ?? '', 'base64');
}

test('a maker puts in a picture of their paper, and its print stands as they want it', async ({
  demo,
  page,
}) => {
  await page.goto(`${demo.origin}/papers`);
  await page.getByRole('button', { name: 'Add a paper' }).click();
  const mine = page.getByRole('listitem').filter({ hasText: 'Comes in sheets of' });
  await mine.getByLabel('Name').fill('Night sky');
  await mine.getByRole('combobox', { name: 'Print', exact: true }).click();
  await page.getByRole('option', { name: 'on one face' }).click();
  // One of Rangoli’s own says by itself that it has a way up.
  await mine.getByRole('button', { name: 'star trails' }).click();
  await expect(mine.getByRole('combobox', { name: 'Its print' })).toHaveText('has a way up');
  await expect(mine.getByText('printed on one face: star trails, one way up')).toBeVisible();

  const file = mine.getByLabel('A picture of the print: PNG, JPEG or WebP');
  await file.setInputFiles({
    name: 'gifts.png',
    mimeType: 'image/png',
    buffer: Buffer.from('a list of gifts'),
  });
  await expect(mine.getByRole('alert')).toContainText('no picture. Choose a PNG, JPEG or WebP');
  // Where nobody answers, the file is not to be looked for once more.
  const picture = { name: 'sky.png', mimeType: 'image/png', buffer: await nightSky(page) };
  await page.route('**/api/pictures', (route) => route.abort());
  await file.setInputFiles(picture);
  await expect(mine.getByRole('alert')).toContainText('server doesn’t answer');
  await page.unroute('**/api/pictures');
  await mine.getByRole('button', { name: 'Try sky.png again' }).click();
  await expect(mine.getByText('printed on one face: a picture of it, one way up')).toBeVisible();
  await mine.getByLabel('Width of one repeat').fill('90 mm');
  await page.keyboard.press('Tab');
  await expect(mine.getByText(/^It is about (?:60 mm|2 3\/8 in) high\.$/)).toBeVisible();

  await openFromShelf(page, demo, 'Pocket sundial');
  await page.getByRole('combobox', { name: 'Lid paper' }).click();
  await page.getByRole('option', { name: 'Night sky' }).click();
  const lid = page.locator('[data-piece="lid"]');
  await expect(
    lid.getByText(/stands upright on the front wall and the top, on its head on the back/),
  ).toBeVisible();
  // Seen from outside, the picture is on the lid at its size.
  await page.getByRole('button', { name: 'turn them over' }).click();
  await expect(page.getByText('Turned over, outside up')).toBeVisible();
  const shown = page
    .getByRole('region', { name: 'Pieces on the cutting mat' })
    .locator('pattern image');
  await expect(shown.first()).toHaveAttribute('width', '90');
  await expect(shown.first()).toHaveAttribute('height', '60');

  await lid.getByRole('combobox', { name: 'Turn the print' }).click();
  await page.getByRole('option', { name: 'Upright on the back wall' }).click();
  await expect(lid.getByText(/stands upright on the back wall/)).toBeVisible();
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(lid.getByText(/stands upright on the front wall/)).toBeVisible();
  await lid.getByRole('button', { name: 'Cover those with panels' }).click();
  await expect(page.getByText('3 panels')).toBeVisible();
  await page.goto(page.url());
  await expect(page.getByText('3 panels')).toBeVisible();
  await page.getByRole('link', { name: 'Make', exact: true }).click();
  const steps = page.getByRole('navigation', { name: 'Steps' });
  await steps.getByRole('button', { name: 'Lid back panel: glue' }).click();
  await expect(page.getByText('As the box will stand, the top of its print is up.')).toBeVisible();
});
