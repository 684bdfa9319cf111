import { evenRoom, millimetres, newProject, type PlanRequest } from '@rangoli/core';
import fc from 'fast-check';
import { describe, expect, it, vi } from 'vitest';
import { effectScope, nextTick, shallowRef } from 'vue';
import { useWorkedOut } from './use-worked-out.ts';

const { box } = newProject('inch');

/** A new request, which is known by its room. */
function requestOf(room: number): PlanRequest {
  return { ...box, room: evenRoom(millimetres(room)) };
}

describe('what comes of a request', () => {
  it('is the newest one’s in the end, never of what is not asked for any more, and one is worked out at a time', () =>
    fc.assert(
      fc.asyncProperty(
        fc.array(fc.constantFrom('ask' as const, 'ask nothing' as const, 'answer' as const), {
          maxLength: 30,
        }),
        async (acts) => {
          const asked = shallowRef<PlanRequest>();
          const atWork: { request: PlanRequest; answer: () => void }[] = [];
          let begun = 0;
          const scope = effectScope();
          const { workedOut, isWorking } = scope.run(() =>
            useWorkedOut(asked, (request) => {
              begun++;
              return new Promise<PlanRequest>((resolve) => {
                atWork.push({ request, answer: () => resolve(request) });
              });
            }),
          ) ?? { workedOut: shallowRef(), isWorking: shallowRef(false) };
          /** What was asked for since nothing was. */
          let current: PlanRequest[] = [];
          const answer = async () => {
            atWork.shift()?.answer();
            await nextTick();
            await nextTick();
          };
          const check = () => {
            expect(atWork.length).toBeLessThanOrEqual(1);
            const shown = workedOut.value;
            if (shown) expect(current).toContain(shown.request);
            expect(shown?.result).toBe(shown?.request);
          };
          for (const [at, act] of acts.entries()) {
            if (act === 'answer') await answer();
            else asked.value = act === 'ask' ? requestOf(at) : undefined;
            if (act === 'ask' && asked.value) current.push(asked.value);
            if (act === 'ask nothing') current = [];
            check();
          }
          while (atWork.length > 0) await answer();
          expect(workedOut.value?.request).toBe(asked.value);
          expect(isWorking.value).toBe(false);
          // What lies between two answers is left out.
          const answers = acts.filter((act) => act === 'answer').length;
          expect(begun).toBeLessThanOrEqual(answers + 2);
          scope.stop();
        },
      ),
    ));
});

describe('the planner', () => {
  it('plans in the page where its worker’s script has not come', async () => {
    class LostWorker extends EventTarget {
      constructor() {
        super();
        setTimeout(() => this.dispatchEvent(new Event('error')), 5);
      }
      postMessage(): void {
        // Nobody hears it.
      }
    }
    vi.stubGlobal('Worker', LostWorker);
    const { planner } = await import('./planner.ts');
    // Both what was asked before it was known that nobody answers, and what is asked after.
    for (const when of ['before', 'after'])
      expect((await planner((tasks) => tasks.planBox(box))).ok, when).toBe(true);
    vi.unstubAllGlobals();
  });
});
