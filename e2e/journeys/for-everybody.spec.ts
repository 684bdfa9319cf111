import { AxeBuilder } from '@axe-core/playwright';
import type { Page } from '@playwright/test';
import { expect, openFromShelf, test } from '../support/test.ts';

async function seriousFindings(page: Page): Promise<readonly string[]> {
  const { violations } = await new AxeBuilder({ page })
    .withTags(['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'wcag22aa', 'best-practice'])
    .analyze();
  return violations
    .filter(({ impact }) => impact === 'serious' || impact === 'critical')
    .map(({ id, nodes }) => `${id}: ${nodes.map(({ target }) => target.join(' ')).join(', ')}`);
}

for (const [width, height] of [
  [1280, 800],
  [768, 1024],
  [390, 844],
] as const)
  test(`nothing bars the way at ${width} × ${height}`, async ({ demo, page }) => {
    // Seven views are gone through rule by rule.
    test.slow();
    await page.setViewportSize({ width, height });
    await page.goto(demo.origin);
    await expect(page.getByRole('link', { name: 'Pocket sundial' })).toBeVisible();
    expect(await seriousFindings(page)).toEqual([]);
    await openFromShelf(page, demo, 'Pocket sundial');
    expect(await seriousFindings(page)).toEqual([]);
    await page.getByLabel('Width', { exact: true }).fill('wide');
    await expect(page.getByRole('alert')).toBeVisible();
    expect(await seriousFindings(page)).toEqual([]);
    const overflow = await page.evaluate(
      () => document.documentElement.scrollWidth - document.documentElement.clientWidth,
    );
    expect(overflow).toBe(0);
    await page.getByRole('link', { name: 'Make', exact: true }).click();
    await expect(page.getByRole('heading', { level: 1 })).toContainText('in');
    expect(await seriousFindings(page)).toEqual([]);
    await page.getByRole('button', { name: 'Off by a bit?' }).click();
    await page.getByLabel('Width as cut').fill('3 11/16');
    await expect(page.getByText('It can be saved')).toBeVisible();
    expect(await seriousFindings(page)).toEqual([]);
    await page.goto(`${demo.origin}/kit`);
    await page.getByRole('listitem').first().getByRole('button', { name: 'Edit' }).click();
    expect(await seriousFindings(page)).toEqual([]);
    await page.goto(`${demo.origin}/papers`);
    await page.getByRole('listitem').first().getByRole('button', { name: 'Edit' }).click();
    expect(await seriousFindings(page)).toEqual([]);
    await page.goto(`${demo.origin}/kept`);
    await expect(page.getByText('This computer only.')).toBeVisible();
    expect(await seriousFindings(page)).toEqual([]);
  });

test('the main work needs no scrolling at 1280 × 800', async ({ demo, page }) => {
  for (const name of ['Pocket sundial', 'Rolled star chart', 'Meteorite jar', 'Hand lens']) {
    await openFromShelf(page, demo, name);
    for (const region of ['.desk > .panel', '.desk > .card']) {
      const hidden = await page
        .locator(region)
        .evaluate((element) => element.scrollHeight - element.clientHeight);
      expect(hidden, `${region} of ${name}`).toBeLessThanOrEqual(0);
    }
  }
});
