import type { Request, RequestHandler } from 'express';
import { z } from 'zod';
import { HttpProblem } from '../http/index.ts';
import type { Sessions } from './sessions.ts';

/** The cookie in which a device carries its token. */
export const sessionCookie = 'rangoli-session';

const cookiesSchema = z.object({ [sessionCookie]: z.string().min(1).max(200) });

/** The token that a request carries; undefined where it has none. */
export function tokenOf(request: Request): string | undefined {
  const cookies: unknown = request.cookies;
  const parsed = cookiesSchema.safeParse(cookies);
  return parsed.success ? parsed.data[sessionCookie] : undefined;
}

const loopback: ReadonlySet<string> = new Set(['127.0.0.1', '::1', '::ffff:127.0.0.1']);

/** Whether who asks sits at this machine; what another program passes on comes from somewhere else. */
export function isFromHere(request: Request): boolean {
  const { remoteAddress } = request.socket;
  const isPassedOn = ['forwarded', 'x-forwarded-for', 'via'].some(
    (header) => request.get(header) !== undefined,
  );
  return remoteAddress !== undefined && loopback.has(remoteAddress) && !isPassedOn;
}

/** Whether who asks may read and change: at this machine, or signed in. */
export async function mayEnter(request: Request, sessions: Sessions): Promise<boolean> {
  if (isFromHere(request)) return true;
  const token = tokenOf(request);
  return token !== undefined && (await sessions.knows(token));
}

/** Lets in who sits at this machine, and who has said the passphrase. */
export function door(sessions: Sessions): RequestHandler {
  return async (request, _response, next) => {
    if (!(await mayEnter(request, sessions)))
      throw new HttpProblem(
        'signed-out',
        'This device is not signed in. Sign in with the passphrase.',
      );
    next();
  };
}
