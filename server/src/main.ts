import { existsSync } from 'node:fs';
import { createServer, type Server } from 'node:http';
import { resolve } from 'node:path';
import { parseArgs } from 'node:util';
import { pino } from 'pino';
import { homeAddresses, isAtHome, isThisMachine, share, sharingNotice } from './access/index.ts';
import { createApp } from './app.ts';
import { Complaint, complainingly } from './complaint.ts';
import { complaintOf, keepWhole, openDatabase, type Loss } from './database/index.ts';
import { seedDemo } from './demo/index.ts';
import { Announcer } from './events/index.ts';
import { FirstSights } from './pages/index.ts';
import { PictureStore } from './pictures/index.ts';

const usage =
  'Use: npm start -- [--port NUMBER] [--database FILE] [--demo] [--share [--new-passphrase]]';

interface Asked {
  readonly port: number;
  readonly file: string;
  readonly demo: boolean;
  readonly shares: boolean;
  readonly wantsAnother: boolean;
}

const root = resolve(import.meta.dirname, '../..');

/** @throws Complaint when what was asked for makes no sense. */
function asked(): Asked {
  const { values } = (() => {
    try {
      return parseArgs({
        options: {
          port: { type: 'string', default: process.env.PORT ?? '4180' },
          database: { type: 'string' },
          demo: { type: 'boolean', default: false },
          share: { type: 'boolean', default: false },
          'new-passphrase': { type: 'boolean', default: false },
        },
      });
    } catch (error) {
      throw new Complaint(
        `${error instanceof Error ? error.message : 'That can’t be read'}. ${usage}`,
      );
    }
  })();
  const port = Number(values.port);
  if (!/^\d+$/.test(values.port) || port > 65535)
    throw new Complaint(
      `The port “${values.port}” is none: give a number from 0 to 65535. ${usage}`,
    );
  const file =
    values.database ?? resolve(root, values.demo ? 'data/demo.sqlite' : 'data/rangoli.sqlite');
  const { demo, share: shares, 'new-passphrase': wantsAnother } = values;
  if (wantsAnother && !shares)
    throw new Complaint(
      `A passphrase is for sharing: --new-passphrase goes with --share. ${usage}`,
    );
  return { port, file, demo, shares, wantsAnother };
}

/** Listens at an address of this machine. @throws Complaint when the port can't be had. */
async function listen(server: Server, port: number, address: string): Promise<number> {
  await new Promise<void>((listening, failed) => {
    server.once('error', (error) => {
      const code = 'code' in error ? error.code : undefined;
      if (code === 'EADDRINUSE')
        failed(
          new Complaint(
            `Port ${port} is in use, perhaps by another Rangoli. Name another one with --port.`,
          ),
        );
      else if (code === 'EACCES')
        failed(new Complaint(`Port ${port} may not be used. Name one above 1023 with --port.`));
      else failed(error);
    });
    server.listen(port, address, listening);
  });
  const given = server.address();
  return typeof given === 'object' && given ? given.port : port;
}

function lossInWords(loss: Loss, file: string): string {
  switch (loss) {
    case 'written back':
      return `${file} was taken away while Rangoli was open. All that was in it has been written back there. Start Rangoli again.`;
    case 'replaced':
      return `${file} was replaced while Rangoli was open. Rangoli closes, so that nothing is written into the wrong one. Start it again.`;
    case 'gone':
      return `${file} was taken away while Rangoli was open, and can’t be written back. Rangoli closes, so that nothing more is lost. Put a backup in its place and start it again.`;
  }
}

async function main(): Promise<void> {
  const { port, file, demo, shares, wantsAnother } = asked();
  const logger = pino({ level: process.env.LOG_LEVEL ?? 'info' });
  const database = await openDatabase(file);
  try {
    if (demo) await seedDemo(database);
    await new PictureStore(database).forgetUnused();
  } catch (error) {
    await database.destroy();
    throw error;
  }
  const client = resolve(root, 'web/dist');
  if (!existsSync(client)) logger.warn('The client is not built, so only the API is served.');
  const script = resolve(root, 'web/dist-server/render-first-sight.js');
  const firstSights = existsSync(script) ? new FirstSights({ script, logger }) : undefined;
  const announcer = new Announcer();
  let open = port;
  const addresses = () => homeAddresses().map((address) => `http://${address}:${open}`);
  const shared = shares ? await share(database, { wantsAnother }) : undefined;
  const server = createServer(
    createApp({
      database,
      announcer,
      isOwnName: shared ? isAtHome() : isThisMachine,
      sharing: shared && { sessions: shared.sessions, passphrase: shared.kept, addresses },
      logger,
      client,
      firstSights,
    }),
  );
  try {
    open = await listen(server, port, shared ? '0.0.0.0' : '127.0.0.1');
  } catch (error) {
    await Promise.all([database.destroy(), firstSights?.close()]);
    throw error;
  }
  logger.info(`Rangoli is open at http://localhost:${open}`);
  if (shared)
    console.log(
      await sharingNotice({
        addresses: addresses(),
        passphrase: shared.passphrase,
        isTerminal: process.stdout.isTTY,
      }),
    );

  let stopping = false;
  /** Takes no more requests, finishes those under way, closes the database. */
  function stop(): void {
    if (stopping) return;
    stopping = true;
    logger.info('Rangoli is closing');
    leave();
    announcer.close();
    server.close(() => void Promise.all([database.destroy(), firstSights?.close()]));
    server.closeIdleConnections();
    // A client that holds its connection open must not keep the rest waiting.
    setTimeout(() => {
      server.closeAllConnections();
    }, 2000).unref();
  }
  const leave = keepWhole(database, {
    file,
    onFault: (error) => {
      const complaint = complaintOf(error, file);
      if (complaint) logger.error(complaint.message);
      else logger.error(error);
    },
    onLost: (loss) => {
      logger.error(lossInWords(loss, file));
      process.exitCode = 1;
      stop();
    },
  });
  process.on('SIGTERM', stop);
  process.on('SIGINT', stop);
}

await complainingly(main);
