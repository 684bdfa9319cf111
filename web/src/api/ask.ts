import { z } from 'zod';
import { asItIsNow, ownPage, takeAhead } from './ahead.ts';

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

/** Whether a refusal may pass: something broke there, too much was asked at once, or this device is to sign in. */
export function isPassing(status: number): boolean {
  return status >= 500 || status === 408 || status === 429 || status === 401;
}

type Listener = () => void;
const signedOut = new Set<Listener>();

/** Hears that the server does not know this device any more, until the function that is given back is called. */
export function onSignedOut(listener: Listener): Listener {
  signedOut.add(listener);
  return () => signedOut.delete(listener);
}

/** A request that is to outlive its page may have so many characters, and no more. */
const mostKeptAlive = 60_000;

/** Milliseconds after which an answer is not waited for any more. */
const longestWait = 20_000;

/** Milliseconds after which a file that is sent is given up: it may be large, and the network slow. */
const longestSending = 120_000;

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
  const text = body === undefined ? undefined : JSON.stringify(body);
  return answerTo(path, {
    method,
    keepalive: keepalive && (text ?? '').length < mostKeptAlive,
    signal: AbortSignal.timeout(longestWait),
    headers: {
      ...ownPage,
      ...(text !== undefined && { 'content-type': 'application/json' }),
    },
    ...(text !== undefined && { body: text }),
  });
}

/**
 * Sends a form with a file in it.
 * @throws ServerRefusal when it is refused, Unreachable when nobody answers.
 */
export async function sendForm(path: string, form: FormData): Promise<unknown> {
  return answerTo(path, {
    method: 'POST',
    signal: AbortSignal.timeout(longestSending),
    headers: ownPage,
    body: form,
  });
}

async function answerTo(path: string, init: RequestInit): Promise<unknown> {
  let response: Response;
  try {
    const ahead = init.method === 'GET' ? takeAhead(path) : undefined;
    response = await (ahead ?? fetch(`/api${path}`, { ...asItIsNow, ...init }));
  } catch {
    throw new Unreachable();
  }
  if (response.status === 204) return undefined;
  // A proxy in front of a stopped server answers with a page of its own.
  const isJson = response.headers.get('content-type')?.includes('json') ?? false;
  if (!isJson) throw new Unreachable();
  const answer: unknown = await response.json();
  if (response.ok) return answer;
  if (response.status === 401) for (const hear of signedOut) hear();
  const problem = problemSchema.safeParse(answer);
  if (!problem.success) throw new ServerRefusal(response.status, 'The server refused this.');
  throw new ServerRefusal(response.status, problem.data.detail, problem.data.current);
}
