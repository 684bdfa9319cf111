import type { ErrorRequestHandler, RequestHandler } from 'express';
import type { Logger } from 'pino';
import { Unreadable } from '../database/index.ts';
import { HttpProblem, type ProblemDetails } from './problem.ts';

/** The largest body that is read. */
export const bodyLimit = '256kb';

function hasType(error: unknown): error is { readonly type: string } {
  return (
    typeof error === 'object' && error !== null && 'type' in error && typeof error.type === 'string'
  );
}

function hasStatus(error: unknown): error is { readonly status: number } {
  return (
    typeof error === 'object' &&
    error !== null &&
    'status' in error &&
    typeof error.status === 'number'
  );
}

function isDiskFault(error: unknown): boolean {
  return (
    error instanceof Error &&
    'code' in error &&
    /^(SQLITE_(FULL|IOERR|READONLY|CANTOPEN)|ENOSPC)/.test(String(error.code))
  );
}

function detailsOf(error: unknown): ProblemDetails {
  if (error instanceof HttpProblem) return error.details;
  if (error instanceof Unreadable) return new HttpProblem('unreadable', error.message).details;
  if (isDiskFault(error))
    return new HttpProblem(
      'no-room',
      'The disk of Rangoli’s server is full, or fails. Nothing was changed. Make room on it, and it goes on.',
    ).details;
  if (hasType(error)) {
    if (error.type === 'entity.parse.failed')
      return new HttpProblem('bad-json', 'The body is not JSON. Send a JSON object.').details;
    if (error.type === 'entity.too.large')
      return new HttpProblem(
        'too-large',
        `The body is over ${bodyLimit.replace('kb', ' kB')}. Send a smaller one.`,
      ).details;
  }
  if (hasStatus(error) && error.status >= 400 && error.status < 500)
    return new HttpProblem('bad-request', 'The request can’t be read. Check its address and body.')
      .details;
  return new HttpProblem('failure', 'Rangoli failed at this. Try again; nothing was changed.')
    .details;
}

/** Answers every error as problem details; what was not foreseen is logged too. */
export function problemHandler(logger: Logger): ErrorRequestHandler {
  return (error: unknown, request, response, next) => {
    if (response.headersSent) {
      next(error);
      return;
    }
    const details = detailsOf(error);
    // What the operator can mend needs no trace of the program.
    if (details.status === 507) logger.error(details.detail);
    else if (details.status >= 500)
      logger.error({ err: error, method: request.method, path: request.path }, details.detail);
    response.status(details.status).type('application/problem+json').send(JSON.stringify(details));
  };
}

export const unknownRoute: RequestHandler = (request) => {
  throw new HttpProblem('not-found', `There is nothing at ${request.path}.`);
};
