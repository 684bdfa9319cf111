import { AxeBuilder } from '@axe-core/playwright';
import type { Page } from '@playwright/test';
import { crowdingOn } from '../support/crowding.ts';
import { expect, openFromShelf, test } from '../support/test.ts';

async function findings(page: Page): Promise<readonly string[]> {
  const { violations } = await new AxeBuilder({ page })
    .withTags(['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'wcag22aa', 'best-practice'])
    .analyze();
  // A list that opens is drawn beside the page, and belongs to the field that opens it.
  const isOfList = (id: string, places: readonly string[]) =>
    id === 'region' && places.every((place) => place.startsWith('.p-select'));
  return violations
    .filter(
      ({ id, nodes }) =>
        !isOfList(
          id,
          nodes.flatMap(({ target }) => target.map(String)),
        ),
    )
    .map(({ id, nodes }) => `${id}: ${nodes.map(({ target }) => target.join(' ')).join(', ')}`);
}

test('nothing bars the way on a dark ground', async ({ demo, page }) => {
  test.slow();
  await page.emulateMedia({ colorScheme: 'dark', reducedMotion: 'reduce' });
  await page.goto(demo.origin);
  await expect(page.getByRole('link', { name: 'Pocket sundial' })).toBeVisible();
  expect(await findings(page)).toEqual([]);
  await openFromShelf(page, demo, 'Eclipse glasses');
  const address = page.url();
  await page
    .getByRole('button', { name: /^Why is/ })
    .first()
    .click();
  await page.getByRole('button', { name: 'where?' }).click();
  expect(await findings(page)).toEqual([]);
  await page.keyboard.press('Escape');
  await page.getByRole('combobox', { name: 'Scoring board' }).click();
  expect(await findings(page)).toEqual([]);
  await page.keyboard.press('Escape');
  await page.getByLabel('Width', { exact: true }).fill('wide');
  await expect(page.getByRole('alert')).toBeVisible();
  expect(await findings(page)).toEqual([]);
  for (const view of ['compare', 'limits', 'make', 'print']) {
    await page.goto(`${address}/${view}`);
    await page.getByRole('main').waitFor();
    // What is worked out comes after it.
    await page.waitForTimeout(1500);
    expect(await findings(page), view).toEqual([]);
  }
  for (const view of ['kit', 'papers']) {
    await page.goto(`${demo.origin}/${view}`);
    await page.getByRole('button', { name: /^Edit/ }).first().click();
    expect(await findings(page), view).toEqual([]);
  }
});

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
    expect(await findings(page)).toEqual([]);
    await openFromShelf(page, demo, 'Pocket sundial');
    expect(await findings(page)).toEqual([]);
    await page.getByLabel('Width', { exact: true }).fill('wide');
    await expect(page.getByRole('alert')).toBeVisible();
    expect(await findings(page)).toEqual([]);
    const overflow = await page.evaluate(
      () => document.documentElement.scrollWidth - document.documentElement.clientWidth,
    );
    expect(overflow).toBe(0);
    const menu = page.getByRole('button', { name: 'all views' });
    if (width < 680) await menu.click();
    expect(await findings(page)).toEqual([]);
    await page.getByRole('link', { name: 'Make', exact: true }).click();
    await expect(page.getByRole('heading', { level: 1 })).toContainText('in');
    expect(await findings(page)).toEqual([]);
    await page.getByRole('button', { name: 'Off by a bit?' }).click();
    await page.getByLabel('Width as cut').fill('3 11/16');
    await expect(page.getByText('It can be saved')).toBeVisible();
    expect(await findings(page)).toEqual([]);
    await page.goto(`${demo.origin}/kit`);
    await page.getByRole('listitem').first().getByRole('button', { name: 'Edit' }).click();
    expect(await findings(page)).toEqual([]);
    await page.goto(`${demo.origin}/papers`);
    await page.getByRole('listitem').first().getByRole('button', { name: 'Edit' }).click();
    expect(await findings(page)).toEqual([]);
    await page.goto(`${demo.origin}/kept`);
    await expect(page.getByText('This computer only.')).toBeVisible();
    expect(await findings(page)).toEqual([]);
  });

