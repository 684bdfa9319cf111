import { createServer } from 'node:http';
import { resolve } from 'node:path';
import { parseArgs } from 'node:util';
import { pino } from 'pino';
import { z } from 'zod';
import { createApp } from './app.ts';
import { openDatabase } from './database/index.ts';
import { seedDemo } from './demo/index.ts';
import { ProgressStore } from './progress/index.ts';
import { ProjectStore } from './projects/index.ts';
import { lessonItems, toolItems } from './items/index.ts';

const { values } = parseArgs({
  options: {
    port: { type: 'string', default: process.env.PORT ?? '4180' },
    database: { type: 'string' },
    demo: { type: 'boolean', default: false },
  },
});

const port = z.coerce.number().int().min(0).max(65535).parse(values.port);
const root = resolve(import.meta.dirname, '../..');
const file =
  values.database ?? resolve(root, values.demo ? 'data/demo.sqlite' : 'data/rangoli.sqlite');
const logger = pino({ level: process.env.LOG_LEVEL ?? 'info' });

const database = await openDatabase(file);
if (values.demo) await seedDemo(database);
const app = createApp({
  store: new ProjectStore(database),
  progress: new ProgressStore(database),
  tools: toolItems(database),
  lessons: lessonItems(database),
  logger,
  client: resolve(root, 'web/dist'),
});
const server = createServer(app);
server.on('error', (error) => {
  logger.error(error);
  process.exitCode = 1;
  void database.destroy();
});
server.listen(port, () => {
  const address = server.address();
  const open = typeof address === 'object' && address ? address.port : port;
  logger.info(`Rangoli is open at http://localhost:${open}`);
});

let stopping = false;

/** Takes no more requests, finishes those under way, closes the database. */
function stop(): void {
  if (stopping) return;
  stopping = true;
  logger.info('Rangoli is closing');
  server.close(() => void database.destroy());
  server.closeIdleConnections();
  // A client that holds its connection open must not keep the rest waiting.
  setTimeout(() => {
    server.closeAllConnections();
  }, 2000).unref();
}

process.on('SIGTERM', stop);
process.on('SIGINT', stop);
