import { resolve } from 'node:path';
import type { Page } from '@playwright/test';
import { launchWithWebGL } from '../support/browser.ts';
import { RangoliServer } from '../support/rangoli-server.ts';

const folder = resolve(import.meta.dirname, '../../docs/screenshots');

interface Shot {
  readonly name: string;
  readonly width?: number;
  readonly height?: number;
  readonly set: (page: Page, origin: string, server: RangoliServer) => Promise<void>;
}

async function openBox(page: Page, origin: string, name: string): Promise<void> {
  await page.goto(origin);
  await page.getByRole('link', { name }).click();
  await page.getByRole('region', { name: 'Cut list' }).waitFor();
}

/** One picture of each main view and of the states that matter. */
const shots: readonly Shot[] = [
  {
    name: 'shelf',
    set: async (page, origin) => {
      await page.goto(origin);
      // The last of the cards in sight is drawn.
      await page.locator('.card .folded').nth(7).waitFor();
      await page.waitForTimeout(1500);
    },
  },
  {
    name: 'box',
    set: async (page, origin) => {
      await openBox(page, origin, 'Pocket sundial');
      await page.locator('[data-piece=lid] .score').hover();
      await page.waitForTimeout(2500);
    },
  },
  {
    name: 'box-folding',
    set: async (page, origin) => {
      await openBox(page, origin, 'Night tea tin');
      await page.waitForTimeout(2500);
    },
  },
  {
    name: 'box-dressed',
    set: async (page, origin) => {
      await openBox(page, origin, 'Eclipse glasses');
      await page.getByLabel('How far the box is folded').focus();
      await page.keyboard.press('End');
      await page.waitForTimeout(2500);
    },
  },
  {
    name: 'box-divided',
    set: async (page, origin) => {
      await openBox(page, origin, 'Planet marbles, three by three');
      await page.getByLabel('How far the box is folded').focus();
      for (let back = 0; back < 8; back++) await page.keyboard.press('ArrowLeft');
      await page.waitForTimeout(2500);
    },
  },
  {
    name: 'compare',
    set: async (page, origin) => {
      await openBox(page, origin, 'Pocket sundial');
      await page.getByRole('link', { name: 'Compare', exact: true }).click();
      await page.getByText(/\d+ of \d+ fit/).waitFor();
      await page.waitForTimeout(1500);
    },
  },
  {
    name: 'what-fits',
    set: async (page, origin) => {
      await openBox(page, origin, 'Hand lens');
      await page.getByRole('link', { name: 'What fits' }).click();
      await page.getByText(/wider with its proportions, or/).waitFor();
      await page.waitForTimeout(600);
    },
  },
  {
    name: 'make',
    set: async (page, origin) => {
      await openBox(page, origin, 'Pocket sundial');
      await page.getByRole('link', { name: 'Make', exact: true }).click();
      await page.getByRole('button', { name: 'Both done' }).click();
      await page.getByRole('button', { name: 'Both done' }).click();
      for (let step = 0; step < 2; step++)
        await page.getByRole('button', { name: 'All six done' }).click();
      await page.getByRole('button', { name: 'Done one' }).click();
      await page.getByRole('button', { name: 'Done one' }).click();
      await page.getByRole('button', { name: 'Next mark' }).click();
      await page.waitForTimeout(1200);
    },
  },
  {
    name: 'make-tablet',
    width: 768,
    height: 1024,
    set: async (page, origin) => {
      await openBox(page, origin, 'Hand lens');
      await page.getByRole('link', { name: 'Make', exact: true }).click();
      await page.getByRole('button', { name: /^Step/ }).click();
      await page.getByRole('button', { name: /^Tray: glue/ }).click();
      await page.waitForTimeout(2000);
    },
  },
  {
    name: 'make-punch-board',
    set: async (page, origin) => {
      await openBox(page, origin, 'Night tea, a bag');
      await page.getByRole('link', { name: 'Make', exact: true }).click();
      await page.getByRole('button', { name: /^Base: punch and score/ }).click();
      await page.waitForTimeout(900);
      await page.waitForTimeout(1200);
    },
  },
  {
    name: 'off-by-a-bit',
    set: async (page, origin) => {
      await openBox(page, origin, 'Pocket sundial');
      await page.getByRole('link', { name: 'Make', exact: true }).click();
      await page.getByRole('button', { name: /Dusk: six bases/ }).click();
      await page.getByRole('button', { name: 'Off by a bit?' }).click();
      await page.getByLabel('Width as cut').fill('3 11/16');
      await page.getByText('It can be saved').waitFor();
      await page.waitForTimeout(800);
    },
  },
  {
    name: 'tools',
    set: async (page, origin) => {
      await page.goto(`${origin}/kit`);
      await page.getByRole('listitem').first().getByRole('checkbox').check();
      await page.waitForTimeout(800);
    },
  },
  {
    name: 'papers',
    set: async (page, origin) => {
      await page.goto(`${origin}/papers`);
      await page
        .getByRole('listitem')
        .filter({ hasText: 'Star trails' })
        .getByRole('button', { name: 'Copy' })
        .click();
      await page.getByLabel('Name').fill('Star trails, scrapbook pad');
      await page.getByLabel('Weight on the pack').fill('200');
      await page.keyboard.press('Tab');
      await page.getByLabel('A lid over its base: best').fill('0.55');
      await page.mouse.move(0, 0);
      await page.evaluate(() => scrollTo(0, 0));
      await page.waitForTimeout(800);
    },
  },
  {
    name: 'box-many-pieces',
    set: async (page, origin) => {
      await openBox(page, origin, 'Meteorite jar');
      await page.waitForTimeout(2500);
    },
  },
  {
    name: 'box-resized',
    set: async (page, origin) => {
      await page.goto(origin);
      await page.getByRole('button', { name: /^Resize Pocket sundial/ }).click();
      await page.getByLabel('Width', { exact: true }).fill('3');
      await page.keyboard.press('Tab');
      await page.getByText('2 of 2 pieces changed').waitFor();
      await page.getByLabel('Open the closed box').click();
      await page.waitForTimeout(2500);
    },
  },
  {
    name: 'box-metric',
    set: async (page, origin) => {
      await openBox(page, origin, 'Moon-phase top');
      await page.getByRole('button', { name: 'mm', exact: true }).click();
      await page.getByRole('button', { name: 'Use tools in mm' }).click();
    },
  },
  {
    name: 'box-too-large',
    set: async (page, origin) => {
      await openBox(page, origin, 'Rolled star chart');
      await page.getByLabel('Length', { exact: true }).fill('14');
      await page.getByRole('list', { name: 'What would do' }).waitFor();
      await page.getByText('Looking for what would do').waitFor({ state: 'hidden' });
    },
  },
  {
    name: 'kept',
    set: async (page, origin, server) => {
      await openBox(page, origin, 'Hand lens');
      await page.getByRole('link', { name: 'Make', exact: true }).click();
      await page.getByRole('button', { name: 'Done', exact: true }).waitFor();
      // Everything has come by then that an open page needs.
      await page.waitForTimeout(6000);
      await server.stop();
      await page.getByRole('button', { name: 'Done', exact: true }).click();
      await page.getByRole('link', { name: 'Tools' }).click();
      await page.getByRole('listitem').first().getByRole('checkbox').check();
      await page.getByRole('link', { name: 'Some changes are only on this device' }).click();
    },
  },
  {
    name: 'box-phone',
    width: 390,
    height: 844,
    set: (page, origin) => openBox(page, origin, 'Pocket sundial'),
  },
];

const browser = await launchWithWebGL();
/** One picture only, where it is named. */
const [, , only] = process.argv;
for (const { name, width = 1280, height = 800, set } of shots) {
  if (only !== undefined && only !== name) continue;
  const server = new RangoliServer('--demo');
  await server.start();
  const page = await browser.newPage({ viewport: { width, height }, locale: 'en-US' });
  // Who knows Rangoli already.
  await page.addInitScript(() => {
    localStorage.setItem('rangoli.first-steps', '3');
  });
  await set(page, server.origin, server);
  await page.evaluate(() => document.fonts.ready.then(() => undefined));
  await page.waitForTimeout(900);
  await page.screenshot({ path: resolve(folder, `${name}.png`) });
  await page.close();
  await server.dispose();
  console.log(`docs/screenshots/${name}.png`);
}
await browser.close();