test('nothing bars the way in what is opened', async ({ demo, page }) => {
  test.slow();
  const expectFree = async (what: string) => {
    expect(await findings(page), what).toEqual([]);
  };
  await openFromShelf(page, demo, 'Eclipse glasses');
  for (const folded of ['More options', 'Step by step'])
    await page.getByText(folded, { exact: true }).click();
  await page
    .getByRole('button', { name: /^Why is the/ })
    .first()
    .click();
  await page.getByRole('contentinfo').getByRole('button', { name: 'where?' }).click();
  await expect(page.locator('.why-size li').first()).toBeVisible();
  await expectFree('all that is folded away in the Box view');
  await page.getByRole('button', { name: 'Common things' }).click();
  await expect(page.getByRole('dialog', { name: 'Common things' })).toBeVisible();
  await expectFree('common things');
  await page.keyboard.press('Escape');
  await page.getByRole('combobox', { name: 'Trimmer' }).click();
  await expect(page.getByRole('option').first()).toBeVisible();
  await expectFree('a choice');
  await page.keyboard.press('Escape');
  for (const [view, sign] of [
    ['Compare', /\d+ of \d+ fit/],
    ['What fits', /proportions of/],
  ] as const) {
    await page.getByRole('link', { name: view, exact: true }).click();
    await expect(page.getByText(sign).first()).toBeVisible();
    await expectFree(view);
  }
  await page.getByRole('link', { name: 'Make', exact: true }).click();
  await page.getByRole('button', { name: 'Your own step or note' }).click();
  await expect(page.getByRole('dialog')).toBeVisible();
  await expectFree('an own step');
  await page.keyboard.press('Escape');
  await page.getByRole('link', { name: 'Print', exact: true }).click();
  await expect(page.getByRole('heading', { level: 1 })).toBeVisible();
  await expectFree('the printed sheet');
  await page.goto(demo.origin);
  await page
    .getByRole('listitem')
    .first()
    .getByRole('button', { name: /Delete/ })
    .click();
  await expect(page.getByRole('button', { name: 'Undo' })).toBeVisible();
  await page.getByRole('button', { name: 'Deleted boxes' }).click();
  await expect(page.getByRole('button', { name: /^Put it back/ })).toBeVisible();
  await expectFree('deleted boxes');
  await page.keyboard.press('Escape');
  await page.getByRole('button', { name: 'First steps' }).click();
  await expect(page.getByText('1 of 3')).toBeVisible();
  await expectFree('the first steps');
});

test('each view has a title and a heading of its own, and the keys go on in the view that has come', async ({
  demo,
  page,
}) => {
  await openFromShelf(page, demo, 'Pocket sundial');
  const titles = new Set<string>();
  const isInMain = () => page.evaluate(() => document.activeElement?.matches('main') === true);
  for (const view of ['Compare', 'What fits', 'Make', 'Box', 'Shelf', 'Tools', 'Papers']) {
    await page.getByRole('link', { name: view, exact: true }).first().press('Enter');
    await expect(page.getByRole('heading', { level: 1 })).toHaveCount(1);
    await expect.poll(isInMain).toBe(true);
    // The bar is not gone through again, where it is come to by the keys.
    await page.locator('header.bar').getByRole('link').first().focus();
    await page.keyboard.press('Shift+Tab');
    await expect(page.getByRole('button', { name: 'Past the bar' })).toBeFocused();
    await page.keyboard.press('Enter');
    expect(await isInMain()).toBe(true);
    titles.add(await page.title());
  }
  expect(titles.size).toBe(7);
});

test('a view whose script has not come says so, and comes by itself when it can', async ({
  demo,
  page,
}) => {
  const script = /KitView.*\.js/;
  await page.route(script, (route) => route.abort());
  await page.goto(demo.origin);
  await page.getByRole('link', { name: 'Tools', exact: true }).click();
  await expect(page.getByText('This view has not come')).toBeVisible();
  await expect(page.getByRole('heading', { name: 'Shelf' })).toBeVisible();
  await page.unroute(script);
  await expect(page.getByRole('heading', { name: 'My tools' })).toBeVisible({ timeout: 15_000 });
  await expect(page.getByText('This view has not come')).toHaveCount(0);
});

test('a question mark shows what the keys do, and Escape puts that away', async ({
  demo,
  page,
}) => {
  await openFromShelf(page, demo, 'Pocket sundial');
  await page.locator('main').focus();
  await page.keyboard.press('?');
  const keys = page.getByRole('dialog', { name: 'Keys' });
  await expect(keys.getByText('Undo the last change')).toBeVisible();
  expect(await findings(page)).toEqual([]);
  await page.keyboard.press('Escape');
  await expect(keys).toHaveCount(0);
  // In a name it is a letter like any other.
  await page.getByLabel('Name of the box').press('?');
  await expect(keys).toHaveCount(0);
});

/** What stands in the bar and can be seen, as it lies in the window. */
function barOf(page: Page) {
  return page.locator('header.bar').evaluate((bar) => {
    const own = bar.getBoundingClientRect();
    const parts = [...bar.querySelectorAll('a, button:not(.skip), input, strong, label')]
      .map((each) => ({ text: each.textContent.trim(), box: each.getBoundingClientRect() }))
      .filter(({ box }) => box.width > 1 && box.height > 1)
      .map(({ text, box: { left, right, top, bottom } }) => ({ text, left, right, top, bottom }));
    return { height: own.height, width: document.documentElement.clientWidth, parts };
  });
}

