import { newProject, planBox, type PlanRequest } from '@rangoli/core';
import { describe, expect, it, vi } from 'vitest';
import { effectScope, shallowRef } from 'vue';
import { usePlanned } from './use-planned.ts';

const { box } = newProject('inch');
let isBroken = false;

vi.mock('./planner.ts', () => ({
  takePlanAhead: () => Promise.resolve(undefined),
  planner: (): Promise<unknown> =>
    isBroken ? Promise.reject(new Error('A fault')) : Promise.resolve(planBox(box)),
}));

describe('a box at which planning fails', () => {
  it('is refused, so that nobody takes the figures of the one before for its own, and the next is planned', async () => {
    vi.spyOn(console, 'error').mockReturnValue();
    const asked = shallowRef<PlanRequest>(box);
    const scope = effectScope();
    const planned = scope.run(() => usePlanned(() => asked.value));
    const isPlanned = async (ok: boolean) => {
      await vi.waitFor(() => expect(planned?.value?.request).toBe(asked.value));
      expect(planned?.value?.result.ok).toBe(ok);
    };
    await isPlanned(true);
    isBroken = true;
    asked.value = { ...box, lean: 'tight' };
    await isPlanned(false);
    isBroken = false;
    asked.value = { ...box, lean: 'loose' };
    await isPlanned(true);
    scope.stop();
  });
});
