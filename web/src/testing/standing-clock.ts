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
