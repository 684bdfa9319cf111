import { allStyles } from '@rangoli/core';
import { launchWithWebGL } from '../support/browser.ts';
import { expect, openFromShelf, sizeOf, test } from '../support/test.ts';

test('every kind of box is compared for the gift, and another one taken', async ({
  demo,
  page,
}) => {
  await openFromShelf(page, demo, 'Pocket sundial');
  await page.getByRole('link', { name: 'Compare', exact: true }).click();
  await expect(page.getByText(new RegExp(`^\\d+ of ${allStyles.length} fit$`))).toBeVisible();
  const styles = page.getByRole('main').getByRole('listitem');
  await expect(styles).toHaveCount(allStyles.length);
  // A style that can't hold it says what would help, and can't be taken.
  const ring = styles.filter({ hasText: 'Ring-seat box' });
  await expect(ring).toContainText(
    'one round thing that stands: a ball, a bottle or a standing round',
  );
  await expect(ring.getByRole('button')).toHaveCount(0);

  await page.getByRole('button', { name: 'need no glue' }).click();
  await expect(styles.filter({ hasText: 'Lidded box' })).toHaveCount(0);
  await expect(styles.filter({ hasText: 'Fold-lock wrap' })).toBeVisible();
  await page.getByRole('button', { name: 'need no glue' }).click();
  await page.getByRole('button', { name: 'paper', exact: true }).click();
  await expect(styles.filter({ hasText: 'Tuck-flap mailer' })).toContainText('holds up to');

  await styles.filter({ hasText: 'Tuck-flap mailer' }).getByRole('button').click();
  await expect(sizeOf(page, 'mailer')).toHaveText(/×/);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(sizeOf(page, 'base')).toHaveText(/^3 3\/4/);
});

test('where no kind of box fits, each is had with what makes it possible', async ({
  demo,
  page,
}) => {
  await openFromShelf(page, demo, 'Rolled star chart');
  await page.getByLabel('Length', { exact: true }).fill('14');
  await expect(page.getByText('This box can’t be made yet')).toBeVisible();
  await page.getByRole('link', { name: 'Compare', exact: true }).click();
  await expect(page.getByText(`0 of ${allStyles.length} fit`)).toBeVisible();
  const drawer = page.getByRole('main').getByRole('listitem').filter({ hasText: 'Drawer box' });
  await expect(drawer).toContainText('a sheet of Dusk is 12 × 12 in');
  await drawer.getByRole('button', { name: /in sheets of/ }).click();
  await expect(sizeOf(page, 'tray')).toHaveText(/×/);
  await expect(page.getByText('This box can’t be made yet')).toHaveCount(0);
  // Both papers of the box are still those that it had.
  const asked = page.getByRole('complementary', { name: 'What is asked' });
  await expect(asked).toContainText('Dusk');
  await expect(asked).toContainText('Orbits');
  // What is on the shelf says why it can’t be made, too.
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByText('This box can’t be made yet')).toBeVisible();
  await page.getByRole('link', { name: 'Shelf', exact: true }).click();
  await expect(page.getByRole('listitem').filter({ hasText: 'Rolled star chart' })).toContainText(
    'The base needs a piece of',
  );
});

test('an option changes the pieces, and the box folds under the slider and the keys', async ({
  demo,
  page,
}) => {
  await openFromShelf(page, demo, 'Hand lens');
  const tray = page.locator('[data-piece="tray"]');
  await expect(tray).toContainText('thumb notch');
  await page.getByRole('combobox', { name: 'Pull' }).click();
  await page.getByRole('option', { name: 'Ribbon' }).click();
  await expect(tray).toContainText('punch one hole for the pull');

  const folding = page.getByRole('img', { name: /The box folding/ });
  await expect(folding).toBeVisible();
  const slider = page.getByRole('slider', { name: 'How far the box is folded' });
  await slider.focus();
  await page.keyboard.press('End');
  await expect(folding).toHaveAccessibleName(/100 of 100 parts done/);
  await page.keyboard.press('Home');
  await expect(folding).toHaveAccessibleName(/: 0|, 0 of 100 parts done/);
  await page.getByRole('button', { name: 'Play the folding' }).click();
  await expect(folding).not.toHaveAccessibleName(/, 0 of 100 parts done/);
  // Opening it closes it first.
  await page.getByRole('button', { name: 'Open the closed box' }).click();
  await expect(folding).toHaveAccessibleName(/100 of 100 parts done/);
  await expect(page.getByRole('button', { name: 'Open the closed box' })).toHaveAttribute(
    'aria-pressed',
    'true',
  );
});

