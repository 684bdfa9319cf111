import autocannon from 'autocannon';
import { newProject, noFacts } from '@rangoli/core';
import { z } from 'zod';
import { launchChromium } from '../support/browser.ts';
import { fillShelf } from '../support/fill-shelf.ts';
import { median } from '../support/median.ts';
import { RangoliServer } from '../support/rangoli-server.ts';

/* Fifty clients at full speed, and a shelf of five thousand boxes. */

const clients = 50;
const seconds = 20;
const warmUp = 5;
const boxesOnShelf = 5000;
const own = { 'x-rangoli': 'bench', 'content-type': 'application/json' };

const shelfSchema = z.object({
  projects: z.array(z.object({ id: z.string() })),
  total: z.int(),
});

/** Milliseconds from the click until the boxes are named, and until the first one is drawn. */
const openedSchema = z.object({ names: z.number(), drawing: z.number() });

async function shelfOf(origin: string): Promise<z.infer<typeof shelfSchema>> {
  return shelfSchema.parse(await (await fetch(`${origin}/api/projects`)).json());
}

const document = newProject('inch');
let serial = 0;

/** A tick that was never told before. */
function tick(): string {
  serial += 1;
  const at = { time: serial, by: `client ${String(serial % clients)}` };
  const step = `step ${String(serial % 17)}`;
  return JSON.stringify({
    facts: { ...noFacts(), ticks: { [step]: [{ from: 0, to: 1, done: true, at }] } },
  });
}

/** What makers do: look at the shelf, open boxes, and tick and begin some. One question in five writes. */
async function manyClients(server: RangoliServer): Promise<void> {
  const { projects } = await shelfOf(server.origin);
  const boxes = projects.map(({ id }) => id);
  const [first = ''] = boxes;
  const run = (duration: number) =>
    autocannon({
      url: server.origin,
      connections: clients,
      duration,
      requests: [
        { method: 'GET', path: '/api/projects' },
        ...boxes.slice(0, 6).map((id) => ({ method: 'GET' as const, path: `/api/projects/${id}` })),
        { method: 'GET', path: '/api/tools' },
        {
          method: 'POST',
          path: `/api/progress/${first}`,
          headers: own,
          setupRequest: (request) => ({ ...request, body: tick() }),
        },
        {
          method: 'POST',
          path: '/api/projects',
          headers: own,
          body: JSON.stringify({ document }),
        },
      ],
    });
  // The first seconds are for the compilers, there and here.
  await run(warmUp);
  const result = await run(seconds);
  const { latency, requests, errors, non2xx } = result;
  console.log(
    `  ${requests.average.toFixed(0)} answers a second; p50 ${latency.p50} ms, p97.5 ${latency.p97_5} ms, p99 ${latency.p99} ms (wanted: p99 under 150), longest ${latency.max} ms; ${errors + non2xx} failed`,
  );
}

async function largeShelf(server: RangoliServer): Promise<void> {
  await fillShelf(server.origin, boxesOnShelf);
  const browser = await launchChromium();
  const times: z.infer<typeof openedSchema>[] = [];
  let bytes = 0;
  for (let round = 0; round < 7; round++) {
    const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
    // The application has come once; what is opened is the shelf.
    await page.goto(`${server.origin}/kept`);
    await page.getByRole('heading', { name: 'Is everything kept?' }).waitFor();
    await page.waitForTimeout(1000);
    const answered = page.waitForResponse(/api\/projects\?/);
    // As text: what the loader adds to functions is not known in the page.
    const opened: unknown = await page.evaluate(`new Promise((done) => {
      const start = performance.now();
      document.querySelector('nav a').click();
      let names;
      const look = () => {
        if (document.querySelector('.shelf .text')) names ??= performance.now() - start;
        if (document.querySelector('.shelf svg.pieces'))
          done({ names, drawing: performance.now() - start });
        else setTimeout(look, 1);
      };
      look();
    })`);
    times.push(openedSchema.parse(opened));
    bytes = (await (await answered).request().sizes()).responseBodySize;
    await page.close();
  }
  await browser.close();
  const middle = (of: 'names' | 'drawing') => median(times.map((time) => time[of]));
  console.log(
    `  a shelf of ${(await shelfOf(server.origin)).total}: opens in ${middle('names').toFixed(0)} ms (the middle of ${times.length}; wanted: under 300), its first drawing after ${middle('drawing').toFixed(0)} ms; ${(bytes / 1000).toFixed(1)} kB (wanted: under 200)`,
  );
}

console.log(`${clients} clients at full speed for ${seconds} s:`);
const busy = new RangoliServer('--demo');
await busy.start();
await manyClients(busy);
await busy.dispose();
const shelf = new RangoliServer('--demo');
await shelf.start();
await largeShelf(shelf);
await shelf.dispose();
