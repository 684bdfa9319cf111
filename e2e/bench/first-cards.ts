import { setTimeout } from 'node:timers/promises';
import { launchChromium } from '../support/browser.ts';
import { fillShelf } from '../support/fill-shelf.ts';
import { median } from '../support/median.ts';
import { RangoliServer } from '../support/rangoli-server.ts';
import { noteWhenDrawn, whenDrawn } from '../support/when-drawn.ts';

/* A shelf of five hundred boxes opened by a browser that has never seen Rangoli: when its first cards are drawn, and when those of the page itself are. */

const boxesOnShelf = 500;
const rounds = 7;
/** Milliseconds after which the page has drawn its cards; the server draws none so soon. */
const settled = 2200;
/** Milliseconds in which the server draws what it shows first. */
const untilDrawn = 8000;

const server = new RangoliServer('--demo');
await server.start();
await fillShelf(server.origin, boxesOnShelf);
const browser = await launchChromium();

async function openCold(): Promise<Readonly<Record<string, number>>> {
  const context = await browser.newContext({ viewport: { width: 1280, height: 800 } });
  const page = await context.newPage();
  await noteWhenDrawn(page, {
    card: '.shelf > li > a',
    drawing: '.shelf > li .pieces',
    ownCard: '#app .shelf > li > a',
    ownDrawing: '#app .shelf > li .pieces',
  });
  await page.goto(server.origin);
  // Whoever looked at it meanwhile would take the page's own time.
  await setTimeout(settled);
  const drawn = await whenDrawn(page);
  await context.close();
  return drawn;
}

async function report(when: string): Promise<void> {
  const opened: Readonly<Record<string, number>>[] = [];
  for (let round = 0; round < rounds; round++) opened.push(await openCold());
  const after = (name: string) => median(opened.map((each) => each[name] ?? Infinity)).toFixed(0);
  console.log(
    `a shelf of ${String(boxesOnShelf)}, ${when}: first cards after ${after('card')} ms (wanted: 1000), their drawings after ${after('drawing')} ms, ` +
      `the page’s own after ${after('ownCard')} and ${after('ownDrawing')} ms; median of ${String(rounds)}`,
  );
}

await report('not drawn by the server yet');
await setTimeout(untilDrawn);
await report('drawn by the server already');
await browser.close();
await server.dispose();
