import { expect, openFromShelf, sizeOf, test } from '../support/test.ts';

test('what can’t be taken stays as typed, says why, and leaves the last good plan', async ({
  demo,
  page,
}) => {
  await openFromShelf(page, demo, 'Pocket sundial');
  const width = page.getByLabel('Width', { exact: true });
  for (const [typed, reason] of [
    ['', 'Type a length, like 4 7/8 or 124 mm.'],
    ['about two', 'This is not a length. Type one like 4 7/8 or 124 mm.'],
    ['-2', 'A length can’t be below zero. Leave out the minus.'],
    ['0', 'A length must be more than nothing.'],
    ['400', 'That is over 78 in. Check the unit.'],
    ['1 mm', 'Width must be at least 3 mm.'],
  ] as const) {
    await width.fill(typed);
    await expect(page.getByRole('alert')).toContainText(reason);
    await expect(width).toHaveAttribute('aria-invalid', 'true');
    await expect(width).toHaveValue(typed);
    await expect(page.getByRole('region', { name: 'Cut list' })).toHaveClass(/stale/);
    await expect(sizeOf(page, 'base')).toHaveText(/^3 3\/4/);
  }
  await width.fill('about three');
  await page.reload();
  await expect(width).toHaveValue('about three');
  await width.fill('3');
  await expect(page.getByRole('alert')).toHaveCount(0);
  await expect(sizeOf(page, 'base')).toHaveText(/^4 7\/16/);
});

test('a gift too large for its sheet is refused with the sheet that would do', async ({
  demo,
  page,
}) => {
  await openFromShelf(page, demo, 'Rolled star chart');
  await page.getByLabel('Length', { exact: true }).fill('14');
  const refusal = page.getByRole('region', { name: 'This box can’t be made yet' });
  await expect(refusal).toContainText('The base needs a piece of 16');
  await expect(refusal).toContainText('a sheet of Dusk is 12 × 12 in.');
  await expect(page.getByRole('region', { name: 'Cut list' })).toHaveClass(/stale/);
  await refusal
    .getByRole('button', { name: 'Dusk in sheets of 12 × 24 in, Orbits in sheets of A3' })
    .click();
  await expect(refusal).toHaveCount(0);
  await expect(sizeOf(page, 'base')).toHaveText(/^16 15\/16/);
});

test('a lid that no mark allows is named, and the maker chooses between the nearest two', async ({
  demo,
  page,
}) => {
  await openFromShelf(page, demo, 'Pocket sundial');
  await page.getByLabel('Base paper thickness').fill('0.4');
  await page.getByLabel('Lid paper thickness').fill('0.4');
  await expect(
    page.getByText('No lid in 1/16 in steps slides well over this paper.'),
  ).toBeVisible();
  await expect(page.getByText('A trimmer in 1/32 in steps has one that holds.')).toBeVisible();
  await expect(page.getByRole('contentinfo')).toContainText(
    'The lid is loose, with 1.58 mm to spare',
  );
  await page.getByRole('button', { name: /^Jams, −0.01 mm/ }).click();
  await expect(page.getByRole('contentinfo')).toContainText('The lid is 0.01 mm too small');
  await page.getByRole('combobox', { name: 'Trimmer' }).click();
  await page.getByRole('option', { name: '1/32 in steps' }).click();
  await expect(page.getByRole('contentinfo')).toContainText(
    'The lid slides on with 0.78 mm to spare',
  );
});

test('a score lights on the strip and on the piece at once, by pointer and by keyboard', async ({
  demo,
  page,
}) => {
  await openFromShelf(page, demo, 'Pocket sundial');
  const mat = page.getByRole('region', { name: 'Pieces on the cutting mat' });
  const strip = page.locator('[data-piece=lid] .score');
  await strip.hover();
  await expect(mat.locator('.lit')).toHaveCount(4);
  await page.getByRole('heading', { name: 'Cut from' }).hover();
  await expect(mat.locator('.lit')).toHaveCount(0);
  await strip.focus();
  await expect(mat.locator('.lit')).toHaveCount(4);
  await strip.blur();
  const line = await mat.locator('.reach').first().boundingBox();
  if (!line) throw new Error('The score is not drawn');
  await page.mouse.move(line.x, line.y + line.height / 2);
  await expect(mat.locator('.lit')).toHaveCount(1);
  await expect(page.locator('[data-piece=base] .score')).toHaveClass(/lit/);
});

test('why a lid fits is told with its figures, and put away again', async ({ demo, page }) => {
  await openFromShelf(page, demo, 'Pocket sundial');
  const bar = page.getByRole('contentinfo', { name: 'Verdict' });
  const why = bar.getByRole('button', { name: 'why?' });
  await why.click();
  await expect(bar).toContainText(
    'between the folds of the lid, less 2 1/2 in between those of the base and 1.2 mm of card: 0.39 mm is left',
  );
  await page.keyboard.press('Escape');
  await expect(bar).not.toContainText('between the folds');
  await expect(why).toBeFocused();
});

test('undo and redo, the slider, the arrow keys and the other ruler', async ({ demo, page }) => {
  await openFromShelf(page, demo, 'Pocket sundial');
  const base = sizeOf(page, 'base');
  const before = await base.innerText();
  const handle = page.getByRole('slider', { name: 'Room around the gift' });
  const track = await handle.boundingBox();
  if (!track) throw new Error('The slider is nowhere');
  await page.mouse.move(track.x + 9, track.y + 9);
  await page.mouse.down();
  await page.mouse.move(track.x + 60, track.y + 9, { steps: 10 });
  // However long it is held in between.
  await page.waitForTimeout(1200);
  await page.mouse.move(track.x + 130, track.y + 9, { steps: 10 });
  await page.mouse.up();
  await expect(base).not.toHaveText(before);
  // The whole drag is one step.
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect.poll(() => base.innerText()).toBe(before);
  await page.keyboard.press('Control+Shift+z');
  await expect.poll(() => base.innerText()).not.toBe(before);
  await page.keyboard.press('Control+z');
  await expect.poll(() => base.innerText()).toBe(before);

  await page.getByLabel('Height', { exact: true }).press('ArrowUp');
  await expect(page.getByLabel('Height', { exact: true })).toHaveValue('5/8');
  await expect.poll(() => base.innerText()).not.toBe(before);

  // Figures in millimetres change no tool and no cut; the tools that go with them are another choice.
  const trimmer = page.getByRole('combobox', { name: 'Trimmer' });
  const [steps, read] = [await trimmer.innerText(), await base.innerText()];
  await page.getByRole('button', { name: 'mm', exact: true }).click();
  await expect(page.getByLabel('Width', { exact: true })).toHaveValue('58.7');
  await expect(trimmer).toHaveText(steps);
  await expect(base).toHaveText(read);
  await page.getByRole('button', { name: 'Use tools in mm' }).click();
  await expect(trimmer).toHaveText('1 mm steps');
  await expect(base).toHaveText(/^\d+\s*×\s*\d+mm, cut 1/);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(base).toHaveText(read);
  await page.getByRole('button', { name: 'inch', exact: true }).click();
  await page.getByLabel('Height', { exact: true }).press('ArrowDown');
  await expect.poll(() => base.innerText()).toBe(before);
});
