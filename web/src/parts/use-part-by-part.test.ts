import fc from 'fast-check';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { effectScope, nextTick, ref } from 'vue';
import { usePartByPart } from './use-part-by-part.ts';

beforeEach(() => {
  vi.useFakeTimers({ toFake: ['requestAnimationFrame', 'cancelAnimationFrame'] });
});
afterEach(() => {
  vi.useRealTimers();
});

describe('parts that come one after the other', () => {
  it('are there at last, the first of them in the first frame, no more than wanted in a frame, and none goes', async () => {
    await fc.assert(
      fc.asyncProperty(
        fc.integer({ min: 1, max: 4 }),
        fc.array(fc.nat({ max: 12 }), { minLength: 1, maxLength: 6 }),
        fc.nat({ max: 4 }),
        async (atOnce, wishes, frames) => {
          const wanted = ref(wishes[0] ?? 0);
          const scope = effectScope();
          const there = scope.run(() => usePartByPart(() => wanted.value, { atOnce }));
          if (!there) throw new Error('It was set up');
          expect(there.value).toBe(0);
          vi.advanceTimersToNextFrame();
          expect(there.value).toBe(Math.min(atOnce, wanted.value));
          for (const wish of wishes) {
            wanted.value = wish;
            await nextTick();
            expect(there.value).toBeGreaterThanOrEqual(Math.min(1, wish));
            for (let frame = 0; frame < frames; frame++) {
              const before = there.value;
              vi.advanceTimersToNextFrame();
              expect(there.value).toBeGreaterThanOrEqual(before);
              expect(there.value).toBeLessThanOrEqual(before + atOnce);
            }
          }
          const last = wanted.value;
          for (let frame = 0; frame <= 13; frame++) vi.advanceTimersToNextFrame();
          expect(there.value).toBeGreaterThanOrEqual(last);
          expect(there.value).toBeLessThanOrEqual(Math.max(...wishes));
          scope.stop();
        },
      ),
    );
  });
});
