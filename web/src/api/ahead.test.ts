import { afterEach, beforeEach, expect, test, vi } from 'vitest';
import { askAhead, takeAhead } from './ahead.ts';
import { ask, Unreachable } from './ask.ts';

const answered = vi.fn<() => Promise<Response>>();

beforeEach(() => {
  vi.useFakeTimers();
  let count = 0;
  answered.mockImplementation(() => Promise.resolve(Response.json({ count: ++count })));
  vi.stubGlobal('fetch', answered);
});
afterEach(() => {
  vi.useRealTimers();
  vi.unstubAllGlobals();
  answered.mockReset();
});

test('what was asked ahead is the answer to the first who asks, and to nobody after', async () => {
  void askAhead('/projects/a');
  expect(await ask('GET', '/projects/a')).toEqual({ count: 1 });
  expect(answered).toHaveBeenCalledTimes(1);
  expect(await ask('GET', '/projects/a')).toEqual({ count: 2 });
  // Only reading is answered ahead.
  void askAhead('/projects/a');
  expect(await ask('PUT', '/projects/a', {})).toEqual({ count: 4 });
  expect(await ask('GET', '/projects/b')).toEqual({ count: 5 });
  expect(await ask('GET', '/projects/a')).toEqual({ count: 3 });
});

test('an answer that nobody has taken for a while is forgotten', async () => {
  void askAhead('/projects/a');
  vi.advanceTimersByTime(20_000);
  expect(takeAhead('/projects/a')).toBeUndefined();
  expect(await ask('GET', '/projects/a')).toEqual({ count: 2 });
});

test('a server that did not answer ahead is told as one that does not answer', async () => {
  answered.mockRejectedValueOnce(new TypeError('Failed to fetch'));
  void askAhead('/projects/a');
  await expect(ask('GET', '/projects/a')).rejects.toBeInstanceOf(Unreachable);
});
