import { quarterTurnsTo, type ScoreStep } from '@rangoli/core';
import { mount } from '@vue/test-utils';
import fc from 'fast-check';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { defineComponent, nextTick, shallowRef } from 'vue';
import { anyBox } from '../testing/any-box.ts';
import { usePasses } from './use-passes.ts';

beforeEach(() => {
  vi.useFakeTimers();
});

afterEach(() => {
  vi.useRealTimers();
});

/** The passes of a step as a screen shows them. */
function shownPasses(first: ScoreStep, fence: 'left' | 'right') {
  const step = shallowRef(first);
  let passes: ReturnType<typeof usePasses> | undefined;
  const wrapper = mount(
    defineComponent({
      setup() {
        passes = usePasses(
          () => step.value,
          () => fence,
        );
        return () => '';
      },
    }),
  );
  if (!passes) throw new Error('It was set up');
  return { step, passes, wrapper };
}

describe('the sides of a piece, one after the other', () => {
  it('lie at the fence when they are shown, and the piece is turned on and never back', async () => {
    await fc.assert(
      fc.asyncProperty(
        anyBox,
        fc.array(fc.option(fc.nat({ max: 5 })), { maxLength: 10 }),
        async ({ plan, request }, choices) => {
          const { fence } = request.kit.board;
          const scores = plan.steps.flatMap((step) => (step.kind === 'score' ? [step] : []));
          const [first] = scores;
          if (!first) return;
          const { step, passes, wrapper } = shownPasses(first, fence);
          const isAtFence = () => {
            const { edge } = step.value.passes[passes.pass.value] ?? {};
            if (edge) expect(passes.turns.value % 4).toBe(quarterTurnsTo(edge, fence));
          };
          isAtFence();
          for (const choice of choices) {
            const before = passes.turns.value;
            if (choice === null) vi.advanceTimersByTime(2600);
            else passes.choose(choice % step.value.passes.length);
            isAtFence();
            expect(passes.turns.value).toBeGreaterThanOrEqual(before);
          }
          // Untouched, every side of the next step comes to the fence, one after the other.
          for (const next of scores.slice(1, 4)) {
            step.value = next;
            await nextTick();
            const seen = next.passes.map(() => {
              const { value } = passes.pass;
              isAtFence();
              vi.advanceTimersByTime(2600);
              return value;
            });
            expect(seen).toEqual(next.passes.map((_, i) => i));
          }
          wrapper.unmount();
        },
      ),
      { numRuns: 40 },
    );
  });
});
