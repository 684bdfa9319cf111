import { setTimeout } from 'node:timers/promises';
import { z } from 'zod';
import { launchChromium } from '../support/browser.ts';
import { median } from '../support/median.ts';
import { RangoliServer } from '../support/rangoli-server.ts';
import { noteWhenDrawn, whenDrawn } from '../support/when-drawn.ts';

/* A box opened for the first time on a processor at a quarter of its speed: when its cut list is to be read, when the page can be worked with, and the longest tasks. */

const slowdown = 4;
/** Milliseconds after the page's own scripts have come in which all of it is drawn. */
const settled = 5000;
const rounds = 5;
const boxes = ['Pocket sundial', 'Planet marbles, three by three', 'Night tea tin'];

interface Opening {
  /** Milliseconds until the cut list is drawn, as the server shows it or as the page does. */
  readonly cutList: number;
  /** Milliseconds until the page itself has drawn it: what is asked for can be changed. */
  readonly ownCutList: number;
  readonly longest: number;
  readonly blocked: number;
}

const server = new RangoliServer('--demo');
await server.start();
const browser = await launchChromium();

async function addressOf(name: string): Promise<string> {
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
  await page.goto(server.origin);
  const address = await page.getByRole('link', { name }).first().getAttribute('href');
  await page.close();
  if (!address) throw new Error(`The demo has no box “${name}”`);
  return server.origin + address;
}

/** Opens the box in a browser that has never seen Rangoli. */
async function openCold(address: string): Promise<Opening> {
  const context = await browser.newContext({ viewport: { width: 1280, height: 800 } });
  const page = await context.newPage();
  const session = await context.newCDPSession(page);
  await session.send('Emulation.setCPUThrottlingRate', { rate: slowdown });
  await noteWhenDrawn(page, {
    cutList: '[aria-label="Cut list"] .size',
    ownCutList: '#app [aria-label="Cut list"] .size',
  });
  await page.addInitScript(`
    window.tasks = [];
    new PerformanceObserver((list) => {
      for (const { duration } of list.getEntries()) window.tasks.push(duration);
    }).observe({ type: 'longtask', buffered: true });
  `);
  await page.goto(address);
  // Whoever looked for the cut list meanwhile would take the page's own time.
  await setTimeout(settled);
  const { cutList = Infinity, ownCutList = Infinity } = await whenDrawn(page);
  const tasks = z
    .array(z.number())
    .parse(await page.evaluate((): unknown => Reflect.get(window, 'tasks')));
  await context.close();
  return {
    cutList,
    ownCutList,
    longest: Math.max(0, ...tasks),
    blocked: tasks.reduce((sum, task) => sum + task, 0),
  };
}

for (const name of boxes) {
  const address = await addressOf(name);
  const opened: Opening[] = [];
  for (let round = 0; round < rounds; round++) opened.push(await openCold(address));
  const of = (read: (each: Opening) => number) => median(opened.map(read)).toFixed(0);
  console.log(
    `“${name}” opened cold at a ${String(slowdown)}th of the speed: cut list to be read after ${of((each) => each.cutList)} ms (wanted: 2500), the page’s own after ${of((each) => each.ownCutList)} ms, ` +
      `longest task ${of((each) => each.longest)} ms, all long tasks ${of((each) => each.blocked)} ms; median of ${String(rounds)}`,
  );
}
await browser.close();
await server.dispose();