test('several alike go in together', async ({ demo, page }) => {
  await openFromShelf(page, demo, 'Pocket sundial');
  // What is too many stays as it was typed, with what would do.
  await page.getByLabel('How many high').fill('30');
  await page.keyboard.press('Tab');
  await expect(page.getByRole('alert')).toContainText('a whole number from 1 to 24');
  await expect(page.getByLabel('How many high')).toHaveValue('30');
  // With a second gift nothing is counted, and no entry waits that nobody sees.
  await page.getByRole('button', { name: 'Add a second gift' }).click();
  await expect(page.getByLabel('How many high')).toHaveCount(0);
  await expect(page.getByText('One entry can’t be taken yet')).toHaveCount(0);
  await page.getByRole('button', { name: 'Undo' }).click();
  await page.getByLabel('How many high').fill('2');
  await page.keyboard.press('Tab');
  await expect(sizeOf(page, 'base')).not.toHaveText(/^3 3\/4/);
  await page.getByRole('combobox', { name: 'Shape' }).click();
  await page.getByRole('option', { name: 'Ball' }).click();
  await expect(page.getByLabel('Diameter', { exact: true })).toBeVisible();
});

test('the folding is shown fold by fold to who wants nothing to move', async ({ demo, page }) => {
  await page.emulateMedia({ reducedMotion: 'reduce' });
  await openFromShelf(page, demo, 'Moon-phase top');
  const slider = page.getByRole('slider', { name: 'How far the box is folded' });
  await slider.focus();
  await page.keyboard.press('Home');
  await expect(slider).toHaveAttribute('aria-valuetext', 'flat');
  const next = page.getByRole('button', { name: 'Show the next fold' });
  const seen: number[] = [];
  while ((await slider.getAttribute('aria-valuetext')) !== 'closed') {
    await next.click();
    const share = async () => Number(await slider.getAttribute('aria-valuenow'));
    await expect.poll(share).toBeGreaterThan(seen.at(-1) ?? 0);
    seen.push(await share());
    // It stays there until it is asked to go on.
    await page.waitForTimeout(120);
    expect(await share()).toBe(seen.at(-1));
  }
  expect(seen.length).toBeGreaterThan(2);
  const steps = seen.map((share, i) => share - (seen[i - 1] ?? 0));
  for (const step of steps) expect(step).toBeCloseTo(100 / seen.length, 3);
  await next.click();
  await expect(slider).toHaveAttribute('aria-valuetext', 'flat');
});

test('one canvas is given from box to box', async ({ demo }) => {
  const browser = await launchWithWebGL();
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
  await page.addInitScript(`
    window.contexts = [];
    const get = HTMLCanvasElement.prototype.getContext;
    HTMLCanvasElement.prototype.getContext = function (kind, ...more) {
      const context = get.call(this, kind, ...more);
      if (context && kind.startsWith('webgl') && !window.contexts.includes(context)) window.contexts.push(context);
      return context;
    };
  `);
  const living = () =>
    page.evaluate<number>('window.contexts.filter((each) => !each.isContextLost()).length');
  await page.goto(demo.origin);
  for (const name of ['Moon-phase top', 'Night tea tin', 'Hand lens']) {
    await page.getByRole('link', { name }).first().click();
    await expect(page.locator('.fold canvas')).toBeVisible({ timeout: 20_000 });
    expect(await living(), name).toBe(1);
    await page.getByRole('link', { name: 'Shelf' }).click();
    await expect(page.locator('canvas')).toHaveCount(0);
  }
  await browser.close();
});

test('different things go in side by side', async ({ demo, page }) => {
  await openFromShelf(page, demo, 'Moon-phase top');
  const alone = await sizeOf(page, 'base').innerText();
  await page.getByRole('button', { name: 'Add a second gift' }).click();
  await page.getByRole('combobox', { name: 'Shape' }).click();
  await page.getByRole('option', { name: 'Ball' }).click();
  await page.getByLabel('Diameter', { exact: true }).fill('1 1/2');
  await page.keyboard.press('Tab');
  await expect(page.getByRole('button', { name: '2 Ball' })).toHaveAttribute(
    'aria-pressed',
    'true',
  );
  await expect(page.getByText('Saved', { exact: true })).toBeVisible();
  const both = await sizeOf(page, 'base').innerText();
  expect(both).not.toBe(alone);
  // The first of them keeps its own measures, and is still there alone.
  await page.getByRole('button', { name: /^1 / }).click();
  await expect(sizeOf(page, 'base')).toHaveText(both);
  await page.getByRole('button', { name: '2 Ball' }).click();
  await page.getByRole('button', { name: 'Take out thing 2' }).click();
  await expect(sizeOf(page, 'base')).toHaveText(alone);
});

