import { readFile } from 'node:fs/promises';
import { join } from 'node:path';
import cookieParser from 'cookie-parser';
import { Router, type RequestHandler } from 'express';
import compressedFiles from 'express-static-gzip';
import { mayEnter, type Sharing } from '../access/index.ts';
import type { ProjectStore } from '../projects/index.ts';
import type { FirstSights } from './first-sights.ts';

export interface PageParts {
  /** Where the built client lies. */
  readonly client: string;
  readonly projects: ProjectStore;
  /** What is seen of a box first; undefined where its page shows nothing before its scripts do. */
  readonly firstSights: FirstSights | undefined;
  /** How it is shared with the home network; undefined where it answers this machine only. */
  readonly sharing: Pick<Sharing, 'sessions'> | undefined;
}

/** What the build has compressed is sent as it is, the smallest first. */
const asCompressed = { enableBrotli: true, orderPreference: ['br', 'gz'] };

/** Where the application puts itself in its page. */
const placeOfApp = '<div id="app"></div>';

/** What is seen of a box before the application has come: for the eye, nothing in it does anything. */
function withSight(page: string, sight: string): string {
  const seen = `<div id="first-sight" inert aria-hidden="true">${sight}</div>`;
  return page.replace(placeOfApp, () => seen + placeOfApp);
}

/** A box’s own page, with its cut list to be read at once; the page as it is for whom that is not. */
function boxPage(page: string, { projects, firstSights, sharing }: PageParts): RequestHandler {
  return async (request, response, next) => {
    const isAllowed = !sharing || (await mayEnter(request, sharing.sessions));
    const { id } = request.params;
    const isAsked = firstSights && isAllowed && typeof id === 'string';
    // What is wrong with it is told by the page.
    const box = isAsked ? await projects.read(id).catch(() => undefined) : undefined;
    const sight = box && (await firstSights?.of(box));
    if (sight === undefined) {
      next();
      return;
    }
    const whole = withSight(await readFile(page, 'utf8'), sight);
    response.set('Cache-Control', 'private, no-cache').type('html').send(whole);
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
  router.get('/box/:id', cookieParser(), boxPage(page, parts));
  router.get('/{*path}', (_request, response) => {
    response.set('Cache-Control', 'no-cache').sendFile(page);
  });
  return router;
}
