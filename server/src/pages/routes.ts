import { readFile } from 'node:fs/promises';
import { join } from 'node:path';
import cookieParser from 'cookie-parser';
import { Router, type Request, type RequestHandler } from 'express';
import compressedFiles from 'express-static-gzip';
import { mayEnter, type Sharing } from '../access/index.ts';
import { wholeShelf, type ProjectStore } from '../projects/index.ts';
import type { FirstSights } from './first-sights.ts';

export interface PageParts {
  /** Where the built client lies. */
  readonly client: string;
  readonly projects: ProjectStore;
  /** What is seen of boxes first; undefined where no page shows anything before its scripts do. */
  readonly firstSights: FirstSights | undefined;
  /** How it is shared with the home network; undefined where it answers this machine only. */
  readonly sharing: Pick<Sharing, 'sessions'> | undefined;
}

/** What the build has compressed is sent as it is, the smallest first. */
const asCompressed = { enableBrotli: true, orderPreference: ['br', 'gz'] };

/** Where the application puts itself in its page. */
const placeOfApp = '<div id="app"></div>';

/** What is seen of a page first; nothing where it comes as it is. */
type Sight = (request: Request) => Promise<string | undefined>;

/** A page with what is seen first before the place of the application. */
function withSight(page: string, sight: string): string {
  return page.replace(placeOfApp, () => sight + placeOfApp);
}

/** The page with something to be seen at once; as it is for whom that is not. */
function pageWith(page: string, sightOf: Sight, { sharing }: PageParts): RequestHandler {
  return async (request, response, next) => {
    const isAllowed = !sharing || (await mayEnter(request, sharing.sessions));
    // What is wrong is told by the page.
    const sight = isAllowed ? await sightOf(request).catch(() => undefined) : undefined;
    if (sight === undefined) {
      next();
      return;
    }
    const whole = withSight(await readFile(page, 'utf8'), sight);
    // Who comes back is shown no earlier one out of the browser’s own store.
    response.set('Cache-Control', 'private, no-store').type('html').send(whole);
  };
}

/** A box’s own page has its cut list to be read at once. */
function boxSight({ projects, firstSights }: PageParts): Sight {
  return async ({ params: { id } }) => {
    const box = firstSights && typeof id === 'string' ? await projects.read(id) : undefined;
    return box && firstSights?.ofBox(box);
  };
}

/** The shelf has its first boxes. */
function shelfSight({ projects, firstSights }: PageParts): Sight {
  return async () => {
    if (!firstSights) return undefined;
    const shelf = await projects.list(wholeShelf);
    // What stands over the boxes then is told by the page.
    if (shelf.total === 0 || shelf.unreadable.length > 0) return undefined;
    return firstSights.ofShelf({ ...shelf, contents: await projects.contents() });
  };
}

/** The built client: its files, and its page for every other address. */
export function pageRoutes(parts: PageParts): Router {
  const { client } = parts;
  const page = join(client, 'index.html');
  const router = Router();
  // What is built is named after its content; everything else may be another one tomorrow.
  const assets = compressedFiles(join(client, 'assets'), {
    ...asCompressed,
    serveStatic: { maxAge: '1y', immutable: true, fallthrough: false },
  });
  router.use('/assets', assets);
  const files = { ...asCompressed, index: false, serveStatic: { cacheControl: false } };
  router.use(compressedFiles(client, files));
  router.get('/', cookieParser(), pageWith(page, shelfSight(parts), parts));
  router.get('/box/:id', cookieParser(), pageWith(page, boxSight(parts), parts));
  router.get('/{*path}', (_request, response) => {
    response.set('Cache-Control', 'no-cache').sendFile(page);
  });
  return router;
}
