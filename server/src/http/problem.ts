import type { Problem } from '@rangoli/core';

/** A refusal as problem details (RFC 9457), with the fields that are wrong and, for a conflict, what stands. */
export interface ProblemDetails {
  readonly type: string;
  readonly title: string;
  readonly status: number;
  readonly detail: string;
  readonly errors?: readonly Problem[];
  readonly current?: unknown;
}

const kinds = {
  'bad-json': { status: 400, title: 'This is not JSON' },
  'bad-request': { status: 400, title: 'This can’t be taken' },
  'signed-out': { status: 401, title: 'Not signed in' },
  'wrong-passphrase': { status: 403, title: 'Not the passphrase' },
  'wrong-origin': { status: 403, title: 'Not from here' },
  'wrong-host': { status: 421, title: 'Not under this name' },
  'not-found': { status: 404, title: 'Not found' },
  stale: { status: 409, title: 'Changed meanwhile' },
  'too-large': { status: 413, title: 'Too large' },
  'wrong-type': { status: 415, title: 'Not JSON' },
  'bad-fields': { status: 422, title: 'Some fields are wrong' },
  'too-many': { status: 429, title: 'Too many tries' },
  'bad-picture': { status: 422, title: 'This picture can’t be taken' },
  unreadable: { status: 422, title: 'This can’t be read' },
  'no-room': { status: 507, title: 'No room left' },
  failure: { status: 500, title: 'Something broke here' },
} as const;

/** An error that knows its answer. */
export class HttpProblem extends Error {
  readonly details: ProblemDetails;

  constructor(
    kind: keyof typeof kinds,
    detail: string,
    more: Pick<ProblemDetails, 'errors' | 'current'> = {},
  ) {
    super(detail);
    this.details = { type: `/problems/${kind}`, ...kinds[kind], detail, ...more };
  }
}