test('the bar is one row at every width, with all of it in reach', async ({ demo, page }) => {
  test.slow();
  await openFromShelf(page, demo, 'Planet marbles, nine in a row');
  const address = page.url();
  for (const view of ['', '/compare', '/limits', '/make']) {
    await page.setViewportSize({ width: 1280, height: 800 });
    await page.goto(`${address}${view}`);
    // What the server has shown has a bar of its own, until the page has come.
    await expect(page.locator('#first-sight')).toHaveCount(0);
    // The field of the Box view, or a name that is no field.
    await expect(page.locator('header.bar .name input, header.bar .box-name')).toBeVisible();
    for (const width of [1400, 1280, 1239, 844, 768, 680, 390, 320]) {
      await page.setViewportSize({ width, height: width === 844 ? 390 : 800 });
      const { height: high, width: whole, parts } = await barOf(page);
      const where = `${view} at ${width}`;
      expect(high, where).toBeLessThanOrEqual(53);
      for (const part of parts) {
        expect(part.left, `${part.text}, ${where}`).toBeGreaterThanOrEqual(0);
        expect(part.right, `${part.text}, ${where}`).toBeLessThanOrEqual(whole);
        expect(part.bottom, `${part.text}, ${where}`).toBeLessThanOrEqual(high);
      }
      for (const one of parts)
        for (const other of parts) {
          // A field lies in its label.
          const isIn = one === other || one.text === '' || other.text === '';
          const isApart = one.right <= other.left + 0.5 || other.right <= one.left + 0.5;
          expect(isIn || isApart, `${one.text} and ${other.text}, ${where}`).toBe(true);
        }
    }
  }
  // What has no room in the row is in the menu, which a key closes.
  const menu = page.getByRole('button', { name: 'all views' });
  await menu.click();
  await expect(page.getByRole('link', { name: 'Papers', exact: true })).toBeVisible();
  await page.keyboard.press('Escape');
  await expect(page.getByRole('link', { name: 'Papers', exact: true })).toBeHidden();
  await expect(menu).toBeFocused();
});

test('a phone shows one piece at a time, large, with nothing over anything', async ({
  demo,
  page,
}) => {
  await page.setViewportSize({ width: 390, height: 844 });
  for (const name of ['Pocket sundial', 'Meteorite jar', 'Planet marbles, nine in a row']) {
    await openFromShelf(page, demo, name);
    const names = page.getByRole('group', { name: 'Which piece' }).getByRole('button');
    await expect(names.first()).toBeVisible();
    for (const [at, button] of (await names.all()).entries()) {
      await button.click();
      await expect(button).toHaveAttribute('aria-pressed', 'true');
      const drawing = page.locator('.strip .one').nth(at).locator('svg[role=img]');
      const where = `${name}, ${(await button.textContent()) ?? ''}`;
      // It is swiped there, and comes to rest.
      await expect
        .poll(async () => Math.round((await drawing.boundingBox())?.x ?? 1), { message: where })
        .toBe(0);
      const { piece, texts } = await drawing.evaluate((svg) => {
        const rect = (of: Element) => {
          const { left, right, top, bottom } = of.getBoundingClientRect();
          return { text: of.textContent, left, right, top, bottom };
        };
        const drawn = svg.querySelector('g:has(> .title) > g');
        const said = [...svg.querySelectorAll('text')];
        return { piece: drawn && rect(drawn), texts: said.map(rect) };
      });
      if (!piece) throw new Error(`Nothing is drawn: ${where}`);
      const size = Math.max(piece.right - piece.left, piece.bottom - piece.top);
      expect(size, where).toBeGreaterThan(150);
      for (const one of [piece, ...texts]) {
        expect(one.left, `${one.text}, ${where}`).toBeGreaterThanOrEqual(0);
        expect(one.right, `${one.text}, ${where}`).toBeLessThanOrEqual(390);
      }
      for (const [i, one] of texts.entries())
        for (const other of texts.slice(i + 1)) {
          const isApart =
            one.right <= other.left + 1 ||
            other.right <= one.left + 1 ||
            one.bottom <= other.top + 3 ||
            other.bottom <= one.top + 3;
          expect(isApart, `${one.text} and ${other.text}, ${where}`).toBe(true);
        }
    }
  }
});

test('at the bench the drawing keeps half of the height, and the buttons their place', async ({
  demo,
  page,
}) => {
  test.slow();
  await page.emulateMedia({ reducedMotion: 'reduce' });
  await openFromShelf(page, demo, 'Meteorite jar');
  await page.getByRole('link', { name: 'Make', exact: true }).click();
  for (const [width, height] of [
    [1280, 800],
    [768, 1024],
    [390, 844],
    [844, 390],
    // 1280 × 800 at 200 %.
    [640, 400],
  ] as const) {
    await page.setViewportSize({ width, height });
    await expect(page.locator('.tool-drawing')).toBeVisible();
    const feet = new Set<number>();
    for (let step = 0; step < 21; step++) {
      await page.keyboard.press(width % 4 === 0 ? 'ArrowRight' : 'ArrowLeft');
      const at = await page.evaluate(() => {
        const rect = (of: string) => document.querySelector(of)?.getBoundingClientRect();
        return { drawing: rect('.tool-drawing'), foot: rect('.bench > footer') };
      });
      const where = `step ${step} at ${width}`;
      expect(at.drawing?.height, where).toBeGreaterThanOrEqual(height / 2 - 1);
      expect(at.foot?.bottom, where).toBeLessThanOrEqual(height + 1);
      expect(await crowdingOn(page), where).toEqual([]);
      feet.add(Math.round(at.foot?.bottom ?? 0));
    }
    expect([...feet], `the foot at ${width}`).toHaveLength(1);
  }
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
