import { expect, openFromShelf, sizeOf, test } from '../support/test.ts';

test('every kind of box is compared for the gift, and another one taken', async ({
  demo,
  page,
}) => {
  await openFromShelf(page, demo, 'Pocket sundial');
  await page.getByRole('link', { name: 'Compare', exact: true }).click();
  await expect(page.getByText(/^\d+ of 20 fit$/)).toBeVisible();
  const styles = page.getByRole('main').getByRole('listitem');
  await expect(styles).toHaveCount(20);
  // A style that can't hold it says what would help, and can't be taken.
  const ring = styles.filter({ hasText: 'Ring-seat box' });
  await expect(ring).toContainText('Choose a ball, a bottle or a standing round');
  await expect(ring.getByRole('button')).toBeDisabled();

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

test('an option changes the pieces, and the box folds under the slider and the keys', async ({
  demo,
  page,
}) => {
  await openFromShelf(page, demo, 'Hand lens');
  const tray = page.locator('[data-piece="tray"]');
  await expect(tray).toContainText('thumb notch');
  await page.getByRole('combobox', { name: 'Pull' }).click();
  await page.getByRole('option', { name: 'Ribbon' }).click();
  await expect(tray).toContainText('punch one ribbon hole');

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
});

test('several alike go in together', async ({ demo, page }) => {
  await openFromShelf(page, demo, 'Pocket sundial');
  await page.getByLabel('How many high').fill('2');
  await page.keyboard.press('Tab');
  await expect(sizeOf(page, 'base')).not.toHaveText(/^3 3\/4/);
  await page.getByRole('combobox', { name: 'Shape' }).click();
  await page.getByRole('option', { name: 'Ball' }).click();
  await expect(page.getByLabel('Diameter', { exact: true })).toBeVisible();
});
