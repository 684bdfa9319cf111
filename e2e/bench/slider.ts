import type { Browser, CDPSession, Locator, Page } from '@playwright/test';
import { launchChromium, launchWithWebGL } from '../support/browser.ts';
import { RangoliServer } from '../support/rangoli-server.ts';

/* Frames while a slider of the Box view is dragged, and the work done for each. */

const moves = 240;

interface Opened {
  readonly page: Page;
  readonly session: CDPSession;
  readonly scriptBytes: () => number;
}

async function openBox(browser: Browser, origin: string): Promise<Opened> {
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
  await page.goto(origin);
  await page.getByRole('link', { name: 'Pocket sundial' }).click();
  await page.getByRole('slider', { name: 'Room around the gift' }).waitFor();
  const session = await page.context().newCDPSession(page);
  await session.send('Network.enable');
  await session.send('Network.setCacheDisabled', { cacheDisabled: true });
  const scripts = new Set<string>();
  let bytes = 0;
  session.on('Network.responseReceived', ({ requestId, type }) => {
    if (type === 'Script') scripts.add(requestId);
  });
  session.on('Network.loadingFinished', ({ requestId, encodedDataLength }) => {
    if (scripts.has(requestId)) bytes += encodedDataLength;
  });
  await page.reload();
  await page.waitForLoadState('networkidle');
  await session.send('Performance.enable');
  return { page, session, scriptBytes: () => bytes };
}

async function drag(what: string, handle: Locator, { page, session }: Opened): Promise<void> {
  const metrics = async (): Promise<ReadonlyMap<string, number>> => {
    const answer = await session.send('Performance.getMetrics');
    return new Map(answer.metrics.map(({ name, value }) => [name, value]));
  };
  const box = await handle.boundingBox();
  if (!box) throw new Error('The slider is nowhere');
  const [x, y] = [box.x + box.width / 2, box.y + box.height / 2];
  await page.mouse.move(x, y);
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
  for (let i = 0; i < moves; i++) await page.mouse.move(x - 40 + 75 * Math.sin(i / 14), y);
  const after = await metrics();
  const frames = await page.evaluate((): readonly number[] => {
    const found: unknown = Reflect.get(window, 'frameTimes');
    return Array.isArray(found) ? found.map(Number) : [];
  });
  await page.mouse.up();
  const gaps = frames
    .slice(1)
    .map((time, i) => time - (frames[i] ?? 0))
    .sort((a, b) => a - b);
  const at = (share: number) => (gaps[Math.floor(gaps.length * share)] ?? 0).toFixed(1);
  const perMove = (name: string) =>
    ((((after.get(name) ?? 0) - (before.get(name) ?? 0)) * 1000) / moves).toFixed(2);
  console.log(
    `${what} dragged, ${moves} moves: frame median ${at(0.5)} ms, p95 ${at(0.95)} ms (wanted: 16.7); ` +
      `work for each move: script ${perMove('ScriptDuration')} ms, style ${perMove('RecalcStyleDuration')} ms, ` +
      `layout ${perMove('LayoutDuration')} ms, all of it ${perMove('TaskDuration')} ms`,
  );
}

const server = new RangoliServer('--demo');
await server.start();

const browser = await launchChromium();
const flat = await openBox(browser, server.origin);
await drag('Room slider', flat.page.getByRole('slider', { name: 'Room around the gift' }), flat);
await browser.close();

// Here the processor draws what a graphics card would: the frames are slow, the computation is not.
const inSpace = await launchWithWebGL();
const opened = await openBox(inSpace, server.origin);
const fold = opened.page.getByRole('slider', { name: 'How far the box is folded' });
await drag('Fold slider, drawn in space by the processor,', fold, opened);
console.log(
  `Script with the folding in space: ${(opened.scriptBytes() / 1000).toFixed(0)} kB gzipped`,
);
await inSpace.close();
await server.dispose();
