import { existsSync } from 'node:fs';
import { join } from 'node:path';
import compression from 'compression';
import cookieParser from 'cookie-parser';
import express, { type Express } from 'express';
import helmet from 'helmet';
import type { Logger } from 'pino';
import { accessRoutes, door, type IsOwnName, type Sharing } from './access/index.ts';
import type { Database } from './database/index.ts';
import { eventRoutes, type Announcer } from './events/index.ts';
import { bodyLimit, guardName, guardOrigin, problemHandler, unknownRoute } from './http/index.ts';
import { pageRoutes, type FirstSights } from './pages/index.ts';
import { pictureRoutes, PictureStore } from './pictures/index.ts';
import { progressRoutes, ProgressStore } from './progress/index.ts';
import { projectRoutes, ProjectStore } from './projects/index.ts';
import { itemRoutes, lessonItems, paperItems, toolItems } from './items/index.ts';

export interface AppParts {
  readonly database: Database;
  readonly announcer: Announcer;
  readonly logger: Logger;
  /** The names under which it may be asked for. */
  readonly isOwnName: IsOwnName;
  /** How it is shared with the home network; undefined where it answers this machine only. */
  readonly sharing?: Sharing | undefined;
  /** Where the built client lies. */
  readonly client: string;
  /** What is seen of a box before its page has come; undefined where nothing is. */
  readonly firstSights?: FirstSights | undefined;
}

/** Two hundred boxes that are ticked one by one through every step are more than any other body. */
const progressLimit = '2mb';

/** The whole application on one port: the API under `/api`, and the client for every other address. */
export function createApp(parts: AppParts): Express {
  const { database, announcer, logger, sharing, client, firstSights } = parts;
  const projects = new ProjectStore(database);
  const app = express();
  app.disable('x-powered-by');
  app.use(guardName(parts.isOwnName));
  app.use('/api', guardOrigin, (_request, response, next) => {
    // What is somebody's own is asked for anew each time, and kept by nobody on the way.
    response.set('Cache-Control', 'private, no-cache');
    next();
  });
  app.use(
    helmet({
      contentSecurityPolicy: {
        directives: {
          defaultSrc: ["'self'"],
          // PrimeVue puts its theme into style elements.
          styleSrc: ["'self'", "'unsafe-inline'"],
          imgSrc: ["'self'", 'data:', 'blob:'],
          fontSrc: ["'self'", 'data:'],
          // Served over plain http on the maker's own machine.
          upgradeInsecureRequests: null,
        },
      },
      strictTransportSecurity: false,
    }),
  );
  app.use(compression());
  app.get('/api/health', (_request, response) => {
    response.json({ ok: true });
  });
  app.use(
    '/api/session',
    express.json({ limit: '2kb' }),
    cookieParser(),
    accessRoutes(sharing, announcer),
  );
  if (sharing) app.use('/api', cookieParser(), door(sharing.sessions));
  app.use('/api/events', eventRoutes(announcer));
  app.use('/api/projects', express.json({ limit: bodyLimit }), projectRoutes(projects, announcer));
  app.use(
    '/api/progress',
    express.json({ limit: progressLimit }),
    progressRoutes(new ProgressStore(database), announcer),
  );
  app.use(
    '/api/tools',
    express.json({ limit: bodyLimit }),
    itemRoutes(toolItems(database), announcer),
  );
  app.use(
    '/api/papers',
    express.json({ limit: bodyLimit }),
    itemRoutes(paperItems(database), announcer),
  );
  app.use(
    '/api/lessons',
    express.json({ limit: bodyLimit }),
    itemRoutes(lessonItems(database), announcer),
  );
  app.use('/api/pictures', pictureRoutes(new PictureStore(database)));
  app.use('/api', unknownRoute);
  if (existsSync(join(client, 'index.html')))
    app.use(pageRoutes({ client, projects, firstSights, sharing }));
  app.use(unknownRoute);
  app.use(problemHandler(logger));
  return app;
}