test('a box is put round another gift, and says what changes', async ({ demo, page }) => {
  await page.goto(demo.origin);
  await page.getByRole('button', { name: 'Resize Moon-phase top for another gift' }).click();
  const changed = page.getByRole('region', { name: 'What changed' });
  await expect(changed).toContainText('From Moon-phase top');
  await expect(changed).toContainText('Nothing has changed yet');
  const before = await sizeOf(page, 'base').innerText();
  const first = page.getByRole('complementary', { name: 'What is asked' }).getByRole('textbox');
  await first.first().fill('2 3/4');
  await page.keyboard.press('Tab');
  await expect(sizeOf(page, 'base')).not.toHaveText(before);
  await expect(changed).toContainText('2 of 2 pieces changed');
  await expect(page.locator('[data-piece="base"]')).toContainText(/was \d/);
  await page.reload();
  await expect(changed).toContainText('2 of 2 pieces changed');
  await changed.getByRole('button', { name: 'Hide' }).click();
  await expect(changed).toHaveCount(0);
  await page.getByRole('link', { name: 'Shelf' }).click();
  await expect(page.getByRole('link', { name: 'Moon-phase top, another gift' })).toBeVisible();
});

test('a look at what fits grows to what the sheet allows, and changes no box unasked', async ({
  demo,
  page,
}) => {
  await openFromShelf(page, demo, 'Pocket sundial');
  const before = await sizeOf(page, 'base').innerText();
  await page.getByRole('link', { name: 'What fits' }).click();
  const point = page.getByRole('application', { name: /^Gift, / });
  await expect(point).toHaveAccessibleName(/2 5\/16 in across and 9\/16 in high/);
  await expect(page.getByText(/wider with its proportions, or/)).toBeVisible();
  await point.focus();
  await page.keyboard.press('ArrowUp');
  await expect(point).toHaveAccessibleName(/2 5\/16 in across and 5\/8 in high/);

  const grip = await point.boundingBox();
  if (!grip) throw new Error('The point is not drawn');
  const [x, y] = [grip.x + grip.width / 2, grip.y + grip.height / 2];
  await page.mouse.move(x, y);
  await page.mouse.down();
  await page.mouse.move(x + 300, y - 60, { steps: 6 });
  await page.mouse.move(x + 640, y - 420, { steps: 8 });
  await expect(page.getByText('No further on this sheet')).toBeVisible();
  await page.mouse.up();
  await expect(page.getByRole('region', { name: 'The box for it' })).toBeVisible();

  await page.getByRole('button', { name: 'Largest square box' }).click();
  const square = /^(\d[^ ]*(?: [^ ]+)?) × \1 × /;
  await expect(page.locator('.size')).toHaveText(square);
  // The box is as it was, until it is told otherwise.
  await page.getByRole('link', { name: 'Box', exact: true }).click();
  await expect(sizeOf(page, 'base')).toHaveText(before);
  await page.getByRole('link', { name: 'What fits' }).click();
  const own = await page.locator('.size').innerText();
  await page.getByRole('button', { name: 'Largest square box' }).click();
  await expect(page.locator('.size')).not.toHaveText(own);
  const looked = await page.locator('.size').innerText();
  await page.getByRole('button', { name: 'Begin a new box with this' }).click();
  await expect(page.getByLabel('Name of the box')).toHaveValue(
    'Pocket sundial, open night, another gift',
  );
  await expect(sizeOf(page, 'base')).not.toHaveText(before);
  await expect(page.getByRole('region', { name: 'What changed' })).toContainText(
    'From Pocket sundial, open night',
  );
  await page.goBack();
  await expect(page.locator('.size')).not.toHaveText(looked);
  await page.getByRole('button', { name: 'Largest square box' }).click();
  await page.getByRole('button', { name: 'Change my box to this' }).click();
  await expect(page.getByRole('contentinfo')).toContainText('The lid slides on');
  await expect(sizeOf(page, 'base')).not.toHaveText(before);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(sizeOf(page, 'base')).toHaveText(before);
});
