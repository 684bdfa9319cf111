import { Router, type RequestHandler } from 'express';
import { rateLimit } from 'express-rate-limit';
import { z } from 'zod';
import type { Announcer } from '../events/index.ts';
import { HttpProblem, readBody } from '../http/index.ts';
import { door, isFromHere, mayEnter, sessionCookie, tokenOf } from './door.ts';
import { isPassphrase } from './passphrase.ts';
import { qrPicture } from './qr.ts';
import { sessionDays, type Sessions } from './sessions.ts';

/** How a server is shared with the home network. */
export interface Sharing {
  readonly sessions: Sessions;
  /** What is kept of the passphrase. */
  readonly passphrase: string;
  /** Where a tablet finds this server; the likeliest address first. */
  readonly addresses: () => readonly string[];
}

const body = z.object({ passphrase: z.string().max(200) });

const quarterHour = 15 * 60 * 1000;

/** So many wrong passphrases may be said in a quarter of an hour: by one device, and by all together. */
export const mostTries = { byOne: 10, byAll: 100 };

function limitTries(most: number, who?: () => string): RequestHandler {
  return rateLimit({
    windowMs: quarterHour,
    limit: most,
    skipSuccessfulRequests: true,
    standardHeaders: 'draft-8',
    legacyHeaders: false,
    // Whoever passes a request on counts as the one who asks.
    validate: { xForwardedForHeader: false, forwardedHeader: false },
    ...(who && { keyGenerator: who }),
    handler: () => {
      throw new HttpProblem(
        'too-many',
        'Too many wrong passphrases. Try again in a quarter of an hour, or work at the computer on which Rangoli runs.',
      );
    },
  });
}

const cookieOptions = { httpOnly: true, sameSite: 'strict', path: '/' } as const;

/**
 * Signing in and out over HTTP, and who may come in. Without sharing there is nothing to sign in to: only this
 * machine gets an answer at all.
 */
export function accessRoutes(sharing: Sharing | undefined, announcer: Announcer): Router {
  const router = Router();

  router.get('/', async (request, response) => {
    if (!sharing) {
      response.json({ isShared: false, isHere: true, isSignedIn: true });
      return;
    }
    const isSignedIn = await mayEnter(request, sharing.sessions);
    const isHere = isFromHere(request);
    if (!isSignedIn) {
      response.json({ isShared: true, isHere, isSignedIn });
      return;
    }
    const addresses = sharing.addresses();
    const [first] = addresses;
    response.json({
      isShared: true,
      isHere,
      isSignedIn,
      devices: await sharing.sessions.count(),
      addresses,
      ...(first !== undefined && { qr: await qrPicture(first) }),
    });
  });

  if (!sharing) return router;
  const { sessions, passphrase } = sharing;

  router.post(
    '/',
    limitTries(mostTries.byOne),
    limitTries(mostTries.byAll, () => 'all'),
    async (request, response) => {
      const said = readBody(request, body);
      if (!(await isPassphrase(said.passphrase, passphrase)))
        throw new HttpProblem(
          'wrong-passphrase',
          'This is not the passphrase. Five words were printed on the computer on which Rangoli runs, when it was first shared.',
        );
      const token = await sessions.begin();
      response
        .cookie(sessionCookie, token, { ...cookieOptions, maxAge: sessionDays * 24 * 3600 * 1000 })
        .status(204)
        .end();
    },
  );

  router.delete('/', async (request, response) => {
    const token = tokenOf(request);
    if (token !== undefined) await sessions.end(token);
    response.clearCookie(sessionCookie, cookieOptions).status(204).end();
  });

  router.delete('/all', door(sessions), async (_request, response) => {
    await sessions.endAll();
    // Who listens would go on hearing: all lines are cut, and who still may comes again.
    announcer.close();
    response.clearCookie(sessionCookie, cookieOptions).status(204).end();
  });

  return router;
}
