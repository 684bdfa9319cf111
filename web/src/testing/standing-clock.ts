import { afterEach, beforeEach, vi } from 'vitest';

/** Every test of this file has a clock that stands until it is moved, and leaves nothing behind that it put in place. */
export function standingClock(): void {
  beforeEach(() => {
    vi.useFakeTimers();
  });
  afterEach(() => {
    vi.useRealTimers();
    vi.unstubAllGlobals();
  });
}

/** What comes of something that takes its time, on a clock that stands. */
export async function inTime<Outcome>(doing: Promise<Outcome>): Promise<Outcome> {
  await vi.advanceTimersByTimeAsync(5000);
  return doing;
}
