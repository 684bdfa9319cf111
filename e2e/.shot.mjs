import { chromium } from 'playwright-core';
const [path, out, w = '1280', h = '800', js] = process.argv.slice(2);
const browser = await chromium.launch({
  executablePath: '/usr/bin/chromium',
  args: [
    '--no-sandbox',
    '--use-gl=angle',
    '--use-angle=swiftshader',
    '--enable-unsafe-swiftshader',
  ],
});
const page = await browser.newPage({ viewport: { width: +w, height: +h } });
page.on('console', (m) => {
  if (m.type() === 'error') console.log('console:', m.text().slice(0, 200));
});
page.on('pageerror', (e) => console.log('pageerror', String(e).slice(0, 300)));
if (path.startsWith('/')) await page.goto('http://localhost:4180' + path);
else {
  await page.goto('http://localhost:4180/');
  await page.getByText(path, { exact: true }).first().click();
}
await page.waitForTimeout(1500);
if (js) {
  const f = new Function('page', 'return (async () => {' + js + '})()');
  const r = await f(page);
  if (r !== undefined) console.log(JSON.stringify(r));
  await page.waitForTimeout(800);
}
await page.screenshot({ path: out });
await browser.close();
