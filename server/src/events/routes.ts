import { Router } from 'express';
import type { Announcer } from './announcer.ts';

/** Milliseconds between signs of life: whoever hears none knows that the line is dead. */
const heartbeat = 15_000;

/** What changes, as it changes, to whoever listens (server-sent events). */
export function eventRoutes(announcer: Announcer): Router {
  const router = Router();

  router.get('/', (request, response) => {
    response.writeHead(200, {
      'content-type': 'text/event-stream',
      // Nothing on the way may hold it back.
      'cache-control': 'no-cache, no-transform',
      'x-accel-buffering': 'no',
    });
    if (request.method === 'HEAD') {
      response.end();
      return;
    }
    response.write('retry: 2000\n\n');
    const stop = announcer.listen(
      (change) => response.write(`data: ${JSON.stringify(change)}\n\n`),
      () => response.end(),
    );
    const timer = setInterval(() => response.write(': here\n\n'), heartbeat);
    request.on('close', () => {
      stop();
      clearInterval(timer);
    });
  });

  return router;
}
