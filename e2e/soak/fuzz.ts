import { request as requestHttp } from 'node:http';
import fc from 'fast-check';
import { z } from 'zod';
import { RangoliServer } from '../support/rangoli-server.ts';
import { hostileRequests, type HostileRequest } from './hostile-requests.ts';

/* Every route under hostile requests: none may be answered with 500 or more, none may take two seconds. */

const count = Number(process.argv[2] ?? 20_000);
const seed = Number(process.argv[3] ?? Date.now() % 1_000_000_000);
const atOnce = 6;
const longest = 2000;

interface Answered {
  readonly status: number;
  readonly time: number;
}

function send(origin: URL, { method, path, headers, body }: HostileRequest): Promise<Answered> {
  const start = performance.now();
  return new Promise((answered, failed) => {
    const question = requestHttp(
      {
        host: '127.0.0.1',
        port: origin.port,
        method,
        path,
        headers: { ...headers, host: origin.host },
      },
      (response) => {
        const done = () => {
          answered({ status: response.statusCode ?? 0, time: performance.now() - start });
        };
        // Who listens for changes is never done.
        if (response.headers['content-type'] === 'text/event-stream') {
          question.destroy();
          done();
        }
        response.resume();
        response.on('end', done);
      },
    );
    question.setTimeout(20_000, () => question.destroy(new Error('No answer in twenty seconds')));
    question.on('error', (error) => {
      // A body that is too large may be refused before all of it was sent.
      if ('code' in error && (error.code === 'EPIPE' || error.code === 'ECONNRESET'))
        answered({ status: 413, time: performance.now() - start });
      else failed(error);
    });
    question.end(method === 'GET' || method === 'HEAD' ? undefined : body);
  });
}

const server = new RangoliServer('--demo', '--share');
await server.start();
const origin = new URL(server.origin);
const shelf = z
  .object({ projects: z.array(z.object({ id: z.string() })) })
  .parse(await (await fetch(`${server.origin}/api/projects`)).json());
const requests = fc.sample(hostileRequests(shelf.projects.map(({ id }) => id)), {
  seed,
  numRuns: count,
});

const statuses = new Map<number, number>();
const faults: string[] = [];
let slowest = 0;
let next = 0;
async function work(): Promise<void> {
  for (let request = requests[next++]; request; request = requests[next++]) {
    const what = `${request.method} ${request.path.slice(0, 80)} ${(request.body ?? '').slice(0, 120)}`;
    try {
      const { status, time } = await send(origin, request);
      statuses.set(status, (statuses.get(status) ?? 0) + 1);
      slowest = Math.max(slowest, time);
      if (status >= 500) faults.push(`${status}: ${what}`);
      if (time > longest) faults.push(`${time.toFixed(0)} ms: ${what}`);
    } catch (error) {
      faults.push(`${error instanceof Error ? error.message : 'It broke'}: ${what}`);
    }
  }
}
await Promise.all(Array.from({ length: atOnce }, work));
const isAlive = (await fetch(`${server.origin}/api/health`)).ok;
const isReadable = (await fetch(`${server.origin}/api/projects`)).ok;
await server.dispose();

console.log(`${count} hostile requests (seed ${seed}), slowest ${slowest.toFixed(0)} ms`);
for (const [status, times] of [...statuses].sort(([a], [b]) => a - b))
  console.log(`  ${status}: ${times}`);
for (const fault of faults.slice(0, 20)) console.log(`  ${fault}`);
console.log(`${faults.length} answers of 500 or later than ${longest} ms`);
if (faults.length > 0 || !isAlive || !isReadable) process.exitCode = 1;
