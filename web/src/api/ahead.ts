/** A page of somebody else can’t send this one. */
export const ownPage = { 'x-rangoli': 'web' } as const;

/** Whoever goes back to a page would be answered with what the browser has kept from before, unasked whether it holds. */
export const asItIsNow = { cache: 'no-cache' } as const;

/** Milliseconds after which what was asked ahead is of yesterday. */
const untilOld = 10_000;

/** Milliseconds after which an answer is not waited for any more. */
const longestWait = 20_000;

const asked = new Map<string, Promise<Response>>();

/** Asks the server for what a view will ask for, before that has come; what it answers. */
export function askAhead(path: string): Promise<Response> {
  const answer = fetch(`/api${path}`, {
    ...asItIsNow,
    headers: ownPage,
    signal: AbortSignal.timeout(longestWait),
  });
  asked.set(path, answer);
  // Who takes it hears of what goes wrong.
  answer.catch(() => undefined);
  setTimeout(() => asked.delete(path), untilOld);
  return answer;
}

/** What was asked ahead, once. */
export function takeAhead(path: string): Promise<Response> | undefined {
  const answer = asked.get(path);
  asked.delete(path);
  return answer;
}
