import { planJob, sayStep } from '@rangoli/core';
import { mount } from '@vue/test-utils';
import fc from 'fast-check';
import { createPinia } from 'pinia';
import PrimeVue from 'primevue/config';
import { describe, expect, it } from 'vitest';
import { anyBox, holes } from '../testing/any-box.ts';
import StepPicture from './StepPicture.vue';

describe('the picture of a step', () => {
  it('is there for every step of any job, and drawn whole', () => {
    fc.assert(
      fc.property(anyBox, fc.integer({ min: 1, max: 7 }), ({ plan, request }, boxes) => {
        const job = planJob(plan, request, { boxes });
        for (const step of job.steps) {
          const picture = mount(StepPicture, {
            global: { plugins: [createPinia(), PrimeVue] },
            props: { plan, request, job, step, at: 0 },
          });
          const said = sayStep(step, { job, box: plan, kit: request.kit }).line;
          expect(picture.find('svg').exists(), said).toBe(true);
          expect(picture.html(), said).not.toMatch(holes);
          picture.unmount();
        }
      }),
      { numRuns: 15 },
    );
  });
});
