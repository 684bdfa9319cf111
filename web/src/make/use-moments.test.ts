import { planJob, sideLying } from '@rangoli/core';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { effectScope, nextTick, shallowRef } from 'vue';
import { anyBox } from '../testing/any-box.ts';
import { momentsOf } from './moments.ts';
import { useMoments } from './use-moments.ts';

describe('the moments of a step', () => {
  it('show every mark of every lying once, each with its edge at the fence, and start anew', async () => {
    await fc.assert(
      fc.asyncProperty(
        anyBox,
        fc.array(fc.nat({ max: 9 }), { maxLength: 6 }),
        async (box, taps) => {
          const { plan, request } = box;
          const { steps } = planJob(plan, request, { boxes: 1 });
          const step = shallowRef(steps[0]);
          const scope = effectScope();
          const moments = scope.run(() => useMoments(() => step.value));
          if (!moments) throw new Error('It was set up');
          for (const next of steps) {
            step.value = next;
            await nextTick();
            expect(moments.at.value).toBe(0);
            const all = momentsOf(next);
            for (const each of all) {
              if (each.kind !== 'mark') continue;
              const { operation, mark, nth } = each;
              expect(operation.marks[nth - 1]).toBe(mark);
              const fence = operation.tool === 'board' ? request.kit.board.fence : 'left';
              expect(sideLying(operation.edge, operation.lying)).toBe(fence);
            }
            for (const tap of taps) {
              moments.choose(tap);
              expect(moments.at.value).toBeLessThan(Math.max(1, all.length));
            }
            if (all.length > 0) expect(moments.moment.value).toEqual(all[moments.at.value]);
          }
          scope.stop();
        },
      ),
      { numRuns: 30 },
    );
  });
});
