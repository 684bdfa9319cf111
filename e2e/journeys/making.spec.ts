import { expect, openFromShelf, sizeOf, test } from '../support/test.ts';

test('six sundial boxes are made on a tablet by saying done, and a break changes nothing', async ({
  demo,
  browser,
}) => {
  const visit = await browser.newContext({ viewport: { width: 768, height: 1024 } });
  const page = await visit.newPage();
  await openFromShelf(page, demo, 'Pocket sundial');
  await page.getByRole('link', { name: 'Make', exact: true }).click();
  await expect(page.getByText('Step 1 of 13')).toBeVisible();
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('3 3/4 in');
  await expect(page.getByText('From one sheet of Dusk: cut two strips')).toBeVisible();
  await expect(page.getByText('0 of 2')).toBeAttached();

  // From sheets to strips to pieces, one by one and then the rest at once.
  await page.getByRole('button', { name: 'Done one' }).click();
  await page.getByRole('button', { name: 'Done', exact: true }).click();
  await page.getByRole('button', { name: 'Both done' }).click();
  await expect(page.getByText('cut six lids')).toBeVisible();
  await page.getByRole('button', { name: 'All six done' }).click();
  await page.getByRole('button', { name: 'Done one' }).click();
  await page.getByRole('button', { name: 'The other five done' }).click();
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('5/8 in');
  await expect(page.getByText('Turn it a quarter clockwise and do the same.')).toBeVisible();
  await page.getByRole('button', { name: 'Done one' }).click();
  await expect(page.getByText('1 of 6')).toBeAttached();
  const kept = page.waitForResponse(
    (answer) => answer.request().postData()?.includes('score base') === true && answer.ok(),
  );
  await page.getByRole('button', { name: 'Done one' }).click();
  await expect(page.getByText('2 of 6')).toBeAttached();
  await kept;
  await page.waitForLoadState('networkidle');
  const address = page.url();
  await visit.close();

  // Another day, on the same tablet.
  const later = await browser.newContext({ viewport: { width: 768, height: 1024 } });
  const again = await later.newPage();
  await again.goto(address);
  await expect(again.getByText('Step 5 of 13')).toBeVisible();
  await expect(again.getByText('2 of 6')).toBeAttached();
  await again.getByRole('button', { name: 'The other four done' }).click();
  const shows: string[] = [];
  const nextMove = again.getByRole('button', { name: 'Next move' });
  const step = again.getByText(/Step \d+ of 13/);
  const done = again.getByText('All six boxes are made');
  const comesToItsEnd = async () => {
    // Between two steps there may be neither.
    await expect(step.or(done)).toBeVisible();
    return done.isVisible();
  };
  while (!(await comesToItsEnd())) {
    const heading = again.getByRole('heading', { level: 1 });
    shows.push(await heading.innerText());
    // A wall at a time: each move has its own heading.
    while (await nextMove.isVisible()) {
      await nextMove.click();
      shows.push(await heading.innerText());
    }
    const before = await step.innerText();
    await again.getByRole('button', { name: 'All six done' }).click();
    await expect(again.getByText(before)).toBeHidden();
    expect(shows.length).toBeLessThan(40);
  }
  expect(shows.at(0)).toBe('1/2 in');
  const piece = [
    'Turn in the tabs',
    'Fold up the walls',
    'Glue the back wall',
    'Glue the front wall',
  ];
  expect(shows.slice(-10)).toEqual([...piece, ...piece, 'Gift in', 'Lid on']);
  await expect(again.getByText('All six boxes are made')).toBeVisible();

  // How it turned out is learned for the lid's paper, and the next lid is planned by it.
  await again.getByRole('button', { name: 'too tight' }).click();
  await expect(again.getByText(/^Lids of Sodium are now planned to clear by/)).toBeVisible();
  await again.getByRole('link', { name: 'Box', exact: true }).click();
  await expect(sizeOf(again, 'lid')).not.toHaveText(/^3 9\/16\s*×/);
  await later.close();
});

test('steps are walked by keys, and a step is done again', async ({ demo, page }) => {
  await openFromShelf(page, demo, 'Hand lens');
  await page.getByRole('link', { name: 'Make', exact: true }).click();
  const steps = page.getByRole('navigation', { name: 'Steps' });
  await expect(steps.getByRole('button')).not.toHaveCount(0);
  const heading = page.getByRole('heading', { level: 1 });
  const first = await heading.innerText();
  await page.keyboard.press('ArrowRight');
  await expect(heading).not.toHaveText(first);
  await page.keyboard.press('ArrowLeft');
  await expect(heading).toHaveText(first);
  // A step of several settings goes on from one to the next, and is done after the last.
  const done = steps.getByRole('button').first().getByText('done');
  for (let setting = 0; setting < 4 && !(await done.isVisible()); setting++)
    await page.keyboard.press('Space');
  await expect(steps.getByRole('button').first()).toContainText('done');
  await steps.getByRole('button').first().click();
  await page.getByRole('button', { name: 'Do it again' }).click();
  await expect(steps.getByRole('button').first()).not.toContainText('done');
  await expect(heading).toHaveText(first);

  // However long a step's text is, its buttons stay on the screen.
  const count = await steps.getByRole('button').count();
  for (let step = 0; step < count; step++) {
    await expect(page.getByRole('button', { name: 'Off by a bit?' })).toBeInViewport({ ratio: 1 });
    await page.keyboard.press('ArrowRight');
  }
});

test('the steps of every box on the shelf are printed on two sheets at the most', async ({
  demo,
  page,
}) => {
  test.slow();
  await page.goto(demo.origin);
  const boxes = page.locator('a[href^="/box/"]');
  await expect(boxes).not.toHaveCount(0);
  const addresses = await boxes.evaluateAll((links) =>
    links.map((link) => link.getAttribute('href')),
  );
  for (const address of new Set(addresses)) {
    await page.goto(`${demo.origin}${address ?? ''}/make`);
    const steps = page.getByRole('navigation', { name: 'Steps' }).getByRole('button');
    await expect(steps).not.toHaveCount(0);
    // How many boxes there are to be is read after the box itself.
    await page.waitForLoadState('networkidle');
    const count = await steps.count();
    await page.goto(`${demo.origin}${address ?? ''}/print`);
    await expect(page.getByRole('listitem')).toHaveCount(count);
    for (const format of ['Letter', 'A4']) {
      const paper = (await page.pdf({ format })).toString('latin1');
      const pages = [...paper.matchAll(/\/Type\s*\/Page\b/g)].length;
      expect(pages, `${address ?? ''} on ${format}`).toBeGreaterThan(0);
      expect(pages, `${address ?? ''} on ${format}`).toBeLessThanOrEqual(2);
    }
  }
});
