import { z } from 'zod';

const problemSchema = z.object({ detail: z.string(), current: z.unknown().optional() });

/** The server's refusal, in its own sentence. */
export class ServerRefusal extends Error {
  readonly status: number;
  /** What stands on the server, as it sent it. */
  readonly current: unknown;

  constructor(status: number, message: string, current?: unknown) {
    super(message);
    this.status = status;
    this.current = current;
  }
}

/** The server could not be asked at all. */
export class Unreachable extends Error {
  constructor() {
    super('Rangoli’s server doesn’t answer. Check that it is running.');
  }
}

/** Milliseconds after which an answer is not waited for any more. */
const longestWait = 20_000;

/**
 * Asks the server; the parsed answer, undefined where there is none.
 * @throws ServerRefusal when it refuses, Unreachable when it doesn't answer.
 */
export async function ask(
  method: string,
  path: string,
  body?: unknown,
  keepalive = false,
): Promise<unknown> {
  let response: Response;
  try {
    response = await fetch(`/api${path}`, {
      method,
      keepalive,
      signal: AbortSignal.timeout(longestWait),
      headers: {
        // A page of somebody else can't send this one.
        'x-rangoli': 'web',
        ...(body !== undefined && { 'content-type': 'application/json' }),
      },
      ...(body !== undefined && { body: JSON.stringify(body) }),
    });
  } catch {
    throw new Unreachable();
  }
  if (response.status === 204) return undefined;
  // A proxy in front of a stopped server answers with a page of its own.
  const isJson = response.headers.get('content-type')?.includes('json') ?? false;
  if (!isJson) throw new Unreachable();
  const answer: unknown = await response.json();
  if (response.ok) return answer;
  const problem = problemSchema.safeParse(answer);
  if (!problem.success) throw new ServerRefusal(response.status, 'The server refused this.');
  throw new ServerRefusal(response.status, problem.data.detail, problem.data.current);
}
