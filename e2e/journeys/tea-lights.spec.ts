import type { Page } from '@playwright/test';
import { expect, sizeOf, test } from '../support/test.ts';

/** More stops than any view has. */
const manyStops = 150;

/** How a maker gets at something: by pointing at it, or by the keys alone. */
interface Hand {
  readonly press: (page: Page, role: 'button' | 'link', name: RegExp) => Promise<void>;
  readonly type: (page: Page, label: string, text: string) => Promise<void>;
  readonly choose: (page: Page, label: string, option: string) => Promise<void>;
}

const pointing: Hand = {
  press: (page, role, name) => page.getByRole(role, { name }).first().click(),
  type: async (page, label, text) => {
    await page.getByLabel(label, { exact: true }).fill(text);
    await page.getByLabel(label, { exact: true }).blur();
  },
  choose: async (page, label, option) => {
    await page.getByRole('combobox', { name: label, exact: true }).click();
    await page.getByRole('option', { name: option, exact: true }).click();
  },
};

/** Goes on from stop to stop until it is at something of this name. */
async function tabTo(page: Page, isThere: () => Promise<boolean>, what: string): Promise<void> {
  for (let stop = 0; stop < manyStops; stop++) {
    if (await isThere()) return;
    await page.keyboard.press('Tab');
  }
  throw new Error(`The keys don’t come to ${what}`);
}

function isFocused(page: Page, role: 'button' | 'link' | 'combobox', name: string | RegExp) {
  const wanted = page.getByRole(role, { name, exact: typeof name === 'string' });
  return () =>
    wanted.evaluateAll((all) => all.some((each) => each === each.ownerDocument.activeElement));
}

const keys: Hand = {
  press: async (page, role, name) => {
    await page.getByRole(role, { name }).first().waitFor();
    await tabTo(page, isFocused(page, role, name), name.source);
    await page.keyboard.press('Enter');
  },
  type: async (page, label, text) => {
    const field = page.getByLabel(label, { exact: true });
    await field.waitFor();
    const isThere = () =>
      field.evaluate((element) => element === element.ownerDocument.activeElement);
    await tabTo(page, isThere, label);
    await page.keyboard.press('Control+A');
    await page.keyboard.type(text);
    await page.keyboard.press('Tab');
  },
  choose: async (page, label, option) => {
    await page.getByRole('combobox', { name: label, exact: true }).waitFor();
    await tabTo(page, isFocused(page, 'combobox', label), label);
    await page.keyboard.press('Enter');
    const wanted = page.getByRole('option', { name: option, exact: true });
    await wanted.waitFor();
    const id = await wanted.getAttribute('id');
    const field = page.getByRole('combobox', { name: label, exact: true });
    for (let step = 0; step < manyStops; step++) {
      if ((await field.getAttribute('aria-activedescendant')) === id) break;
      await page.keyboard.press(step < manyStops / 2 ? 'ArrowDown' : 'ArrowUp');
    }
    await page.keyboard.press('Enter');
  },
};

for (const { by, hand, width, height } of [
  { by: 'by the mouse', hand: pointing, width: 1280, height: 800 },
  { by: 'by the keys alone', hand: keys, width: 1280, height: 800 },
  { by: 'on a phone', hand: pointing, width: 390, height: 844 },
] as const)
  test(`twelve tea lights get their cut list on own sheets and an own board ${by}`, async ({
    demo,
    browser,
  }) => {
    test.slow();
    const context = await browser.newContext({
      locale: 'en-GB',
      viewport: { width, height },
      reducedMotion: 'reduce',
    });
    await context.addInitScript(() => {
      localStorage.setItem('rangoli.first-steps', '3');
    });
    const page = await context.newPage();
    await page.goto(demo.origin);
    await hand.press(page, 'button', /^New box$/);
    await sizeOf(page, 'base').waitFor();
    await hand.press(page, 'button', /^Common things$/);
    await hand.press(page, 'button', /^Tea light 38/);
    await hand.type(page, 'How many across', '4');
    await hand.type(page, 'How many deep', '3');
    for (const piece of ['Base', 'Lid']) {
      await hand.choose(page, `${piece} sheet`, 'Another size…');
      await hand.type(page, `${piece} sheet width`, '180');
      await hand.type(page, `${piece} sheet height`, '180');
      await hand.type(page, `${piece} paper thickness`, '0.25');
    }
    await hand.choose(page, 'Scoring board', 'My tools…');
    const board = page.getByRole('listitem').filter({ hasText: '5 mm grooves' });
    await hand.press(page, 'button', /^Edit 5 mm grooves$/);
    await hand.choose(page, 'Fence on the', 'right');
    await expect(board).toContainText('fence on the right');
    if (width < 680) await page.getByRole('button', { name: 'all views' }).click();
    await hand.press(page, 'link', /^Box$/);
    await hand.press(page, 'button', /^Plan it with them as they are now$/);
    await hand.press(page, 'button', /^6 in each of 2 boxes/);
    await expect(
      page.getByText('Now 2 of these boxes are to be made, in place of 1'),
    ).toBeVisible();
    // Six in two rows, each wall as high as they are and the card between, on the board’s grooves.
    await expect(sizeOf(page, 'base')).toHaveText(/^121\s*×\s*160/);
    await expect(sizeOf(page, 'lid')).toHaveText(/^102\s*×\s*142/);
    if (width < 680) await page.getByRole('button', { name: 'all views' }).click();
    await hand.press(page, 'link', /^Make$/);
    await expect(page.getByLabel('How many boxes')).toHaveValue('2');
    await expect(page.getByRole('main')).toContainText('From two sheets of Dusk');
    const steps = page.getByRole('navigation', { name: 'Steps' });
    if (width < 680) await page.getByRole('button', { name: /^Step \d/ }).click();
    await steps
      .getByRole('button', { name: /^Base: 20/ })
      .first()
      .click();
    await expect(page.getByRole('main')).toContainText('against the right fence');
    await context.close();
  });
