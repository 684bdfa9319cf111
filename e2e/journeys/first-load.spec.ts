import { expect, test } from '../support/test.ts';

/** What each view may load of script when it is the first one to be opened, in thousands of bytes as they travel. */
const budgets = [
  { view: 'the shelf', path: '/', most: 165 },
  { view: 'a box', path: '/box/ID', most: 195 },
  { view: 'Compare', path: '/box/ID/compare', most: 165 },
  { view: 'What fits', path: '/box/ID/limits', most: 180 },
  { view: 'Make', path: '/box/ID/make', most: 200 },
  { view: 'the printed sheet', path: '/box/ID/print', most: 168 },
  { view: 'My papers', path: '/papers', most: 180 },
  { view: 'My tools', path: '/kit', most: 180 },
];

test('no view loads more than its budget, the folding in space apart', async ({
  demo,
  browser,
}) => {
  // Eight first visits, one after the other.
  test.slow();
  const list: unknown = await (await fetch(`${demo.origin}/api/projects`)).json();
  const id = /"id":"([^"]+)"/.exec(JSON.stringify(list))?.[1] ?? '';
  for (const { view, path, most } of budgets) {
    const context = await browser.newContext();
    const page = await context.newPage();
    await page.goto(demo.origin + path.replace('ID', id));
    await page.waitForLoadState('networkidle');
    const bytes = await page.evaluate(() => {
      // On a slow machine the other views are on their way before all is quiet.
      const [ahead] = performance.getEntriesByName('loading ahead');
      return performance
        .getEntriesByType('resource')
        .filter(({ startTime }) => startTime < (ahead?.startTime ?? Infinity))
        .flatMap((entry) =>
          entry instanceof PerformanceResourceTiming &&
          entry.name.endsWith('.js') &&
          !/fold-stage|worker/.test(entry.name)
            ? [entry.encodedBodySize]
            : [],
        )
        .reduce((sum, size) => sum + size, 0);
    });
    console.log(`${view}: ${(bytes / 1000).toFixed(0)} kB of ${most}`);
    expect(bytes, view).toBeGreaterThan(100_000);
    expect(bytes / 1000, view).toBeLessThan(most);
    await context.close();
  }
});
