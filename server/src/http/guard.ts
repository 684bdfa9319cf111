import type { Request, RequestHandler } from 'express';
import { HttpProblem } from './problem.ts';

/** The header that every change must carry: a page of somebody else can't send it without being asked first. */
export const writeHeader = 'x-rangoli';

/** A host without its port; undefined where it is none. */
function hostIn(authority: string | undefined): string | undefined {
  if (authority === undefined) return undefined;
  try {
    return new URL(`http://${authority}`).hostname.toLowerCase();
  } catch {
    return undefined;
  }
}

function isOwnPage(request: Request): boolean {
  const { origin, host } = request.headers;
  if (request.get('sec-fetch-site') === 'cross-site') return false;
  if (origin === undefined) return true;
  try {
    return new URL(origin).host === host;
  } catch {
    return false;
  }
}

const reading: ReadonlySet<string> = new Set(['GET', 'HEAD']);

/**
 * Answers only under a name of this server's own: a page elsewhere whose name is made to lead here asks by
 * that name.
 */
export function guardName(isOwnName: (host: string) => boolean): RequestHandler {
  return (request, _response, next) => {
    const host = hostIn(request.headers.host);
    if (host === undefined || !isOwnName(host))
      throw new HttpProblem(
        'wrong-host',
        'Rangoli doesn’t answer under this name. Open it at the address that it printed when it started.',
      );
    next();
  };
}

/** Answers only to pages of this server's own; what changes something says so in a header. */
export const guardOrigin: RequestHandler = (request, _response, next) => {
  if (!isOwnPage(request))
    throw new HttpProblem('wrong-origin', 'Rangoli answers its own pages only.');
  if (!reading.has(request.method) && request.get(writeHeader) === undefined)
    throw new HttpProblem(
      'wrong-origin',
      `A change is taken only with the header ${writeHeader}, which pages of others can’t send.`,
    );
  next();
};
