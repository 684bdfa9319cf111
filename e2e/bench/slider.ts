import { launchChromium } from '../support/browser.ts';
import { RangoliServer } from '../support/rangoli-server.ts';

/* Frames while the room slider is dragged in the Box view, and the work done for each. */

const server = new RangoliServer('--demo');
await server.start();
const browser = await launchChromium();
const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });

await page.goto(server.origin);
await page.getByRole('link', { name: 'Pocket sundial' }).click();
const handle = page.getByRole('slider', { name: 'Room around the gift' });
await handle.waitFor();
const address = page.url();

const session = await page.context().newCDPSession(page);
await session.send('Network.enable');
await session.send('Network.setCacheDisabled', { cacheDisabled: true });
const scripts = new Set<string>();
let scriptBytes = 0;
session.on('Network.responseReceived', ({ requestId, type }) => {
  if (type === 'Script') scripts.add(requestId);
});
session.on('Network.loadingFinished', ({ requestId, encodedDataLength }) => {
  if (scripts.has(requestId)) scriptBytes += encodedDataLength;
});
await page.goto(address);
await handle.waitFor();
await page.waitForLoadState('networkidle');

await session.send('Performance.enable');
async function metrics(): Promise<ReadonlyMap<string, number>> {
  const answer = await session.send('Performance.getMetrics');
  return new Map(answer.metrics.map(({ name, value }) => [name, value]));
}

const box = await handle.boundingBox();
if (!box) throw new Error('The slider is nowhere');
const y = box.y + box.height / 2;
await page.mouse.move(box.x + box.width / 2, y);
await page.mouse.down();
// As text: what the loader adds to named functions is not known in the page.
await page.evaluate(`
  window.frameTimes = [];
  requestAnimationFrame(function tick(time) {
    window.frameTimes.push(time);
    requestAnimationFrame(tick);
  });
`);
const before = await metrics();
for (let i = 0; i < 240; i++) await page.mouse.move(90 + 75 * Math.sin(i / 14), y);
const after = await metrics();
const frames = await page.evaluate((): readonly number[] => {
  const found: unknown = Reflect.get(window, 'frameTimes');
  return Array.isArray(found) ? found.map(Number) : [];
});
await page.mouse.up();
await browser.close();
await server.dispose();

const gaps = frames
  .slice(1)
  .map((time, i) => time - (frames[i] ?? 0))
  .sort((a, b) => a - b);
const at = (share: number) => (gaps[Math.floor(gaps.length * share)] ?? 0).toFixed(1);
const perMove = (name: string) =>
  ((((after.get(name) ?? 0) - (before.get(name) ?? 0)) * 1000) / 240).toFixed(2);
console.log(
  `Room slider dragged, 240 moves: frame median ${at(0.5)} ms, p95 ${at(0.95)} ms (wanted: 16.7); ` +
    `work for each move: script ${perMove('ScriptDuration')} ms, style ${perMove('RecalcStyleDuration')} ms, ` +
    `layout ${perMove('LayoutDuration')} ms, all of it ${perMove('TaskDuration')} ms`,
);
console.log(
  `Script of the Box view’s first load: ${(scriptBytes / 1000).toFixed(0)} kB gzipped (wanted: under 300)`,
);
